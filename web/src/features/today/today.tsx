/** Today: orders in hand with their seams, the machines as they stand, and what waits for somebody. */
import { Box, Heading } from '@chakra-ui/react';
import type { MachineResource, Order, SeamResource } from '@fox-tempo/contract';
import { fillerOf, gasOf, wireSizeLabel } from '@fox-tempo/core';
import { Link, useLoaderData } from 'react-router';
import { api } from '../../lib/api.ts';
import { daysUntil, shopDate, shopTime } from '../../lib/time.ts';
import { Notice } from '../../ui/notice.tsx';
import { PageHead } from '../../ui/page-head.tsx';
import { Panel } from '../../ui/panel.tsx';

export async function loadToday({ request }: { request: Request }) {
  const [orders, machines, seams] = await Promise.all([
    api.orders(request.signal),
    api.machines(request.signal),
    api.seams(request.signal),
  ]);
  return { orders, machines, seams };
}

export function Today() {
  const { orders, machines, seams } = useLoaderData<Awaited<ReturnType<typeof loadToday>>>();
  const waiting = seams.filter((seam) => seam.revision === null);
  return (
    <>
      <PageHead
        title="Today"
        line={new Date().toLocaleDateString(undefined, { weekday: 'long', day: 'numeric', month: 'long' })}
      />
      <Box
        as="main"
        id="content"
        tabIndex={-1}
        p="3"
        display="grid"
        gap="3"
        gridTemplateColumns={{ base: '1fr', lg: 'minmax(0, 1.7fr) minmax(0, 1fr)' }}
        alignItems="start"
      >
        <Panel title="Orders in hand">
          {orders.length === 0 ? (
            <Notice level="note">No order is in hand.</Notice>
          ) : (
            <Box as="ul" listStyleType="none">
              {orders.map((order) => (
                <OrderRow key={order.id} order={order} seams={seams.filter((seam) => seam.partId === order.partId)} />
              ))}
            </Box>
          )}
        </Panel>
        <Box display="grid" gap="3">
          <Panel title="Waits for a setting">
            {waiting.length === 0 ? (
              <Box color="quiet" fontSize="13.5px">
                Every seam has a setting.
              </Box>
            ) : (
              <Box as="ul" listStyleType="none">
                {waiting.map((seam) => (
                  <SeamLink key={seam.id} seam={seam} detail={seam.partName} />
                ))}
              </Box>
            )}
          </Panel>
          <Panel title="Machines as they stand">
            {machines.length === 0 ? (
              <Notice level="note">No machine is described yet.</Notice>
            ) : (
              <Box as="ul" listStyleType="none">
                {machines.map((machine) => (
                  <MachineRow key={machine.id} machine={machine} />
                ))}
              </Box>
            )}
          </Panel>
        </Box>
      </Box>
    </>
  );
}

function OrderRow({ order, seams }: { readonly order: Order; readonly seams: readonly SeamResource[] }) {
  const days = daysUntil(order.dueOn);
  const due =
    days < 0 ? `${-days} days late` : days === 0 ? 'due today' : days === 1 ? 'due tomorrow' : `due in ${days} days`;
  return (
    <Box as="li" borderTopWidth="1px" borderColor="line" _first={{ borderTopWidth: 0, pt: 0 }} py="3">
      <Box display="grid" gridTemplateColumns="minmax(0, 1fr) auto" columnGap="4" alignItems="baseline">
        <Heading as="h3" fontSize="15px" fontWeight={600}>
          {order.partName}
        </Heading>
        <Box textStyle="figure" fontSize="20px">
          {order.done}
          <Box as="span" color="quiet" fontSize="14px">
            {' '}
            of {order.quantity}
          </Box>
        </Box>
        <Box fontSize="13px" color="quiet">
          {order.number} · {shopDate(order.dueOn)},{' '}
          <Box as="span" color={days <= 2 ? 'ochre' : 'quiet'} fontWeight={days <= 2 ? 600 : 400}>
            {days <= 2 ? '◇ ' : ''}
            {due}
          </Box>
        </Box>
        <Box textStyle="label" color="quiet" textAlign="right">
          done
        </Box>
      </Box>
      <Box role="img" aria-label={`${order.done} of ${order.quantity} done`} height="4px" bg="line" mt="2" mb="1">
        <Box height="100%" width={`${(100 * Math.min(order.done, order.quantity)) / order.quantity}%`} bg="spruce" />
      </Box>
      <Box as="ul" listStyleType="none">
        {seams.map((seam) => (
          <SeamLink
            key={seam.id}
            seam={seam}
            detail={
              seam.revision
                ? `${fillerOf(seam.revision.program.filler).name}, ${wireSizeLabel(seam.revision.program.diameterMm)}, revision ${seam.revision.number}`
                : '◇ no setting yet'
            }
          />
        ))}
        {seams.length === 0 && (
          <Box as="li" color="quiet" fontSize="13px">
            No seam of this part is described yet.
          </Box>
        )}
      </Box>
    </Box>
  );
}

function SeamLink({ seam, detail }: { readonly seam: SeamResource; readonly detail: string }) {
  return (
    <Box as="li">
      <Box
        asChild
        display="flex"
        justifyContent="space-between"
        alignItems="center"
        gap="3"
        minHeight="44px"
        px="2"
        mx="-2"
        color="ink"
        borderRadius="3px"
        fontSize="14px"
        _hover={{ bg: 'accentSoft' }}
      >
        <Link to={`/seams/${seam.id}`}>
          <Box as="span" textDecoration="underline" textDecorationColor="line" textUnderlineOffset="3px">
            {seam.spec.name}
          </Box>
          <Box as="span" fontSize="13px" color="quiet" textAlign="right">
            {detail}
          </Box>
        </Link>
      </Box>
    </Box>
  );
}

function MachineRow({ machine: { file, standing } }: { readonly machine: MachineResource }) {
  return (
    <Box as="li" borderTopWidth="1px" borderColor="line" _first={{ borderTopWidth: 0, pt: 0 }} py="2.5">
      <Box display="flex" justifyContent="space-between" alignItems="baseline" gap="3">
        <Heading as="h3" textStyle="heading">
          {file.name}
        </Heading>
        <Box fontSize="13px" color="quiet">
          {file.place}
        </Box>
      </Box>
      {standing ? (
        <Box fontSize="13.5px">
          {fillerOf(standing.filler).name}, {wireSizeLabel(standing.diameterMm)} · {gasOf(standing.gas).name}
          <Box color="quiet" fontSize="13px">
            entered {shopTime(standing.since)}
          </Box>
        </Box>
      ) : (
        <Box color="quiet" fontSize="13.5px">
          Nobody has entered what is on it.
        </Box>
      )}
      <Box color="quiet" fontSize="13px">
        {file.dials.length === 0
          ? 'Outlined: its dials are not described yet.'
          : `${file.dials.length} dials and ${file.chartLines.length} chart lines described.`}
      </Box>
    </Box>
  );
}
