/** A bottle or a spool changed for another of the same kind: walked with its cautions, then both levels written down. */
import { Box, Heading } from '@chakra-ui/react';
import type { Cylinder, MachineResource, Spool, Stock } from '@fox-tempo/contract';
import { fillerOf, gasName, wireSizeLabel, sameWire } from '@fox-tempo/core/metal/consumables';
import { isWeighed } from '@fox-tempo/core/day/consumption';
import { amount, joined, type Phrase } from '@fox-tempo/core/base/messages';
import { refillSteps, type Refilled } from '@fox-tempo/core/machine/setup';
import { useRef, useState } from 'react';
import { Link } from 'react-router';
import { api } from '../../data/api.ts';
import { useEndpoint } from '../../data/queries.ts';
import { useTask } from '../../lib/use-task.ts';
import { t, format } from '../../lib/words.ts';
import { Action } from '../../ui/action.tsx';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { forgetTexts, useKeptForm } from '../../ui/kept-text.ts';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { TextField } from '../../ui/text-field.tsx';
import { ValueField } from '../../ui/value-field.tsx';
import { Step } from '../setup/index.ts';

type Held = { readonly what: 'bottle'; readonly item: Cylinder } | { readonly what: 'spool'; readonly item: Spool };

export function Refill({ machine }: { readonly machine: MachineResource }) {
  const { data: stock, error, refetch } = useEndpoint('stock', {});
  // Kept as it stood: between the two writes it hangs nowhere, and the walk goes on.
  const [changing, setChanging] = useState<Held | null>(null);
  const [said, say] = useState<string | null>(null);
  if (error)
    return (
      <Notice level="refusal" urgent>
        {format(error.problem.title)}{' '}
        <Action kind="quiet" minHeight="32px" onClick={() => void refetch()}>
          {t('view.heat.again')}
        </Action>
      </Notice>
    );
  if (!stock)
    return (
      <Box role="status" color="quiet">
        {t('view.app.loading')}
      </Box>
    );
  const on = heldOn(stock, machine.id);
  return (
    <>
      <Panel title={t('view.machines.bottle-and-spool')}>
        {said !== null && (
          <Box role="status" color="spruce" fontWeight={600} mb="2">
            {said}
          </Box>
        )}
        {on.length === 0 && (
          <Notice level="note">
            {t('view.machines.nothing-is-connected', { file: machine.file.name })}{' '}
            <Link to="/library/stock">{t('view.machines.to-the-stock')}</Link>
          </Notice>
        )}
        {on.map((held) => (
          <Box
            key={held.item.id}
            as="section"
            aria-label={held.item.name}
            borderTopWidth="1px"
            borderColor="line"
            py="2"
          >
            <Box display="flex" gap="3" alignItems="center" flexWrap="wrap">
              <Box flex="1 1 220px">
                <Heading as="h3" fontSize="body" fontWeight={600}>
                  {held.item.name}
                </Heading>
                <Box fontSize="small" color="quiet">
                  {format(kindWords(held))}
                </Box>
              </Box>
              <Box textStyle="figure">{levelWords(held)}</Box>
              <Action
                aria-expanded={changing?.item.id === held.item.id}
                aria-label={t('view.machines.change-named', { name: held.item.name })}
                onClick={() => {
                  say(null);
                  setChanging(changing?.item.id === held.item.id ? null : held);
                }}
              >
                {t('view.machines.change')}
              </Action>
            </Box>
          </Box>
        ))}
      </Panel>
      {changing && (
        <Panel title={t('view.machines.change-named', { name: changing.item.name })}>
          <Walked
            key={changing.item.id}
            machine={machine}
            held={changing}
            stock={stock}
            onDone={(fresh) => {
              setChanging(null);
              say(t('view.machines.is-changed', { fresh, old: changing.item.name, file: machine.file.name }));
            }}
          />
        </Panel>
      )}
    </>
  );
}

function heldOn({ cylinders, spools }: Stock, machineId: string): Held[] {
  return [
    ...cylinders.map((item): Held => ({ what: 'bottle', item })),
    ...spools.map((item): Held => ({ what: 'spool', item })),
  ].filter(({ item }) => item.machineId === machineId && !item.retired);
}

function kindWords(held: Held): Phrase {
  return held.what === 'bottle'
    ? gasName(held.item.gas)
    : joined([fillerOf(held.item.filler).name, wireSizeLabel(held.item.diameterMm)], ', ');
}

/** Bar of a compressed gas, kilograms of a liquefied one and of wire. */
function measured(held: Held): { readonly of: 'pressure' | 'spoolMass'; readonly level: number } {
  if (held.what === 'spool') return { of: 'spoolMass', level: held.item.massKg };
  return isWeighed(held.item.gas)
    ? { of: 'spoolMass', level: held.item.massKg ?? 0 }
    : { of: 'pressure', level: held.item.pressureBar ?? 0 };
}

function levelWords(held: Held): string {
  const { of, level } = measured(held);
  return format(amount(of, level, of === 'pressure' ? 0 : 1));
}

/** Stands in the list for one that is in no list yet. */
const newOne = 'new';

/** Others of the same kind that hang nowhere. */
function likeIt(held: Held, { cylinders, spools }: Stock): Held[] {
  return held.what === 'bottle'
    ? cylinders
        .filter(
          ({ id, gas, machineId, retired }) => id !== held.item.id && gas === held.item.gas && !machineId && !retired,
        )
        .map((item) => ({ what: 'bottle', item }))
    : spools
        .filter((one) => one.id !== held.item.id && sameWire(one, held.item) && !one.machineId && !one.retired)
        .map((item) => ({ what: 'spool', item }));
}

