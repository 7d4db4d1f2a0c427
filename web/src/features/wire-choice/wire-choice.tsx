/** Which wire and gas suit this seam: ranked with reasons, ruled out with reasons, what the shop has, and what a change opens again. */
import { Box, Heading } from '@chakra-ui/react';
import { planRequest, type MachineResource, type SeamResource, type Stock } from '@fox-tempo/contract';
import {
  chartLineFor,
  lookAlikes,
  rankFillers,
  rankGases,
  rankSizes,
  retestList,
  sameWire,
  wireWords,
  type RankedChoice,
} from '@fox-tempo/core';
import { useMemo, useState } from 'react';
import { Link, useLoaderData } from 'react-router';
import { useStore } from 'zustand';
import { api } from '../../lib/api.ts';
import { Action } from '../../ui/action.tsx';
import { useKeptForm } from '../../ui/kept-text.ts';
import { Notice } from '../../ui/notice.tsx';
import { PageHead } from '../../ui/page-head.tsx';
import { Panel } from '../../ui/panel.tsx';
import { Cell, Heads, Table } from '../../ui/table.tsx';
import { Tick } from '../../ui/tick.tsx';
import { SeamSteps } from '../seam-steps/index.tsx';
import { createDraftStore, isEdited, sheetOf } from '../seams/index.ts';

export async function loadWireChoice({ params, request }: { params: { id?: string | undefined }; request: Request }) {
  const [seam, machines, stock] = await Promise.all([
    api.seam(params.id ?? '', request.signal),
    api.machines(request.signal),
    api.stock(request.signal),
  ]);
  return { seam, machines: machines.filter((machine) => !machine.retired), stock };
}

export function WireChoice() {
  const { seam, machines, stock } = useLoaderData<Awaited<ReturnType<typeof loadWireChoice>>>();
  return <Choice key={seam.id} seam={seam} machines={machines} stock={stock} />;
}

function Choice({
  seam,
  machines,
  stock,
}: {
  readonly seam: SeamResource;
  readonly machines: readonly MachineResource[];
  readonly stock: Stock;
}) {
  // The sheet's own draft: what is taken here stands there, unsaved, with its undo.
  const [store] = useState(() => createDraftStore(seam.id, { version: seam.version, sheet: sheetOf(seam) }));
  const draft = useStore(store);
  const { spec, choice } = draft.sheet;
  const [wishes, setWishes] = useKeptForm(`wishes/${seam.id}`, { anodised: false, brazed: false });
  const request = planRequest(spec, choice);
  const fillerRows = useMemo(
    () => rankFillers(planRequest(spec, choice).seam, { grade: spec.grade, ...wishes }),
    [spec, choice, wishes],
  );
  const sizeRows = useMemo(() => rankSizes(planRequest(spec, choice)), [spec, choice]);
  const gasRows = useMemo(() => rankGases(planRequest(spec, choice)), [spec, choice]);
  const take = (change: Partial<typeof choice>) =>
    store.getState().edit(
      // A feed chosen for one wire says nothing about another.
      (sheet) => ({ ...sheet, choice: { ...sheet.choice, ...change, wireFeedMPerMin: null } }),
      'wire choice',
    );
  const saved = seam.revision?.program;
  const retests = saved ? retestList(saved, choice, saved) : [];
  const stocked = (
    test: (one: { filler?: string; diameterMm?: number; gas?: string; machineId: string | null }) => boolean,
  ) => {
    const where = [...stock.spools, ...stock.cylinders].filter(test);
    if (where.length === 0) return undefined;
    const onMachines = where.flatMap(
      (one) => machines.find((machine) => machine.id === one.machineId)?.file.name ?? [],
    );
    return onMachines.length > 0 ? `on ${[...new Set(onMachines)].join(', ')}` : 'in the store';
  };
  return (
    <>
      <PageHead
        title={`Wire and gas for ${spec.name}`}
        line={`${seam.partName} · ${spec.grade} · ${wireWords(choice.filler, choice.diameterMm)}`}
      >
        {isEdited(draft) && (
          <>
            <Box role="status" color="quiet" fontSize="13px">
              changed, not saved
            </Box>
            <Action kind="quiet" disabled={draft.past.length === 0} onClick={draft.undo}>
              Undo
            </Action>
          </>
        )}
        <Box
          asChild
          display="inline-flex"
          alignItems="center"
          minHeight="44px"
          px="3.5"
          bg="accent"
          color="onAccent"
          borderRadius="3px"
          fontWeight={600}
          fontSize="14px"
        >
          <Link to={`/seams/${seam.id}`}>To the sheet with it</Link>
        </Box>
      </PageHead>
      <Box px="3" pt="1">
        <SeamSteps seamId={seam.id} />
      </Box>
      <Box as="main" id="content" tabIndex={-1} p="3" display="grid" gap="3" minWidth={0}>
        {retests.length > 0 && saved && (
          <Panel title="What this change opens again">
            <Box fontSize="13.5px" mb="2">
              The saved setting was made for {wireWords(saved.filler, saved.diameterMm)} in {saved.gas}; this is a new
              program, not the old one with another wire.
            </Box>
            <Box as="ul" listStyleType="none">
              {retests.map(({ id, title, why }) => (
                <Box
                  as="li"
                  key={id}
                  display="grid"
                  gridTemplateColumns={{ md: '260px 1fr' }}
                  gap="3"
                  py="1"
                  borderTopWidth="1px"
                  borderColor="line"
                  fontSize="14px"
                >
                  <Box fontWeight={600}>{title}</Box>
                  <Box>{why}</Box>
                </Box>
              ))}
            </Box>
          </Panel>
        )}
        <Box
          display="grid"
          gap="3"
          gridTemplateColumns={{ base: '1fr', lg: 'repeat(3, minmax(0, 1fr))' }}
          alignItems="start"
        >
          <Ranked
            title="Filler"
            rows={fillerRows}
            chosen={choice.filler}
            onTake={(filler) => take({ filler })}
            stockOf={(filler) => stocked((one) => one.filler === filler)}
          >
            {spec.materialGroup === 'aluminium' && (
              <Tick checked={wishes.anodised} onChange={(anodised) => setWishes({ ...wishes, anodised })}>
                The part will be anodised
              </Tick>
            )}
            {(spec.materialGroup === 'steel' || spec.materialGroup === 'stainless') && (
              <Tick checked={wishes.brazed} onChange={(brazed) => setWishes({ ...wishes, brazed })}>
                It is meant to be brazed
              </Tick>
            )}
          </Ranked>
          <Ranked
            title="Size"
            rows={sizeRows}
            chosen={choice.diameterMm}
            onTake={(diameterMm) => take({ diameterMm })}
            stockOf={(diameterMm) =>
              stocked(
                (one) =>
                  one.filler !== undefined &&
                  one.diameterMm !== undefined &&
                  sameWire({ filler: one.filler, diameterMm: one.diameterMm }, { filler: choice.filler, diameterMm }),
              )
            }
          />
          <Ranked
            title={`Gas for ${request.mode.replace('-', ' ')}`}
            rows={gasRows}
            chosen={choice.gas}
            onTake={(gas) => take({ gas })}
            stockOf={(gas) => stocked((one) => one.gas === gas)}
          />
        </Box>
        <Panel title="Its number on each machine">
          <Table label="Chart lines for this wire and gas">
            <Heads names={['Machine', 'Line', 'Number', 'Easily taken for']} right={['Number']} />
            <tbody>
              {machines.map(({ id, file }) => {
                const line = chartLineFor(file.chartLines, request);
                const similar = line ? lookAlikes(file.chartLines, line) : [];
                return (
                  <tr key={id}>
                    <Cell head>{file.name}</Cell>
                    <Cell>{line ? line.words : 'no line for this wire, gas and way'}</Cell>
                    <Cell figure fontSize="18px">
                      {line?.number ?? '–'}
                    </Cell>
                    <Cell color="ochre">{similar.map((one) => `${one.number} (${one.words})`).join('; ')}</Cell>
                  </tr>
                );
              })}
            </tbody>
          </Table>
        </Panel>
      </Box>
    </>
  );
}

