/** Two short beads at two values of a dial: what is to be done, what was read, what follows from it, and keeping that with the dial. */
import { Box, Heading } from '@chakra-ui/react';
import type { Phrase } from '@fox-tempo/core/base/messages';
import type { Outcome } from '@fox-tempo/core/base/outcome';
import type { QuantityName } from '@fox-tempo/core/base/units';
import type { Dial } from '@fox-tempo/core/machine/description';
import { hazard } from '@fox-tempo/words';
import type { ReactNode } from 'react';
import { t, format, formatIf } from '../../lib/words.ts';
import type { Task } from '../../lib/use-task.ts';
import { Action } from '../../ui/action.tsx';
import { HazardText } from '../../ui/hazard-text.tsx';
import { forgetTexts, useKeptForm } from '../../ui/kept-text.ts';
import { Notice } from '../../ui/notice.tsx';
import { ValueField } from '../../ui/value-field.tsx';

/** What was read at one of the two beads; blank until it is typed. */
export type BeadRow<Name extends string> = Readonly<Partial<Record<Name | 'dialValue', number | null>>>;

export interface TwoBeadsProps<Name extends string, Found> {
  readonly dial: Dial;
  /** Name of the section, and its heading. */
  readonly label: string;
  readonly heading: string;
  /** What is missing before it can be done. */
  readonly missing?: string | undefined;
  readonly steps: readonly string[];
  readonly fields: readonly {
    readonly name: Name;
    readonly label: string;
    readonly of: QuantityName;
    readonly step?: number;
  }[];
  readonly keep: string;
  readonly task: Task;
  /** Undefined until enough is typed. */
  readonly outcomeOf: (rows: readonly [BeadRow<Name>, BeadRow<Name>]) => Outcome<Found> | undefined;
  readonly said: (found: Found) => ReactNode;
  readonly onFound: (found: Found) => Promise<boolean>;
  readonly onClose: () => void;
}

export function TwoBeads<Name extends string, Found extends { readonly because: Phrase }>(
  props: TwoBeadsProps<Name, Found>,
) {
  const { dial, label, heading, missing, steps, fields, keep, task, outcomeOf, said, onFound, onClose } = props;
  const untyped = {} as BeadRow<Name>;
  const [{ rows }, setRows, forget] = useKeptForm<{ readonly rows: readonly [BeadRow<Name>, BeadRow<Name>] }>(keep, {
    rows: [untyped, untyped],
  });
  const change = (index: 0 | 1, name: Name | 'dialValue', value: number | null) => {
    const [first, second] = rows;
    const typed = { ...rows[index], [name]: value };
    setRows({ rows: index === 0 ? [typed, second] : [first, typed] });
  };
  const outcome = outcomeOf(rows);
  return (
    <Box borderStartWidth="4px" borderColor="accent" ps="3" pe="1" py="1" my="2" as="section" aria-label={label}>
      <Heading as="h3" textStyle="heading" mb="1.5">
        {heading}
      </Heading>
      <Notice level="hazard" word={t('view.machines.before-you-begin')}>
        <HazardText said={hazard('view.machines.unit.caution')} />
      </Notice>
      {missing !== undefined && <Notice level="caution">{missing}</Notice>}
      <Box as="ol" ps="5" my="2" listStyleType="decimal" fontSize="text">
        {steps.map((step) => (
          <Box as="li" key={step} py="1">
            {step}
          </Box>
        ))}
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
            onValue={(value) => change(index, 'dialValue', value)}
          />
          {fields.map(({ name, label: said, of, step }) => (
            <ValueField
              key={name}
              label={said}
              of={of}
              value={rows[index][name] ?? null}
              keep={`${keep}/${index}/${name}`}
              {...(step === undefined ? {} : { step })}
              optional
              onValue={(value) => change(index, name, value)}
            />
          ))}
        </Box>
      ))}
      {outcome?.ok && (
        <Box fontSize="text" aria-live="polite">
          {said(outcome.value)}
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
              void onFound(outcome.value).then((done) => {
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
