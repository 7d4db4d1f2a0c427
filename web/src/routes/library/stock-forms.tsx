/** The forms for a cylinder and a spool: what they are called, hold and where they stand. */
import { t, named, formatForInput } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import {
  cylinderSave,
  parseWith,
  spoolSave,
  type Cylinder,
  type CylinderSave,
  type MachineResource,
  type Spool,
  type SpoolSave,
} from '@fox-tempo/contract';
import { commonGasCodes, fillers, gasName, wireSizes } from '@fox-tempo/core/metal/consumables';
import { isWeighed } from '@fox-tempo/core/day/consumption';
import type { FieldValues } from 'react-hook-form';
import { api } from '../../data/api.ts';
import { settings } from '../../session/settings.ts';
import { Action } from '../../ui/action.tsx';
import { FormChoice, FormQuantity, FormText } from '../../ui/forms/fields.tsx';
import { useRecordForm, type RecordForm } from '../../ui/forms/record-form.ts';
import { RecordTroubles } from '../../ui/forms/record-troubles.tsx';

const placeChoices = (machines: readonly MachineResource[]) => [
  { value: '', label: t('view.library.on-the-shelf') },
  ...machines.map(({ id, file }) => ({ value: id, label: t('view.library.on', { file: file.name }) })),
];

const conventions = [
  'gauge at the regulator',
  'scale',
  'tube at the nozzle, middle of the ball',
  'estimated',
] as const satisfies readonly CylinderSave['convention'][];

function textOf(figure: number | null | undefined, kind: 'pressure' | 'spoolMass' | 'volume'): string {
  return figure === null || figure === undefined ? '' : formatForInput(figure, kind, settings.getState().units);
}

function nowhere(id: unknown): unknown {
  return id === '' ? null : id;
}

interface StockFormProps<T> {
  readonly machines: readonly MachineResource[];
  readonly onDone: (saved: T | null) => void;
}

function cylinderValues(stored: Cylinder | null) {
  return {
    name: stored?.name ?? '',
    gas: stored?.gas ?? 'M21-ArC-18',
    volumeL: textOf(stored?.volumeL ?? 50, 'volume'),
    pressureBar: textOf(stored ? stored.pressureBar : 200, 'pressure'),
    massKg: textOf(stored?.massKg, 'spoolMass'),
    convention: stored?.convention ?? conventions[0],
    machineId: stored?.machineId ?? '',
  };
}

export function CylinderForm({
  cylinder,
  machines,
  onDone,
}: StockFormProps<Cylinder> & { readonly cylinder: Cylinder | null }) {
  const record = useRecordForm({
    keep: `cylinder/${cylinder?.id ?? 'new'}`,
    labels: {
      name: t('view.library.label-word'),
      gas: 'Gas',
      volumeL: t('view.library.water-volume'),
      pressureBar: t('view.library.gauge'),
      massKg: t('view.library.gas-by-weight'),
      convention: t('view.library.read-by'),
      machineId: t('view.library.where'),
    },
    quantities: { volumeL: 'volume', pressureBar: 'pressure', massKg: 'spoolMass' },
    parse: (value) => {
      const typed = value as CylinderSave;
      // A liquefied gas is weighed, the others have a gauge.
      const weighed = isWeighed(typed.gas);
      return parseWith(cylinderSave, {
        ...typed,
        machineId: nowhere(typed.machineId),
        massKg: weighed ? typed.massKg : null,
        pressureBar: weighed ? null : typed.pressureBar,
      });
    },
    stored: cylinder,
    values: cylinderValues,
    write: (body: CylinderSave, basedOn) =>
      cylinder ? api.saveCylinder(cylinder.id, basedOn, body) : api.addCylinder(body),
    onSaved: onDone,
  });
  const weighed = isWeighed(record.form.watch('gas'));
  return (
    <Box bg="page" p="3" borderRadius="4px" mt="2">
      <Box
        display="grid"
        gridTemplateColumns={{ base: '1fr 1fr', md: 'repeat(3, 1fr)', lg: 'repeat(6, 1fr)' }}
        gap="2.5"
      >
        <FormText of={record} name="name" />
        <FormChoice
          of={record}
          name="gas"
          choices={commonGasCodes
            .filter((code) => code !== 'none')
            .map((code) => ({ value: code, label: gasName(code) }))}
        />
        <FormQuantity of={record} name="volumeL" kind="volume" />
        {weighed ? (
          <FormQuantity of={record} name="massKg" kind="spoolMass" hint={t('view.library.gas-by-weight-why')} />
        ) : (
          <FormQuantity of={record} name="pressureBar" kind="pressure" />
        )}
        <FormChoice
          of={record}
          name="convention"
          choices={conventions.map((value) => ({ value, label: named(value) }))}
        />
        <FormChoice of={record} name="machineId" choices={placeChoices(machines)} />
      </Box>
      <FormFoot of={record} machines={machines} isNew={cylinder === null} onLeave={() => onDone(null)} />
    </Box>
  );
}

