/** The forms for a cylinder and a spool: what they are called, hold and where they stand. */
import { Box } from '@chakra-ui/react';
import type { Cylinder, CylinderSave, MachineResource, Spool, SpoolSave } from '@fox-tempo/contract';
import { commonGasCodes, fillers, formatWithUnit, gasOf, isWeighed, wireSizes } from '@fox-tempo/core';
import { api } from '../../lib/api.ts';
import { useSettings } from '../../lib/settings.ts';
import { useTask } from '../../lib/use-task.ts';
import { Action } from '../../ui/action.tsx';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { useKeptForm } from '../../ui/kept-text.ts';
import { Notice } from '../../ui/notice.tsx';
import { TextField } from '../../ui/text-field.tsx';
import { ValueField } from '../../ui/value-field.tsx';

const placeChoices = (machines: readonly MachineResource[]) => [
  { value: '', label: 'in the store' },
  ...machines.map(({ id, file }) => ({ value: id, label: `on ${file.name}` })),
];

export function CylinderForm({
  cylinder,
  machines,
  onDone,
}: {
  readonly cylinder: Cylinder | null;
  readonly machines: readonly MachineResource[];
  readonly onDone: (saved: Cylinder | null) => void;
}) {
  const keep = `cylinder/${cylinder?.id ?? 'new'}/${cylinder?.version ?? 0}`;
  const fresh: CylinderSave = cylinder
    ? pickCylinder(cylinder)
    : {
        name: '',
        gas: 'M21-ArC-18',
        volumeL: 50,
        pressureBar: 200,
        massKg: null,
        convention: 'gauge at the regulator',
        machineId: null,
      };
  const [form, setForm, forget] = useKeptForm<CylinderSave>(keep, fresh);
  const set = (change: Partial<CylinderSave>) => setForm({ ...form, ...change });
  const task = useTask();
  const weighed = isWeighed(form.gas);
  return (
    <Box bg="page" p="3" borderRadius="4px" mt="2">
      <Box
        display="grid"
        gridTemplateColumns={{ base: '1fr 1fr', md: 'repeat(3, 1fr)', lg: 'repeat(6, 1fr)' }}
        gap="2.5"
      >
        <TextField label="What you call it" value={form.name} onChange={(name) => set({ name })} />
        <ChoiceField
          label="Gas"
          value={form.gas}
          choices={commonGasCodes
            .filter((code) => code !== 'none')
            .map((code) => ({ value: code, label: gasOf(code).name }))}
          onChange={(gas) => set({ gas, massKg: isWeighed(gas) ? (form.massKg ?? 10) : null })}
        />
        <ValueField
          label="Water volume"
          of="volume"
          value={form.volumeL}
          keep={`${keep}/volume`}
          range={[1, 1000]}
          onValue={(volumeL) => set({ volumeL: volumeL ?? 50 })}
        />
        {weighed ? (
          <ValueField
            label="Gas left, by the scale"
            of="spoolMass"
            value={form.massKg}
            keep={`${keep}/mass`}
            range={[0, 500]}
            onValue={(massKg) => set({ massKg })}
            hint="full weight less the tare stamped on it"
          />
        ) : (
          <ValueField
            label="Gauge"
            of="pressure"
            value={form.pressureBar}
            keep={`${keep}/pressure`}
            range={[0, 350]}
            step={5}
            onValue={(pressureBar) => set({ pressureBar })}
          />
        )}
        <ChoiceField
          label="Read by"
          value={form.convention}
          choices={(
            ['gauge at the regulator', 'scale', 'tube at the nozzle, middle of the ball', 'estimated'] as const
          ).map((value) => ({ value, label: value }))}
          onChange={(convention) => set({ convention })}
        />
        <ChoiceField
          label="Where"
          value={form.machineId ?? ''}
          choices={placeChoices(machines)}
          onChange={(id) => set({ machineId: id === '' ? null : id })}
        />
      </Box>
      <FormFoot
        task={task}
        canSave={form.name.trim() !== ''}
        isNew={cylinder === null}
        onSave={() =>
          void task.run(async () => {
            const saved = cylinder
              ? await api.saveCylinder(cylinder.id, cylinder.version, form)
              : await api.addCylinder(form);
            forget();
            onDone(saved);
          })
        }
        onLeave={() => {
          forget();
          onDone(null);
        }}
      />
    </Box>
  );
}

