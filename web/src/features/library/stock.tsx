/** Cylinders and spools: what is left as arc minutes and parts of a chosen seam, read anew or moved in place. */
import { Box, Heading } from '@chakra-ui/react';
import {
  type Cylinder,
  type CylinderSave,
  type MachineResource,
  type SeamResource,
  type Spool,
  type SpoolSave,
  type Stock,
} from '@fox-tempo/contract';
import {
  commonGasCodes,
  cylinderOutlook,
  fillerOf,
  fillers,
  formatWithUnit,
  gasOf,
  isWeighed,
  sameWire,
  spoolOutlook,
  wireSizeLabel,
  wireSizes,
  type Outlook,
} from '@fox-tempo/core';
import { useMemo, useState } from 'react';
import { api } from '../../lib/api.ts';
import { useSettings } from '../../lib/settings.ts';
import { measureSeam } from '../../lib/part-use.ts';
import { shopTime } from '../../lib/time.ts';
import { useTask } from '../../lib/use-task.ts';
import { Action } from '../../ui/action.tsx';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { useKeptForm } from '../../ui/kept-text.ts';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { TextField } from '../../ui/text-field.tsx';
import { ValueField } from '../../ui/value-field.tsx';

export function StockShelf({
  loaded,
  machines,
  seams,
}: {
  readonly loaded: Stock;
  readonly machines: readonly MachineResource[];
  readonly seams: readonly SeamResource[];
}) {
  const [stock, setStock] = useState(loaded);
  const [adding, setAdding] = useState<'cylinder' | 'spool' | null>(null);
  const measured = useMemo(() => seams.flatMap(measureSeam), [seams]);
  return (
    <>
      <Notice level="hazard" word="Cylinders:">
        chained, capped when moved, valve cracked standing aside, no oil or grease; argon and CO₂ push the air out of
        small rooms. Spools: hold the wire end, it springs.
      </Notice>
      <Panel
        title="Cylinders"
        aside={
          <Action kind="quiet" my="-2" onClick={() => setAdding('cylinder')}>
            Add a cylinder
          </Action>
        }
      >
        {adding === 'cylinder' && (
          <CylinderForm
            cylinder={null}
            machines={machines}
            onDone={(cylinder) => {
              if (cylinder) setStock({ ...stock, cylinders: [...stock.cylinders, cylinder] });
              setAdding(null);
            }}
          />
        )}
        {stock.cylinders.length === 0 && <Notice level="note">No cylinder is entered yet.</Notice>}
        {stock.cylinders.map((cylinder) => (
          <Row
            key={cylinder.id}
            title={cylinder.name}
            line={`${cylinder.gas === 'none' ? 'no gas' : gasOf(cylinder.gas).name} · ${whereWords(cylinder.machineId, machines)}`}
            content={
              isWeighed(cylinder.gas)
                ? `${(cylinder.massKg ?? 0).toFixed(1)} kg`
                : `${(cylinder.pressureBar ?? 0).toFixed(0)} bar in ${cylinder.volumeL} L`
            }
            read={`${cylinder.convention}, ${shopTime(cylinder.changedAt)}, ${cylinder.changedBy}`}
            outlooks={measured
              .filter(({ seam }) => seam.revision?.program.gas === cylinder.gas)
              .map(({ seam, use }) => ({ seam, outlook: cylinderOutlook(cylinder, use), unit: 'L' }))}
            form={(close) => (
              <CylinderForm
                cylinder={cylinder}
                machines={machines}
                onDone={(next) => {
                  if (next)
                    setStock({ ...stock, cylinders: stock.cylinders.map((one) => (one.id === next.id ? next : one)) });
                  close();
                }}
              />
            )}
          />
        ))}
      </Panel>
      <Panel
        title="Spools"
        aside={
          <Action kind="quiet" my="-2" onClick={() => setAdding('spool')}>
            Add a spool
          </Action>
        }
      >
        {adding === 'spool' && (
          <SpoolForm
            spool={null}
            machines={machines}
            onDone={(spool) => {
              if (spool) setStock({ ...stock, spools: [...stock.spools, spool] });
              setAdding(null);
            }}
          />
        )}
        {stock.spools.length === 0 && <Notice level="note">No spool is entered yet.</Notice>}
        {stock.spools.map((spool) => (
          <Row
            key={spool.id}
            title={spool.name}
            line={`${fillerOf(spool.filler).name}, ${wireSizeLabel(spool.diameterMm)} · ${whereWords(spool.machineId, machines)}`}
            content={`${spool.massKg.toFixed(2)} kg`}
            read={`${shopTime(spool.changedAt)}, ${spool.changedBy}`}
            outlooks={measured
              .filter(({ seam }) => seam.revision && sameWire(seam.revision.program, spool))
              .map(({ seam, use }) => ({ seam, outlook: spoolOutlook(spool, use), unit: 'kg' }))}
            form={(close) => (
              <SpoolForm
                spool={spool}
                machines={machines}
                onDone={(next) => {
                  if (next)
                    setStock({ ...stock, spools: stock.spools.map((one) => (one.id === next.id ? next : one)) });
                  close();
                }}
              />
            )}
          />
        ))}
      </Panel>
    </>
  );
}

