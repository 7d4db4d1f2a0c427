/** What one unit of a dial is on this machine, from two short beads: arc length from the volts shown, feed from leg and travel speed. Kept with the dial. */
import { amount } from '@fox-tempo/core/base/messages';
import type { QuantityName } from '@fox-tempo/core/base/units';
import type { Dial } from '@fox-tempo/core/machine/description';
import type { FeederState } from '@fox-tempo/core/machine/setup';
import {
  measurable,
  unitFromTests,
  type MeasuredQuantity,
  type UnitReading,
  type UnitScale,
} from '@fox-tempo/core/machine/teaching';
import { wireInGas } from '@fox-tempo/core/metal/arc';
import type { Task } from '../../lib/use-task.ts';
import { t } from '../../lib/words.ts';
import { TwoBeads, type BeadRow } from './two-beads.tsx';

type Field = Exclude<keyof UnitReading, 'dialValue'>;

const fieldsOf: Record<
  MeasuredQuantity,
  readonly { readonly name: Field; readonly label: string; readonly of: QuantityName }[]
> = {
  trimMm: [{ name: 'voltageV', label: t('view.machines.volts-shown'), of: 'voltage' }],
  wireFeedMPerMin: [
    { name: 'legMm', label: t('view.machines.leg-measured'), of: 'shortLength' },
    { name: 'travelMmPerMin', label: t('view.machines.travel-timed'), of: 'travel' },
  ],
};
/** Length of a test bead, mm. */
const beadMm = 60;

export interface UnitTestProps {
  readonly dial: Dial;
  /** What is on the feeder that is switched on: the sum leans on its wire. */
  readonly loaded: FeederState | undefined;
  readonly keep: string;
  readonly task: Task;
  readonly onFound: (scale: UnitScale['scale']) => Promise<boolean>;
  readonly onClose: () => void;
}

export function UnitTestPanel({ dial, loaded, keep, task, onFound, onClose }: UnitTestProps) {
  const quantity = measurable(dial);
  if (quantity === undefined) return null;
  const length = amount('shortLength', beadMm);
  const heading = t('view.machines.two-beads-unit', { dial: dial.label });
  return (
    <TwoBeads
      dial={dial}
      label={heading}
      heading={heading}
      missing={loaded ? undefined : t('view.machines.unit.loaded-missing')}
      steps={[
        quantity === 'trimMm'
          ? t('view.machines.unit.volts-low', { dial: dial.label, length })
          : t('view.machines.unit.leg-low', { dial: dial.label, length }),
        t('view.machines.unit.set-high', { dial: dial.label }),
      ]}
      fields={fieldsOf[quantity]}
      keep={keep}
      task={task}
      outcomeOf={(rows) => {
        const [one, two] = rows.map(readingOf);
        return loaded && one && two
          ? unitFromTests(dial, wireInGas(loaded.filler, loaded.gas, loaded.diameterMm), [one, two])
          : undefined;
      }}
      said={({ because }) => t('view.simulator.because-line', { because })}
      onFound={({ scale }) => onFound(scale)}
      onClose={onClose}
    />
  );
}

/** Undefined until the dial's value is typed with everything that is read at it. */
function readingOf({ dialValue, ...rest }: BeadRow<Field>): UnitReading | undefined {
  const read = Object.entries(rest).filter((entry): entry is [Field, number] => typeof entry[1] === 'number');
  return typeof dialValue === 'number' && read.length > 0 ? { dialValue, ...Object.fromEntries(read) } : undefined;
}