function pickCylinder({ name, gas, volumeL, pressureBar, massKg, convention, machineId }: Cylinder): CylinderSave {
  return {
    name,
    gas,
    volumeL,
    pressureBar: pressureBar === null ? null : Number(pressureBar.toFixed(1)),
    massKg: massKg === null ? null : Number(massKg.toFixed(2)),
    convention,
    machineId,
  };
}

export function SpoolForm({
  spool,
  machines,
  onDone,
}: {
  readonly spool: Spool | null;
  readonly machines: readonly MachineResource[];
  readonly onDone: (saved: Spool | null) => void;
}) {
  const units = useSettings((state) => state.units);
  const keep = `spool/${spool?.id ?? 'new'}/${spool?.version ?? 0}`;
  const fresh: SpoolSave = spool
    ? {
        name: spool.name,
        filler: spool.filler,
        diameterMm: spool.diameterMm,
        massKg: Number(spool.massKg.toFixed(3)),
        machineId: spool.machineId,
      }
    : { name: '', filler: 'steel-solid', diameterMm: 1, massKg: 15, machineId: null };
  const [form, setForm, forget] = useKeptForm<SpoolSave>(keep, fresh);
  const set = (change: Partial<SpoolSave>) => setForm({ ...form, ...change });
  const task = useTask();
  return (
    <Box bg="page" p="3" borderRadius="4px" mt="2">
      <Box display="grid" gridTemplateColumns={{ base: '1fr 1fr', md: 'repeat(5, 1fr)' }} gap="2.5">
        <TextField label="What you call it" value={form.name} onChange={(name) => set({ name })} />
        <ChoiceField
          label="Wire"
          value={form.filler}
          choices={fillers.map(({ code, name }) => ({ value: code, label: name }))}
          onChange={(filler) => set({ filler })}
        />
        <ChoiceField
          label="Size"
          value={String(form.diameterMm)}
          choices={wireSizes.map(({ diameterMm, label }) => ({ value: String(diameterMm), label }))}
          onChange={(value) => set({ diameterMm: Number(value) })}
        />
        <ValueField
          label="Wire on it"
          of="spoolMass"
          value={form.massKg}
          keep={`${keep}/mass`}
          range={[0, 500]}
          hint={`${formatWithUnit(form.massKg, 'spoolMass', units === 'metric' ? 'us' : 'metric')}; without the spool`}
          onValue={(massKg) => set({ massKg: massKg ?? 0 })}
        />
        <ChoiceField
          label="Where"
          value={form.machineId ?? ''}
          choices={placeChoices(machines)}
          onChange={(id) => set({ machineId: id === '' ? null : id })}
        />
      </Box>
      <FormFoot
        task={task}
        canSave={form.name.trim() !== ''}
        isNew={spool === null}
        onSave={() =>
          void task.run(async () => {
            const saved = spool ? await api.saveSpool(spool.id, spool.version, form) : await api.addSpool(form);
            forget();
            onDone(saved);
          })
        }
        onLeave={() => {
          forget();
          onDone(null);
        }}
      />
    </Box>
  );
}

function FormFoot({
  task,
  canSave,
  isNew,
  onSave,
  onLeave,
}: {
  readonly task: ReturnType<typeof useTask>;
  readonly canSave: boolean;
  readonly isNew: boolean;
  readonly onSave: () => void;
  readonly onLeave: () => void;
}) {
  return (
    <>
      {task.problem !== null && (
        <Box mt="2">
          <Notice level="refusal" word="Not saved." urgent>
            {task.problem}
          </Notice>
        </Box>
      )}
      <Box display="flex" gap="2" mt="2.5">
        <Action kind="main" disabled={!canSave || task.busy} onClick={onSave}>
          {isNew ? 'Add it' : 'Save'}
        </Action>
        <Action onClick={onLeave}>Leave it</Action>
      </Box>
    </>
  );
}