function whereWords(machineId: string | null, machines: readonly MachineResource[]): string {
  const machine = machines.find((one) => one.id === machineId);
  return machine ? `on ${machine.file.name}` : 'in the store';
}

interface SeamOutlook {
  readonly seam: SeamResource;
  readonly outlook: Outlook;
  readonly unit: string;
}

const levels = {
  plenty: { sign: '●', colour: 'spruce' },
  low: { sign: '◇', colour: 'ochre' },
  'not enough for one part': { sign: '✕', colour: 'crimson' },
} as const;

function Row({
  title,
  line,
  content,
  read,
  outlooks,
  form,
}: {
  readonly title: string;
  readonly line: string;
  readonly content: string;
  readonly read: string;
  readonly outlooks: readonly SeamOutlook[];
  readonly form: (close: () => void) => React.ReactNode;
}) {
  const [open, setOpen] = useState<'edit' | 'sums' | null>(null);
  return (
    <Box as="section" aria-label={title} borderTopWidth="1px" borderColor="line" py="2">
      <Box display="grid" gridTemplateColumns={{ base: '1fr', md: '220px 150px 1fr auto' }} gap="3" alignItems="start">
        <Box>
          <Heading as="h3" fontSize="15px" fontWeight={600}>
            {title}
          </Heading>
          <Box fontSize="13px" color="quiet">
            {line}
          </Box>
        </Box>
        <Box>
          <Box textStyle="figure">{content}</Box>
          <Box textStyle="label" color="quiet">
            {read}
          </Box>
        </Box>
        <Box fontSize="13.5px">
          {outlooks.length === 0 ? (
            <Box color="quiet">No saved setting takes it.</Box>
          ) : (
            outlooks.map(({ seam, outlook, unit }) => (
              <Box key={seam.id} py="0.5">
                <Box as="span" color={levels[outlook.words].colour} fontWeight={600}>
                  {levels[outlook.words].sign} {outlook.partsLeft ?? '∞'} × {seam.spec.name}
                </Box>
                , {minutes(outlook.arcMinutes)} of arc
                {outlook.words === 'plenty' ? '' : `: ${outlook.words}`}
                {open === 'sums' && (
                  <Box textStyle="label" color="quiet">
                    because {outlook.because}; {outlook.perPart.toFixed(unit === 'kg' ? 3 : 1)} {unit} a part
                  </Box>
                )}
              </Box>
            ))
          )}
        </Box>
        <Box display="flex" gap="1">
          <Action
            kind="quiet"
            fontSize="13px"
            aria-expanded={open === 'sums'}
            onClick={() => setOpen(open === 'sums' ? null : 'sums')}
            aria-label={`Sums of ${title}`}
          >
            Sums
          </Action>
          <Action
            kind="quiet"
            fontSize="13px"
            aria-expanded={open === 'edit'}
            onClick={() => setOpen(open === 'edit' ? null : 'edit')}
            aria-label={`Read or move ${title}`}
          >
            Read or move
          </Action>
        </Box>
      </Box>
      {open === 'edit' && form(() => setOpen(null))}
    </Box>
  );
}

function minutes(value: number): string {
  if (!Number.isFinite(value)) return 'without end';
  return value >= 120 ? `${(value / 60).toFixed(1)} h` : `${value.toFixed(0)} min`;
}

const placeChoices = (machines: readonly MachineResource[]) => [
  { value: '', label: 'in the store' },
  ...machines.map(({ id, file }) => ({ value: id, label: `on ${file.name}` })),
];

function CylinderForm({
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

function SpoolForm({
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
