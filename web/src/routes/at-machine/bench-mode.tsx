/** The card full screen at the machine: one big line a dial, ticked by tap or key; what would hold the part is said before it is welded. */
import { Box, Heading } from '@chakra-ui/react';
import type { MachineResource, ProgramFile, Revision, SeamResource } from '@fox-tempo/contract';
import { whyHeld } from '@fox-tempo/core/evidence/run';
import { dialWindowWords, type Offset, windowOnDials, withOffset } from '@fox-tempo/core/evidence/window';
import { displayed, toldDials } from '@fox-tempo/core/machine/description';
import { cardOf, type DialSetting, whyNotWords } from '@fox-tempo/core/machine/dials';
import { standsAt } from '@fox-tempo/core/machine/setup';
import { stepDial } from '@fox-tempo/core/machine/tuning';
import { useEffect, useMemo } from 'react';
import { Link, useLoaderData, useNavigate, useParams, useSearchParams } from 'react-router';
import { api } from '../../data/api.ts';
import { useKept } from '../../data/queries.ts';
import { useTask } from '../../lib/use-task.ts';
import { format, formatIf, t } from '../../lib/words.ts';
import { useMe } from '../../session/session.ts';
import { useMachineFor } from '../../sheet/machine-choice.ts';
import { standingMachine, type StandingMachine } from '../../sheet/standing-machine.ts';
import { Action } from '../../ui/action.tsx';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { Notice } from '../../ui/notice.tsx';
import { usePageTitle } from '../../ui/use-page-title.ts';
import { ByHand, Loaded } from './beside-dials.tsx';
import { BigLine } from './big-line.tsx';
import type { BenchModeData } from './load.ts';
import { LogRun } from './log-run.tsx';
import { useTicks } from './use-ticks.ts';

export function BenchMode() {
  const data = useLoaderData<BenchModeData>();
  const { id = '' } = useParams();
  return <Whole key={id} data={data} />;
}

function Whole({ data }: { readonly data: BenchModeData }) {
  const [seam, setSeam] = useKept('seam', data.seam, { params: { id: data.seam.id } });
  const [params, setParams] = useSearchParams();
  const offered = useMachineFor(data.machines, seam);
  const named = data.machines.find(({ id }) => id === params.get('machine'));
  const machine = named ? standingMachine(named) : offered;
  usePageTitle(t('view.at-machine.at-the-machine', { seam: seam.spec.name }));
  const issued = machine && seam.issued.find(({ machineId }) => machineId === machine.id);
  const revision =
    issued === undefined || issued.revision === seam.revision?.number
      ? seam.revision
      : (data.older.find(({ number }) => number === issued.revision) ?? seam.revision);
  const printed = Number(params.get('revision') ?? Number.NaN);
  return (
    <Box
      minHeight="100vh"
      bg="page"
      color="ink"
      display="flex"
      flexDirection="column"
      as="main"
      id="content"
      aria-label={t('view.at-machine.title')}
    >
      <Box
        display="flex"
        gap="4"
        alignItems="center"
        flexWrap="wrap"
        px="4"
        py="2"
        borderBottomWidth="2px"
        borderColor="accent"
      >
        <Box minWidth={0} flex="1 1 340px">
          <Heading as="h1" fontSize="big" fontWeight={650} lineHeight="1.15">
            {seam.spec.name}
          </Heading>
          <Box color="quiet" fontSize="text">
            {seam.partName}
            {revision && (
              <>
                {' · '}
                {t('view.at-machine.revision', { number: revision.number })}{' '}
                {issued
                  ? t('view.at-machine.in-force', { by: issued.by, reason: issued.reason })
                  : t('view.at-machine.no-reference-issued')}
              </>
            )}
          </Box>
        </Box>
        {machine && data.machines.length > 1 && (
          <Box width="220px">
            <ChoiceField
              label={t('view.dial-card.machine')}
              value={machine.id}
              choices={data.machines.map(({ id, file }) => ({ value: id, label: `${file.name}, ${file.place}` }))}
              onChange={(next) => setParams({ machine: next }, { replace: true })}
            />
          </Box>
        )}
        <Action asChild>
          <Link to={`/seams/${seam.id}`}>{t('view.at-machine.leave')}</Link>
        </Action>
      </Box>
      {!revision || !machine || machine.file.dials.length === 0 ? (
        <Box p="4">
          <Notice level="note">{revision ? t('view.dial-card.no-machine') : t('view.trials.no-setting')}</Notice>
        </Box>
      ) : (
        <>
          {Number.isInteger(printed) && printed !== revision.number && (
            <Box px="4" pt="2">
              <Notice level="caution" word={t('view.at-machine.superseded')} urgent>
                {t('view.at-machine.it-is-revision', { printed, number: revision.number })}
              </Notice>
            </Box>
          )}
          <Card
            key={`${machine.id} ${revision.number}`}
            seam={seam}
            machine={machine}
            revision={revision}
            inForce={issued?.revision ?? null}
            data={data}
            onSeam={setSeam}
          />
        </>
      )}
    </Box>
  );
}

