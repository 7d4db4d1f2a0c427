/** One tap for a seam that was welded; more only where something was otherwise. A record that waits for the connection arrives once. */
import { useKeptList } from '../../data/queries.ts';
import { toldDials } from '@fox-tempo/core/machine/description';
import { type DialSetting } from '@fox-tempo/core/machine/dials';
import { sameWire } from '@fox-tempo/core/metal/consumables';
import { Box, chakra } from '@chakra-ui/react';
import {
  may,
  type Order,
  type Revision,
  type Run,
  type RunBody,
  type RunCreate,
  type SeamResource,
} from '@fox-tempo/contract';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { api } from '../../data/api.ts';
import type { StandingMachine } from '../../sheet/standing-machine.ts';
import { session, useMay, useMe } from '../../session/session.ts';
import { useTask } from '../../lib/use-task.ts';
import { t, format } from '../../lib/words.ts';
import { Action } from '../../ui/action.tsx';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { Notice } from '../../ui/notice.tsx';
import { ValueField } from '../../ui/value-field.tsx';
import { WaitingLine } from '../../parts/waiting-line/index.ts';
import { DecideRun } from '../runs/index.ts';
import { useRefused } from '../../data/outbox/index.ts';
import { DialReading } from '../machines/index.ts';
import type { BenchModeData } from './load.ts';
import type { Ticks } from './use-ticks.ts';
import { Unfold } from '../../ui/unfold.tsx';

