/** What stands on the dials, typed in one after the other; empty means not read. */
import { absent } from '@fox-tempo/core/base/messages';
import { t, named } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import type { MachineFile } from '@fox-tempo/contract';
import { displayed, toldDials, type Dial } from '@fox-tempo/core/machine/description';
import type { Task } from '../../lib/use-task.ts';
import { Action } from '../../ui/action.tsx';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { useKeptForm } from '../../ui/kept-text.ts';
import { Notice } from '../../ui/notice.tsx';
import { ValueField } from '../../ui/value-field.tsx';

export interface FoundFormProps {
  readonly file: MachineFile;
  /** Dials that are meant to stand there. */
  readonly reference: Readonly<Record<string, number>>;
  readonly keep: string;
  readonly task: Task;
  readonly onSend: (dials: Record<string, number>) => void;
  readonly onClose: () => void;
}

export function FoundForm({ file, reference, keep, task, onSend, onClose }: FoundFormProps) {
  const [dials, setDials, forget] = useKeptForm<Record<string, number>>(keep, {});
  const set = (id: string, value: number | null) => {
    const { [id]: _old, ...rest } = dials;
    setDials(value === null ? rest : { ...rest, [id]: value });
  };
  return (
    <Box as="section" aria-label={t('view.machines.read-back')} bg="page" p="3" borderRadius="4px" my="2">
      <Box display="grid" gridTemplateColumns={{ base: '1fr 1fr', md: 'repeat(4, 1fr)' }} gap="2.5">
        {toldDials(file)
          .filter((dial) => reference[dial.id] !== undefined)
          .map((dial) => (
            <DialReading
              key={dial.id}
              dial={dial}
              value={dials[dial.id] ?? null}
              meant={displayed(dial.scale, reference[dial.id] ?? 0)}
              keep={`${keep}/${dial.id}`}
              onValue={(value) => set(dial.id, value)}
            />
          ))}
      </Box>
      {task.problem !== null && (
        <Notice level="refusal" word={t('view.machines.not-stored')} urgent>
          {task.problem}
        </Notice>
      )}
      <Box display="flex" gap="2" mt="2.5" flexWrap="wrap">
        <Action
          kind="main"
          disabled={task.busy || Object.keys(dials).length === 0}
          onClick={() => {
            onSend(dials);
            forget();
          }}
        >
          {t('view.machines.keep-as-found')}
        </Action>
        <Action kind="plain" disabled={task.busy} onClick={() => onSend({ ...reference })}>
          {t('view.machines.all-as-stored')}
        </Action>
        <Action kind="quiet" onClick={onClose}>
          {t('view.library.cancel')}
        </Action>
      </Box>
    </Box>
  );
}

type FileDial = Pick<Dial, 'scale' | 'label' | 'unit'>;

/** One dial's reading: a choice where it has positions, a number where it turns. */
export function DialReading({
  dial,
  value,
  meant,
  keep,
  onValue,
}: {
  readonly dial: FileDial;
  readonly value: number | null;
  readonly meant?: string;
  readonly keep: string;
  readonly onValue: (value: number | null) => void;
}) {
  const { scale, label, unit } = dial;
  const hint = meant === undefined ? undefined : t('view.machines.meant', { meant, unit: unit === '' ? absent : unit });
  if (scale.kind === 'named' || scale.kind === 'stepped') {
    return (
      <ChoiceField
        label={label}
        value={value === null ? '' : String(value)}
        choices={[
          { value: '', label: named('not read') },
          ...scale.positions.map((position, at) => ({ value: String(at), label: position.label })),
        ]}
        onChange={(next) => onValue(next === '' ? null : Number(next))}
        hint={hint}
      />
    );
  }
  return (
    <ValueField
      label={unit === '' ? label : `${label} (${unit})`}
      of="plain"
      value={value}
      keep={keep}
      optional
      {...(scale.kind === 'chart-line'
        ? { whole: true }
        : { range: [scale.min, scale.max] as const, step: scale.step })}
      hint={hint}
      onValue={onValue}
    />
  );
}