function spoolValues(stored: Spool | null) {
  return {
    name: stored?.name ?? '',
    filler: stored?.filler ?? 'steel-solid',
    diameterMm: String(stored?.diameterMm ?? 1),
    massKg: textOf(stored?.massKg ?? 15, 'spoolMass'),
    machineId: stored?.machineId ?? '',
  };
}

export function SpoolForm({ spool, machines, onDone }: StockFormProps<Spool> & { readonly spool: Spool | null }) {
  const record = useRecordForm({
    keep: `spool/${spool?.id ?? 'new'}`,
    labels: {
      name: t('view.library.label-word'),
      filler: 'Wire',
      diameterMm: t('view.library.size'),
      massKg: t('view.library.wire-left'),
      machineId: t('view.library.where'),
    },
    quantities: { massKg: 'spoolMass' },
    parse: (value) => {
      const typed = value as Omit<SpoolSave, 'diameterMm'> & { readonly diameterMm: string };
      return parseWith(spoolSave, {
        ...typed,
        diameterMm: Number(typed.diameterMm),
        machineId: nowhere(typed.machineId),
      });
    },
    stored: spool,
    values: spoolValues,
    write: (body: SpoolSave, basedOn) => (spool ? api.saveSpool(spool.id, basedOn, body) : api.addSpool(body)),
    onSaved: onDone,
  });
  return (
    <Box bg="page" p="3" borderRadius="4px" mt="2">
      <Box display="grid" gridTemplateColumns={{ base: '1fr 1fr', md: 'repeat(5, 1fr)' }} gap="2.5">
        <FormText of={record} name="name" />
        <FormChoice
          of={record}
          name="filler"
          choices={fillers.map(({ code, name }) => ({ value: code, label: name }))}
        />
        <FormChoice
          of={record}
          name="diameterMm"
          choices={wireSizes.map(({ diameterMm, label }) => ({ value: String(diameterMm), label }))}
        />
        <FormQuantity of={record} name="massKg" kind="spoolMass" hint={t('view.library.without-the-spool')} />
        <FormChoice of={record} name="machineId" choices={placeChoices(machines)} />
      </Box>
      <FormFoot of={record} machines={machines} isNew={spool === null} onLeave={() => onDone(null)} />
    </Box>
  );
}

function FormFoot<V extends FieldValues, D>({
  of,
  machines,
  isNew,
  onLeave,
}: {
  readonly of: RecordForm<V, D>;
  readonly machines: readonly MachineResource[];
  readonly isNew: boolean;
  readonly onLeave: () => void;
}) {
  const says = {
    gas: (code: unknown) => gasName(String(code)),
    machineId: (id: unknown) => placeChoices(machines).find(({ value }) => value === id)?.label ?? String(id),
  };
  return (
    <>
      <RecordTroubles
        of={of}
        word={t('view.library.not-saved')}
        says={says as Parameters<typeof RecordTroubles<V, D>>[0]['says']}
      />
      <Box display="flex" gap="2" mt="2.5">
        <Action kind="main" disabled={of.busy} onClick={() => void of.submit()}>
          {isNew ? t('view.library.add') : t('view.library.save')}
        </Action>
        <Action
          onClick={() => {
            of.leave();
            onLeave();
          }}
        >
          {t('view.library.cancel')}
        </Action>
      </Box>
    </>
  );
}