export function LogRun({
  seam,
  machine,
  revision,
  data,
  ticks,
  lines,
}: {
  readonly seam: SeamResource;
  readonly machine: StandingMachine;
  readonly revision: Revision;
  readonly data: BenchModeData;
  readonly ticks: Ticks;
  /** Of the card. */
  readonly lines: readonly DialSetting[];
}) {
  const me = useMe();
  const mayLog = useMay('addRun');
  const task = useTask();
  const [orders] = useKeptList('orders', data.orders);
  const [address] = useSearchParams();
  const refused = useRefused(address.get('refused'));
  const before = refused.entry?.name === 'addRun' ? (refused.entry.body as RunCreate) : null;
  const [orderId, setOrderId] = useState(before ? (before.orderId ?? '') : (data.orders[0]?.id ?? ''));
  const [weldedBy, setWeldedBy] = useState(before?.weldedBy ?? refused.entry?.by?.id ?? me?.id ?? '');
  const [body, setBody] = useState<RunBody>(before?.body ?? {});
  const [otherwise, setOtherwise] = useState(before !== null);
  /** Lines are not ticked: how the machine was set is asked once. */
  const [asks, setAsks] = useState(false);
  const [read, setRead] = useState<Readonly<Record<string, number>>>({});
  const [last, setLast] = useState<Run | null>(null);
  const order = orders.find(({ id }) => id === orderId);
  const { program, spec } = revision;
  const spools = data.stock.spools.filter(({ retired }) => !retired);
  const cylinders = data.stock.cylinders.filter(({ retired }) => !retired);
  const people = (session.getState().state?.people ?? []).filter(({ role }) => may('addRun', role));
  const set = (change: Partial<RunBody>) =>
    setBody(Object.fromEntries(Object.entries({ ...body, ...change }).filter(([, value]) => value !== undefined)));
  const unticked = lines.filter((dial) => !ticks.isTicked(dial));
  const log = (dials: Readonly<Record<string, number>>) =>
    task.run(() =>
      refused.watch(async () => {
        setAsks(false);
        const run = await api.addRun(
          {
            seamId: seam.id,
            machineId: machine.id,
            revision: revision.number,
            ...(orderId === '' ? {} : { orderId }),
            ...(weldedBy === me?.id || weldedBy === '' ? {} : { weldedBy }),
            deviceAt: new Date().toISOString(),
            body: { ...body, ...(Object.keys(dials).length > 0 ? { dials } : {}) },
          },
          refused.key,
        );
        refused.forget();
        setLast(run);
        setRead({});
        const { seconds: _seconds, ...kept } = body;
        setBody(kept);
      }),
    );
  const onWelded = () => {
    // Nothing left to ask where every line is ticked, or where it is being said what was different.
    if (unticked.length === 0 || otherwise) void log({ ...ticks.dials, ...read });
    else setAsks(true);
  };
  const asOnTheCard = () => {
    ticks.tickAll();
    void log(Object.fromEntries(lines.map(({ dialId, value }) => [dialId, value])));
  };
  if (!mayLog) return null;
  return (
    <Box position="sticky" bottom="0" bg="surface" borderTopWidth="2px" borderColor="accent" px="4" py="2" zIndex={5}>
      {last && (
        <Box mb="2" aria-live="polite">
          <Outcome run={last} order={order} onDecided={setLast} />
        </Box>
      )}
      <Box mb="2">
        <WaitingLine />
      </Box>
      {task.problem !== null && (
        <Box mb="2">
          <Notice level="refusal" urgent>
            {task.problem}
          </Notice>
        </Box>
      )}
      {asks && (
        <Box role="alertdialog" aria-label={t('view.at-machine.welded')} display="grid" gap="2" mb="2">
          <Box fontSize="lead" fontWeight={600}>
            {t('view.at-machine.not-ticked-question', { count: unticked.length })}
          </Box>
          <Box display="flex" gap="2" flexWrap="wrap">
            <Action kind="main" minHeight="56px" disabled={task.busy} onClick={asOnTheCard}>
              {t('view.at-machine.all-as-on-card')}
            </Action>
            <Action
              minHeight="56px"
              disabled={task.busy}
              onClick={() => {
                setAsks(false);
                setOtherwise(true);
              }}
            >
              {t('view.at-machine.one-was-different')}
            </Action>
          </Box>
        </Box>
      )}
      {otherwise && unticked.length > 0 && (
        <Box
          role="group"
          aria-label={t('view.at-machine.how-set')}
          display="grid"
          gap="2"
          mb="2"
          gridTemplateColumns="repeat(auto-fill, minmax(150px, 1fr))"
          alignItems="end"
        >
          {unticked.flatMap(({ dialId, display }) => {
            const dial = toldDials(machine.file).find(({ id }) => id === dialId);
            return dial ? (
              <DialReading
                key={dialId}
                dial={dial}
                value={read[dialId] ?? null}
                meant={display}
                keep={`run/${seam.id}/dial/${dialId}`}
                onValue={(value) => {
                  const { [dialId]: _old, ...others } = read;
                  setRead(value === null ? others : { ...others, [dialId]: value });
                }}
              />
            ) : (
              []
            );
          })}
        </Box>
      )}
      {otherwise && (
        <Box display="grid" gap="2" mb="2" gridTemplateColumns="repeat(auto-fill, minmax(170px, 1fr))" alignItems="end">
          <ChoiceField
            label={t('view.at-machine.spool')}
            value={body.spoolId ?? ''}
            choices={[
              { value: '', label: t('view.at-machine.dials-on-machine') },
              ...spools.map((one) => ({
                value: one.id,
                label: sameWire(one, program) ? one.name : `${one.name} ≠`,
              })),
            ]}
            onChange={(id) => set({ spoolId: id === '' ? undefined : id })}
          />
          <ChoiceField
            label={t('view.at-machine.cylinder')}
            value={body.cylinderId ?? ''}
            choices={[
              { value: '', label: t('view.at-machine.dials-on-machine') },
              ...cylinders.map((one) => ({
                value: one.id,
                label: one.gas === program.gas ? one.name : `${one.name} ≠`,
              })),
            ]}
            onChange={(id) => set({ cylinderId: id === '' ? undefined : id })}
          />
          <ValueField
            label={t('view.at-machine.seconds-if-timed')}
            of="plain"
            value={body.seconds ?? null}
            keep={`run/${seam.id}/seconds`}
            optional
            range={[0.3, 36_000]}
            onValue={(value) => set({ seconds: value ?? undefined })}
          />
          {spec.materialGroup === 'aluminium' && (
            <>
              <ValueField
                label={t('view.at-machine.minutes-since-brushed')}
                of="plain"
                value={body.cleanedMinutesAgo ?? null}
                keep={`run/${seam.id}/cleaned`}
                optional
                range={[0, 100_000]}
                onValue={(value) => set({ cleanedMinutesAgo: value ?? undefined })}
              />
              <ChoiceField
                label={t('view.at-machine.soot')}
                value={body.soot === undefined ? '' : String(body.soot)}
                choices={[
                  { value: '', label: t('view.at-machine.not-looked-at') },
                  ...[0, 1, 2, 3].map((grade) => ({ value: String(grade), label: String(grade) })),
                ]}
                onChange={(value) => set({ soot: value === '' ? undefined : Number(value) })}
              />
            </>
          )}
        </Box>
      )}
      <Box display="grid" gap="3" gridTemplateColumns={{ base: '1fr', md: 'minmax(0, 1fr) auto' }} alignItems="end">
        <Box display="grid" gap="2" gridTemplateColumns="repeat(auto-fill, minmax(150px, 1fr))" alignItems="end">
          <ChoiceField
            label={t('view.at-machine.order')}
            value={orderId}
            choices={[
              ...orders.map((one) => ({
                value: one.id,
                label: `${one.number}: ${one.done} / ${one.quantity}`,
              })),
              { value: '', label: t('view.at-machine.no-order') },
            ]}
            onChange={setOrderId}
          />
          <ChoiceField
            label={t('view.at-machine.welded-by')}
            value={weldedBy}
            choices={people.map(({ id, name }) => ({ value: id, label: name }))}
            onChange={setWeldedBy}
          />
          <chakra.button
            type="button"
            onClick={() => setOtherwise(!otherwise)}
            aria-expanded={otherwise}
            minHeight="44px"
            textAlign="start"
            fontSize="text"
            fontWeight={600}
            cursor="pointer"
          >
            <Box as="span" aria-hidden="true" me="1.5">
              <Unfold open={otherwise} />
            </Box>
            {t('view.at-machine.something-was-otherwise')}
          </chakra.button>
        </Box>
        <Action kind="main" minHeight="72px" px="8" fontSize="title" disabled={task.busy} onClick={onWelded}>
          {t('view.at-machine.welded')}
        </Action>
      </Box>
    </Box>
  );
}

