/** What the list of trials is filtered by, and the filters somebody comes back to, kept on this device. */
import { Box, chakra } from '@chakra-ui/react';
import { may } from '@fox-tempo/contract';
import { materialGroups, materialOf } from '@fox-tempo/core/metal/consumables';
import { symptomCodes, symptoms } from '@fox-tempo/core/evidence/trial';
import { X } from 'lucide-react';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import type { MachineResource } from '@fox-tempo/contract';
import { keep, recall } from '../../lib/device.ts';
import { t } from '../../lib/words.ts';
import { session } from '../../session/session.ts';
import { Action } from '../../ui/action.tsx';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { Field, inputLook } from '../../ui/field.tsx';
import { TextField } from '../../ui/text-field.tsx';

export const filterNames = [
  'seam',
  'machine',
  'welder',
  'verdict',
  'metal',
  'symptom',
  'since',
  'until',
  'text',
] as const;
export type FilterName = (typeof filterNames)[number];
export type Filter = Readonly<Partial<Record<FilterName, string>>>;

export function Filters({
  machines,
  filter,
  set,
}: {
  readonly machines: readonly MachineResource[];
  readonly filter: Filter;
  readonly set: (name: FilterName, value: string) => void;
}) {
  const people = (session.getState().state?.people ?? []).filter(({ role }) => may('addTrial', role));
  const [text, setText] = useState(filter.text ?? '');
  const all = { value: '', label: t('view.trials.all') };
  return (
    <Box display="grid" gap="2" gridTemplateColumns="repeat(auto-fill, minmax(126px, 1fr))" alignItems="end">
      <TextField
        label={t('view.trials.seam-or-part')}
        value={text}
        maxLength={60}
        onChange={setText}
        onBlur={() => set('text', text.trim())}
      />
      <ChoiceField
        label={t('view.trials.verdict')}
        value={filter.verdict ?? ''}
        choices={[
          all,
          { value: 'pass', label: t('view.trials.passed') },
          { value: 'fail', label: t('view.trials.failed') },
          { value: 'open', label: t('view.trials.open') },
        ]}
        onChange={(value) => set('verdict', value)}
      />
      <ChoiceField
        label={t('view.trials.welder')}
        value={filter.welder ?? ''}
        choices={[all, ...people.map(({ id, name }) => ({ value: id, label: name }))]}
        onChange={(value) => set('welder', value)}
      />
      <ChoiceField
        label={t('view.trials.machine')}
        value={filter.machine ?? ''}
        choices={[all, ...machines.map(({ id, file }) => ({ value: id, label: file.name }))]}
        onChange={(value) => set('machine', value)}
      />
      <ChoiceField
        label={t('view.trials.metal')}
        value={filter.metal ?? ''}
        choices={[all, ...materialGroups.map((group) => ({ value: group, label: materialOf(group).name }))]}
        onChange={(value) => set('metal', value)}
      />
      <ChoiceField
        label={t('view.trials.symptom')}
        value={filter.symptom ?? ''}
        choices={[all, ...symptomCodes.map((code) => ({ value: code, label: symptoms[code].name }))]}
        onChange={(value) => set('symptom', value)}
      />
      <DayField label={t('view.trials.since')} value={filter.since ?? ''} onChange={(value) => set('since', value)} />
      <DayField label={t('view.trials.until')} value={filter.until ?? ''} onChange={(value) => set('until', value)} />
    </Box>
  );
}

function DayField({
  label,
  value,
  onChange,
}: {
  readonly label: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
}) {
  return (
    <Field label={label}>
      {({ id }) => (
        <chakra.input
          id={id}
          type="date"
          {...inputLook}
          fontSize="text"
          value={value}
          onChange={(event) => onChange(event.target.value)}
        />
      )}
    </Field>
  );
}

interface KeptFilter {
  readonly name: string;
  readonly filter: Filter;
}
const keptPlace = 'trial-filters';

export function Kept({ filter }: { readonly filter: Filter }) {
  const [, setParams] = useSearchParams();
  const [kept, setKept] = useState<readonly KeptFilter[]>(() => {
    const found = recall(keptPlace);
    return Array.isArray(found) ? (found as KeptFilter[]) : [];
  });
  const [name, setName] = useState('');
  const put = (next: readonly KeptFilter[]) => {
    setKept(next);
    keep(keptPlace, next);
  };
  const isEmpty = Object.keys(filter).length === 0;
  return (
    <Box display="flex" gap="2" flexWrap="wrap" alignItems="end" mt="2">
      {kept.map((one) => (
        <Box key={one.name} display="inline-flex">
          <Action onClick={() => setParams(one.filter)}>{one.name}</Action>
          <Action
            kind="quiet"
            aria-label={t('view.trials.forget-filter', { name: one.name })}
            onClick={() => put(kept.filter((other) => other !== one))}
          >
            <X size={18} aria-hidden="true" />
          </Action>
        </Box>
      ))}
      {!isEmpty && (
        <>
          <Box width="180px">
            <TextField label={t('view.trials.filter-save')} value={name} maxLength={40} onChange={setName} />
          </Box>
          <Action
            disabled={name.trim() === ''}
            onClick={() => {
              put([...kept.filter((one) => one.name !== name.trim()), { name: name.trim(), filter }]);
              setName('');
            }}
          >
            {t('view.trials.keep')}
          </Action>
          <Action kind="quiet" onClick={() => setParams({})}>
            {t('view.trials.all-trials')}
          </Action>
        </>
      )}
    </Box>
  );
}