function Walked({
  machine,
  held,
  stock,
  onDone,
}: {
  readonly machine: MachineResource;
  readonly held: Held;
  readonly stock: Stock;
  readonly onDone: (fresh: string) => void;
}) {
  const { data: times = { minutes: {} } } = useEndpoint('stepTimes', { params: { id: machine.id } });
  const keep = `refill/${machine.id}/${held.item.id}`;
  const others = likeIt(held, stock);
  const { of, level } = measured(held);
  const [form, setForm, forget] = useKeptForm<{
    readonly ticks: Record<string, boolean>;
    readonly freshId: string;
    readonly left: number | null;
    readonly full: number | null;
    readonly name: string;
  }>(keep, { ticks: {}, freshId: '', left: Math.max(level, 0), full: null, name: '' });
  const task = useTask();
  const isOff = useRef(false);
  const refilled: Refilled =
    held.what === 'bottle'
      ? { what: 'bottle', gas: held.item.gas }
      : { what: 'spool', filler: held.item.filler, diameterMm: held.item.diameterMm };
  const steps = refillSteps(machine.file, machine.standing, refilled, times.minutes);
  const isNew = form.freshId === newOne || others.length === 0;
  const fresh = isNew ? undefined : (others.find(({ item }) => item.id === form.freshId) ?? others[0]);
  const full = form.full ?? (fresh ? measured(fresh).level : null);
  const name = fresh?.item.name ?? form.name.trim();
  const done = steps.every(({ kind }) => form.ticks[kind]);
  const writeDown = () =>
    void task
      .run(async () => {
        // The old one first: two of a kind on one machine would both be counted down.
        if (!isOff.current) await saveAt(held, form.left ?? 0, null);
        isOff.current = true;
        if (fresh) await saveAt(fresh, full ?? 0, machine.id);
        else await addLike(held, name, full ?? 0, machine.id);
      })
      .then((went) => {
        if (!went) return;
        forget();
        forgetTexts(keep);
        onDone(name);
      });
  return (
    <Box pt="2">
      <Box as="ol" listStyleType="none">
        {steps.map((step) => (
          <Step
            key={step.kind}
            step={step}
            list={null}
            ticked={form.ticks[step.kind] ?? false}
            isOwnTime={times.minutes[step.kind] !== undefined}
            onTick={(ticked, minutes) => {
              setForm({ ...form, ticks: { ...form.ticks, [step.kind]: ticked } });
              if (ticked && minutes !== null)
                void task.run(() => api.addStepTime(machine.id, { kind: step.kind, minutes }));
            }}
          />
        ))}
      </Box>
      <Box
        display="grid"
        gap="2"
        gridTemplateColumns={{ base: '1fr', md: 'repeat(2, minmax(0, 1fr))' }}
        alignItems="start"
        borderTopWidth="1px"
        borderColor="line"
        pt="2"
      >
        <ValueField
          label={t('view.machines.spool-left')}
          of={of}
          value={form.left}
          keep={`${keep}/left`}
          range={[0, of === 'pressure' ? 350 : 500]}
          onValue={(left) => setForm({ ...form, left })}
        />
        <ChoiceField
          label={t('view.machines.comes-instead')}
          value={fresh?.item.id ?? newOne}
          choices={[
            ...others.map((one) => ({ value: one.item.id, label: `${one.item.name}, ${levelWords(one)}` })),
            { value: newOne, label: t('view.machines.spool-new') },
          ]}
          onChange={(freshId) => setForm({ ...form, freshId, full: null })}
        />
        {isNew && (
          <TextField
            label={t('view.library.label-word')}
            value={form.name}
            maxLength={80}
            onChange={(value) => setForm({ ...form, name: value })}
          />
        )}
        <ValueField
          key={fresh?.item.id ?? newOne}
          label={t('view.machines.on-the-new')}
          of={of}
          value={full}
          keep={`${keep}/full/${fresh?.item.id ?? newOne}`}
          range={[0, of === 'pressure' ? 350 : 500]}
          onValue={(value) => setForm({ ...form, full: value })}
        />
        <Action
          kind="main"
          disabled={!done || task.busy || full === null || form.left === null || name === ''}
          onClick={writeDown}
        >
          {t('view.machines.changed-write-down')}
        </Action>
      </Box>
      {task.problem !== null && (
        <Notice level="refusal" word={t('view.library.not-saved')} urgent>
          {task.problem}
        </Notice>
      )}
    </Box>
  );
}

/** Level in the one measure that means something for the gas. */
function gasLevel(gas: string, level: number) {
  return isWeighed(gas) ? { pressureBar: null, massKg: level } : { pressureBar: level, massKg: null };
}

/** The item with a level read and a place; the reading is a movement of its own on the server. */
function saveAt(held: Held, level: number, machineId: string | null): Promise<unknown> {
  if (held.what === 'spool') {
    const { id, version, name, filler, diameterMm, retired } = held.item;
    return api.saveSpool(id, version, { name, filler, diameterMm, massKg: level, machineId, retired });
  }
  const { id, version, name, gas, volumeL, convention, retired } = held.item;
  return api.saveCylinder(id, version, { name, gas, volumeL, convention, retired, machineId, ...gasLevel(gas, level) });
}

/** One more of the same kind, on the machine at once. */
function addLike(held: Held, name: string, level: number, machineId: string): Promise<unknown> {
  if (held.what === 'spool') {
    const { filler, diameterMm } = held.item;
    return api.addSpool({ name, filler, diameterMm, massKg: level, machineId, retired: false });
  }
  const { gas, volumeL, convention } = held.item;
  return api.addCylinder({ name, gas, volumeL, convention, machineId, retired: false, ...gasLevel(gas, level) });
}
