/** The phases in numbers, and the weld played by the trigger. */
import { t } from '../../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import { startLag } from '@fox-tempo/core/machine/dials';
import type { SequenceOnMachine } from '@fox-tempo/core/weld/score';
import type { Phase } from '@fox-tempo/core/weld/sequence';
import type { SheetSession } from '../../../sheet/session.ts';
import { Panel } from '../../../ui/panel.tsx';
import { Checks } from './checks.tsx';
import type { LevelUnit } from '../staves/levels.ts';
import { PhaseStrip } from './phase-strip.tsx';
import { PhaseTable } from './phase-table.tsx';
import type { PlaySession } from './play-session.ts';
import { Play } from './play.tsx';
import type { Score } from '../use-score.ts';

export interface PlayPartProps {
  readonly session: SheetSession;
  readonly score: Score;
  readonly whole: NonNullable<Score['whole']>;
  readonly player: PlaySession;
  /** The sequence as this machine takes it; null where it is not described. */
  readonly there: SequenceOnMachine | null;
  readonly unit: LevelUnit;
  readonly onUnit: (unit: LevelUnit) => void;
  readonly selected: Phase;
  readonly onSelect: (phase: Phase) => void;
  readonly sound: boolean;
  readonly onSound: (on: boolean) => void;
}

export function PlayPart({
  session: { seam, machine },
  score,
  whole,
  player,
  there,
  unit,
  onUnit,
  selected,
  onSelect,
  sound,
  onSound,
}: PlayPartProps) {
  const standing = machine?.standing?.dials;
  const lag = machine && standing ? startLag(machine.file, standing, whole.program) : null;
  const hasDial = (quantity: string) =>
    there !== null &&
    machine?.file.dials.some(({ scale }) => 'quantity' in scale && scale.quantity === quantity) === true;
  return (
    <Box
      display="grid"
      gap="3"
      gridTemplateColumns={{ base: '1fr', lg: 'minmax(0, 1.6fr) minmax(316px, 1fr)' }}
      alignItems="start"
    >
      <Box display="grid" gap="3" minWidth={0}>
        <Panel px="4" py="2">
          <PhaseStrip
            seamId={seam.id}
            score={score}
            whole={whole}
            selected={selected}
            unit={unit}
            hasTrims={{
              start: hasDial('startTrimMm'),
              end: hasDial('endTrimMm'),
              second: hasDial('secondTrimMm'),
              machine: machine?.file.name ?? t('view.machines.this-machine'),
            }}
            onSelect={onSelect}
            onUnit={onUnit}
          />
        </Panel>
        <PhaseTable
          whole={whole}
          there={there}
          machine={machine?.file.name ?? null}
          selected={selected}
          onSelect={onSelect}
        />
      </Box>
      <Box display="grid" gap="3" minWidth={0} order={{ base: -1, lg: 0 }}>
        <Play whole={whole} session={player} sound={sound} onSound={onSound} />
        <Checks whole={whole} lag={lag} onSelect={onSelect} />
      </Box>
    </Box>
  );
}