const marks = {
  'first choice': { sign: '●', colour: 'spruce' },
  'runner-up': { sign: '◐', colour: 'spruce' },
  possible: { sign: '○', colour: 'quiet' },
  'ruled out': { sign: '✕', colour: 'crimson' },
} as const;

function Ranked<T extends string | number>({
  title,
  rows,
  chosen,
  onTake,
  stockOf,
  children,
}: {
  readonly title: string;
  readonly rows: readonly RankedChoice<T>[];
  readonly chosen: T;
  readonly onTake: (value: T) => void;
  readonly stockOf: (value: T) => string | undefined;
  readonly children?: React.ReactNode;
}) {
  const [showsOut, setShowsOut] = useState(false);
  const inPlace = rows.filter((row) => row.verdict !== 'ruled out' || row.value === chosen);
  const out = rows.filter((row) => row.verdict === 'ruled out' && row.value !== chosen);
  return (
    <Panel title={title}>
      {children}
      <Box as="ul" listStyleType="none">
        {[...inPlace, ...(showsOut ? out : [])].map((row) => {
          const mark = marks[row.verdict];
          const isChosen = row.value === chosen;
          const stock = stockOf(row.value);
          return (
            <Box
              as="li"
              key={row.value}
              borderTopWidth="1px"
              borderColor="line"
              py="2"
              {...(isChosen
                ? { bg: 'accentSoft', mx: '-12px', px: '12px', borderLeftWidth: '4px', borderLeftColor: 'accent' }
                : {})}
            >
              <Box display="flex" justifyContent="space-between" gap="2" alignItems="flex-start">
                <Box minWidth={0}>
                  <Heading as="h3" fontSize="15px" fontWeight={600}>
                    {row.name}
                  </Heading>
                  <Box fontSize="12.5px" fontWeight={600} color={mark.colour}>
                    {mark.sign} {row.verdict}
                    {stock === undefined ? '' : ` · ${stock}`}
                  </Box>
                </Box>
                {isChosen ? (
                  <Box fontSize="13px" color="accent" fontWeight={600} flexShrink={0}>
                    taken
                  </Box>
                ) : (
                  row.verdict !== 'ruled out' && (
                    <Action
                      kind="quiet"
                      fontSize="13px"
                      aria-label={`Take ${row.name}`}
                      onClick={() => onTake(row.value)}
                    >
                      Take
                    </Action>
                  )
                )}
              </Box>
              <Box fontSize="13px" mt="0.5">
                {row.reasons.join('; ')}
              </Box>
              {row.cautions.map((caution) => (
                <Box key={caution} fontSize="13px" color="ochre" mt="0.5">
                  ◇ {caution}
                </Box>
              ))}
            </Box>
          );
        })}
      </Box>
      {out.length > 0 && (
        <Action kind="quiet" fontSize="13px" aria-expanded={showsOut} onClick={() => setShowsOut(!showsOut)}>
          {showsOut ? 'Hide' : 'Show'} {out.length} ruled out, and why
        </Action>
      )}
      {inPlace.length === 0 && <Notice level="caution">Nothing on the list suits; see why below.</Notice>}
    </Panel>
  );
}
