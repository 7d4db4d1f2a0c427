/** What one unit of a dial is on this machine, from two short beads: arc length from the volts shown, feed from leg and travel speed. Kept with the dial. */
import { HazardText } from '../../ui/hazard-text.tsx';
import { hazard } from '@fox-tempo/words';
import { Box, Heading } from '@chakra-ui/react';
import { wireInGas } from '@fox-tempo/core/metal/arc';
import {
  measurable,
  unitFromTests,
  type MeasuredQuantity,
  type UnitReading,
  type UnitScale,
} from '@fox-tempo/core/machine/teaching';
import { type Dial } from '@fox-tempo/core/machine/description';
import { amount } from '@fox-tempo/core/base/messages';
import type { FeederState } from '@fox-tempo/core/machine/setup';
import type { QuantityName } from '@fox-tempo/core/base/units';
import type { Task } from '../../lib/use-task.ts';
import { t, format, formatIf } from '../../lib/words.ts';
import { Action } from '../../ui/action.tsx';
import { forgetTexts, useKeptForm } from '../../ui/kept-text.ts';
import { Notice } from '../../ui/notice.tsx';
import { ValueField } from '../../ui/value-field.tsx';

type Field = Exclude<keyof UnitReading, 'dialValue'>;
type Row = Readonly<Partial<Record<keyof UnitReading, number | null>>>;

const fieldsOf: Record<
  MeasuredQuantity,
  readonly { readonly key: Field; readonly label: string; readonly of: QuantityName }[]
> = {
  trimMm: [{ key: 'voltageV', label: t('view.machines.volts-shown'), of: 'voltage' }],
  wireFeedMPerMin: [
    { key: 'legMm', label: t('view.machines.leg-measured'), of: 'shortLength' },
    { key: 'travelMmPerMin', label: t('view.machines.travel-timed'), of: 'travel' },
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
  const [{ rows }, setRows, forget] = useKeptForm<{ readonly rows: readonly [Row, Row] }>(keep, { rows: [{}, {}] });
  const quantity = measurable(dial);
  if (quantity === undefined) return null;
  const change = (index: 0 | 1, next: Row) => {
    const [first, second] = rows;
    setRows({ rows: index === 0 ? [{ ...first, ...next }, second] : [first, { ...second, ...next }] });
  };
  const readings = rows.map(readingOf);
  const [one, two] = readings;
  const outcome =
    loaded && one && two
      ? unitFromTests(dial, wireInGas(loaded.filler, loaded.gas, loaded.diameterMm), [one, two])
      : undefined;
  const length = amount('shortLength', beadMm);
  return (
    <Box
      borderStartWidth="4px"
      borderColor="accent"
      ps="3"
      pe="1"
      py="1"
      my="2"
      as="section"
      aria-label={t('view.machines.two-beads-unit', { dial: dial.label })}
    >
      <Heading as="h3" textStyle="heading" mb="1.5">
        {t('view.machines.two-beads-unit', { dial: dial.label })}
      </Heading>
      <Notice level="hazard" word={t('view.machines.before-you-begin')}>
        <HazardText said={hazard('view.machines.unit.caution')} />
      </Notice>
      {!loaded && <Notice level="caution">{t('view.machines.unit.loaded-missing')}</Notice>}
      <Box as="ol" ps="5" my="2" listStyleType="decimal" fontSize="text">
        <Box as="li" py="1">
          {quantity === 'trimMm'
            ? t('view.machines.unit.volts-low', { dial: dial.label, length })
            : t('view.machines.unit.leg-low', { dial: dial.label, length })}
        </Box>
        <Box as="li" py="1">
          {t('view.machines.unit.set-high', { dial: dial.label })}
        </Box>
      </Box>
      {([0, 1] as const).map((index) => (
        <Box key={index} display="grid" gap="3" mb="2" gridTemplateColumns="repeat(3, minmax(0, 1fr))" maxWidth="720px">
          <ValueField
            label={
              index === 0 ? t('view.machines.low', { dial: dial.label }) : t('view.machines.high', { dial: dial.label })
            }
            of="plain"
            value={rows[index].dialValue ?? null}
            keep={`${keep}/${index}/dial`}
            optional
            onValue={(dialValue) => change(index, { dialValue })}
          />
          {fieldsOf[quantity].map(({ key, label, of }) => (
            <ValueField
              key={key}
              label={label}
              of={of}
              value={rows[index][key] ?? null}
              keep={`${keep}/${index}/${key}`}
              optional
              onValue={(value) => change(index, { [key]: value })}
            />
          ))}
        </Box>
      ))}
      {outcome?.ok && (
        <Box fontSize="text" aria-live="polite">
          {t('view.simulator.because-line', { because: outcome.value.because })}
        </Box>
      )}
      {outcome?.ok === false &&
        outcome.issues.map((issue) => (
          <Notice key={`${issue.path}${issue.code}`} level="refusal" word={t('view.simulator.not-yet')}>
            {format(issue.message)} {format(formatIf(issue.hint) ?? '')}
          </Notice>
        ))}
      {task.problem !== null && (
        <Notice level="refusal" word={t('view.machines.not-stored')} urgent>
          {task.problem}
        </Notice>
      )}
      <Box display="flex" gap="2" mt="2">
        <Action
          kind="main"
          disabled={task.busy || !outcome?.ok}
          onClick={() => {
            if (outcome?.ok)
              void onFound(outcome.value.scale).then((done) => {
                if (!done) return;
                forget();
                forgetTexts(keep);
              });
          }}
        >
          {t('view.machines.unit.keep')}
        </Action>
        <Action kind="quiet" onClick={onClose}>
          {t('view.machines.test.not-now')}
        </Action>
      </Box>
    </Box>
  );
}

/** Undefined until the dial's value is typed with everything that is read at it. */
function readingOf({ dialValue, ...rest }: Row): UnitReading | undefined {
  const read = Object.entries(rest).filter((entry): entry is [Field, number] => typeof entry[1] === 'number');
  return typeof dialValue === 'number' && read.length > 0 ? { dialValue, ...Object.fromEntries(read) } : undefined;
}