function Card({
  seam,
  machine,
  revision,
  inForce,
  data,
  onSeam,
}: {
  readonly seam: SeamResource;
  readonly machine: StandingMachine;
  readonly revision: Revision;
  readonly inForce: number | null;
  readonly data: BenchModeData;
  readonly onSeam: (seam: SeamResource) => void;
}) {
  const me = useMe();
  const navigate = useNavigate();
  const task = useTask();
  const written = seam.windows.find((one) => one.machineId === machine.id && one.revision === revision.number);
  const own = seam.offsets.find(
    (one) => one.machineId === machine.id && one.personId === me?.id && one.revision === revision.number,
  );
  const { program: issued } = revision;
  const program: ProgramFile = useMemo(() => (own ? withOffset(issued, own.offset) : issued), [issued, own]);
  const { dials, cannot } = useMemo(() => cardOf(machine.file, program), [machine, program]);
  const ends = useMemo(
    () => (written ? windowOnDials(machine.file, issued, written.window) : []),
    [written, machine, issued],
  );
  const known = machine.standing?.dials ?? {};
  const stands = (dial: DialSetting) => standsAt(known, dial.dialId, dial.value);
  // The number first, since it changes what the others mean; then what is still to be set.
  const rank = (dial: DialSetting) => (dial.quantity === 'chart-line' ? 0 : stands(dial) ? 2 : 1);
  const lines = [...dials].sort((a, b) => rank(a) - rank(b));
  const ticks = useTicks(machine, seam.id, lines);
  const { isTicked, toggle, left } = ticks;

  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      if (event.target instanceof HTMLInputElement || event.target instanceof HTMLSelectElement) return;
      const dial = lines[Number(event.key) - 1];
      if (dial) toggle(dial);
      else if (event.key === 'Escape') void navigate(`/seams/${seam.id}`);
      else return;
      event.preventDefault();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });

  const held = whyHeld({
    machine: machine.file,
    state: machine.standing,
    program: issued,
    revision: revision.number,
    inForce,
    // What was ticked just now counts like any other evidence.
    dials: ticks.dials,
    // Its order is chosen only when it is logged.
    order: null,
  });
  const step = (quantity: keyof Offset, by: 1 | -1) => {
    const next = stepDial(machine.file, program, quantity, by);
    const here = stepDial(machine.file, program, quantity, 0);
    if (!next || !here || !me) return;
    const offset = {
      ...(own?.offset ?? {}),
      [quantity]: Number((program[quantity] + next.figure - here.figure - issued[quantity]).toFixed(4)),
    };
    void task.run(async () =>
      onSeam(await api.saveOffset(seam.id, { machineId: machine.id, revision: revision.number, offset })),
    );
  };

  return (
    <>
      <Box px="4" pt="2" display="grid" gap="2">
        {cannot && (
          <Notice level="refusal" word={t('view.dial-card.no-dials')}>
            {format(whyNotWords(machine.file, program, cannot))}
          </Notice>
        )}
        {held.length > 0 ? (
          <Notice level="caution" word={t('view.at-machine.not-ready')}>
            {t('view.at-machine.would-be-held')}
            <Box as="ul" ps="4" listStyleType="disc">
              {held.map(({ code, words }) => (
                <li key={code}>{format(words)}</li>
              ))}
            </Box>
            <Box asChild fontWeight={600} textDecoration="underline">
              <Link to={`/seams/${seam.id}/setup`}>{t('view.at-machine.set-up')}</Link>
            </Box>
          </Notice>
        ) : (
          <Loaded machine={machine} program={issued} left={left} />
        )}
        {ticks.isUnstored && <Notice level="note">{t('view.at-machine.tick-not-stored')}</Notice>}
        {task.problem !== null && <Notice level="refusal">{task.problem}</Notice>}
      </Box>
      <Box
        as="ul"
        listStyleType="none"
        aria-label={t('view.at-machine.dials')}
        display="grid"
        gridTemplateColumns={{ base: '1fr', lg: '1fr 1fr' }}
        columnGap="3"
        px="4"
        py="2"
        alignContent="start"
        flex="1"
      >
        {lines.map((dial, at) => {
          const window = ends.find(({ dialId }) => dialId === dial.dialId);
          const quantity = movable(dial.quantity);
          return (
            <BigLine
              key={dial.dialId}
              digit={at < 9 ? at + 1 : null}
              label={dial.label}
              where={[dial.where, formatIf(dial.sense) ?? ''].filter(Boolean).join('; ')}
              display={dial.display}
              unit={dial.unit}
              ends={formatIf(dialWindowWords(machine.file, ends, dial.dialId))}
              was={stands(dial) ? undefined : wasOn(machine, dial)}
              isTicked={isTicked(dial)}
              onTick={() => toggle(dial)}
              onStep={window && quantity ? (by) => step(quantity, by) : undefined}
              canStep={canStep(machine, program, quantity, written?.window)}
            />
          );
        })}
      </Box>
      <ByHand program={program} lengthMm={seam.spec.lengthMm} machine={machine} />
      <LogRun seam={seam} machine={machine} revision={revision} data={data} ticks={ticks} lines={lines} />
    </>
  );
}

function movable(quantity: DialSetting['quantity']): keyof Offset | undefined {
  return quantity === 'wireFeedMPerMin' || quantity === 'trimMm' || quantity === 'stiffness' ? quantity : undefined;
}

function canStep(
  machine: StandingMachine,
  program: ProgramFile,
  quantity: keyof Offset | undefined,
  window: SeamResource['windows'][number]['window'] | undefined,
) {
  const range = quantity && window?.[quantity];
  if (!quantity || !range) return { down: false, up: false };
  const here = stepDial(machine.file, program, quantity, 0)?.figure ?? 0;
  const by = (steps: number) =>
    program[quantity] + (stepDial(machine.file, program, quantity, steps)?.figure ?? 0) - here;
  return {
    down: by(-1) >= range[0] - 1e-6 && by(-1) < program[quantity],
    up: by(1) <= range[1] + 1e-6 && by(1) > program[quantity],
  };
}

function wasOn({ standing, file }: MachineResource, { dialId }: DialSetting): string | undefined {
  const now = standing?.dials[dialId];
  const scale = toldDials(file).find(({ id }) => id === dialId)?.scale;
  return now === undefined || !scale ? undefined : displayed(scale, now);
}