function Outcome({
  run,
  order,
  onDecided,
}: {
  readonly run: Run;
  readonly order: Order | undefined;
  readonly onDecided: (run: Run) => void;
}) {
  if (run.state === 'held')
    return (
      <Box display="grid" gap="2">
        <Notice level="caution" word={t('view.at-machine.recorded-and-held')} urgent>
          <Box as="ul" ps="4" listStyleType="disc">
            {run.held.map(({ code, words }) => (
              <li key={code}>{format(words)}</li>
            ))}
          </Box>
        </Notice>
        <DecideRun run={run} onDecided={onDecided} />
      </Box>
    );
  return (
    <Box display="flex" gap="3" alignItems="center" flexWrap="wrap" fontSize="lead">
      <Box as="strong" color={run.state === 'slip' ? 'quiet' : 'spruce'}>
        {run.state === 'slip' ? t('view.at-machine.taken-back') : `✓ ${t('view.at-machine.recorded')}`}
      </Box>
      {order && (
        <Box>
          {t('view.at-machine.order-done', { number: order.number, done: order.done, quantity: order.quantity })}
        </Box>
      )}
      {run.state === 'counts' && <SlipBack run={run} onDecided={onDecided} />}
    </Box>
  );
}

/** A tap too many, taken back where it was made. */
function SlipBack({ run, onDecided }: { readonly run: Run; readonly onDecided: (run: Run) => void }) {
  const task = useTask();
  return (
    <>
      <Action
        kind="quiet"
        disabled={task.busy}
        onClick={() =>
          void task.run(async () =>
            onDecided(await api.decideRun(run.id, { decision: 'slip', reason: '', seen: run.state })),
          )
        }
      >
        {t('view.at-machine.take-back')}
      </Action>
      {task.problem !== null && <Box color="crimson">{task.problem}</Box>}
    </>
  );
}
