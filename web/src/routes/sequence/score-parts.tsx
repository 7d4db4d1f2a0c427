/** The parts of a score: the staves over all of them, then phases and play, machines side by side, start and stop, tacks. */
import { nominalCircuitMOhm } from '@fox-tempo/core/metal/arc';
import { t } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import type { MachineResource } from '@fox-tempo/contract';
import { translate } from '@fox-tempo/core/machine/dials';
import { sequenceOnMachine } from '@fox-tempo/core/weld/score';
import type { Phase, TriggerSequence } from '@fox-tempo/core/weld/sequence';
import { useCallback, useMemo, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import type { SheetSession } from '../../sheet/session.ts';
import { Action } from '../../ui/action.tsx';
import { useKeptForm } from '../../ui/kept-text.ts';
import { Panel } from '../../ui/panel.tsx';
import { Drawn } from './staves/drawn.tsx';
import { EndsPart } from './ends/ends-part.tsx';
import { FilePart } from './file-part.tsx';
import type { LevelUnit } from './staves/levels.ts';
import { LiveStaves } from './staves/live-staves.tsx';
import { MachinesPart } from './machines-part.tsx';
import { PlayPart } from './phases/play-part.tsx';
import { usePlaying } from './phases/play.tsx';
import { Staves } from './staves/staves.tsx';
import { TacksPart } from './tacks/tacks-part.tsx';
import { useFound } from './use-found.ts';
import { usePlayer } from './phases/use-player.ts';
import type { useScore } from './use-score.ts';

const parts = [
  { id: 'play', name: t('view.sequence.phases-and-play') },
  { id: 'machines', name: t('view.sequence.on-two-machines') },
  { id: 'ends', name: t('view.sequence.start-and-stop') },
  { id: 'tacks', name: t('view.sequence.tacks-and-stitches') },
] as const;
type Part = (typeof parts)[number]['id'];

export function ScoreParts({
  session,
  score,
  whole,
}: {
  readonly session: SheetSession;
  readonly score: ReturnType<typeof useScore>;
  readonly whole: NonNullable<ReturnType<typeof useScore>['whole']>;
}) {
  const { seam, sheet, machine, machines, settle } = session;
  const { id = '', part: asked } = useParams();
  const part: Part = parts.find((one) => one.id === asked)?.id ?? 'play';
  const navigate = useNavigate();
  const [selected, select] = useState<Phase>('start');
  const [{ unit }, keepUnit] = useKeptForm<{ unit: LevelUnit }>('score-levels', { unit: 'percent' });
  const [pair, setPair] = useState<readonly [string, string]>(() => firstPair(machines, machine));
  const [sound, setSound] = useState(false);
  const player = usePlayer(whole, machine?.file.circuitMOhm ?? nominalCircuitMOhm);
  usePlaying(part === 'play' ? player : null, sound);
  const there = useMemo(
    () =>
      machine && machine.file.dials.length > 0
        ? sequenceOnMachine(machine.file, whole.program, translate(machine.file, whole.program))
        : null,
    [machine, whole.program],
  );
  const onEdit = useCallback((change: Partial<TriggerSequence>, field: string) => score.edit(change, field), [score]);
  const onFound = useFound();
  return (
    <>
      <Panel px="3" py="2">
        <Drawn session={player} isPlaying={part === 'play'}>
          {(isLive) =>
            isLive ? (
              <LiveStaves whole={whole} session={player} unit={unit} />
            ) : (
              <Staves
                whole={whole}
                unit={unit}
                selected={selected}
                onSelect={select}
                onEdit={onEdit}
                onSettle={settle}
              />
            )
          }
        </Drawn>
      </Panel>
      <Box as="nav" aria-label={t('view.sequence.sections')} display="flex" flexWrap="wrap" gap="1">
        {parts.map(({ id: to, name }) => (
          <Action
            key={to}
            kind="quiet"
            aria-current={to === part ? 'page' : undefined}
            borderBottomWidth="3px"
            borderBottomColor={to === part ? 'accent' : 'line'}
            bg={to === part ? 'accentSoft' : 'transparent'}
            onClick={() =>
              void navigate(to === 'play' ? `/sequence/${id}` : `/sequence/${id}/${to}`, { preventScrollReset: true })
            }
          >
            {name}
          </Action>
        ))}
        <Box flex="1" />
        <FilePart name={sheet.spec.name} score={score} whole={whole} />
      </Box>
      {part === 'play' && (
        <PlayPart
          session={session}
          score={score}
          whole={whole}
          player={player}
          there={there}
          unit={unit}
          onUnit={(next) => keepUnit({ unit: next })}
          selected={selected}
          onSelect={select}
          sound={sound}
          onSound={setSound}
        />
      )}
      {part === 'machines' && (
        <MachinesPart machines={machines} whole={whole} pair={pair} onPair={setPair} onFound={onFound} />
      )}
      {part === 'ends' && <EndsPart seamId={seam.id} score={score} whole={whole} machine={machine} />}
      {part === 'tacks' && <TacksPart seamId={seam.id} score={score} whole={whole} machine={machine} />}
    </>
  );
}

function firstPair(
  machines: readonly MachineResource[],
  machine: MachineResource | undefined,
): readonly [string, string] {
  const described = machines.filter(({ file }) => file.dials.length > 0).map(({ id }) => id);
  const first = machine && described.includes(machine.id) ? machine.id : (described[0] ?? '');
  return [first, described.find((id) => id !== first) ?? first];
}
