/** How the machine stands now: process and poles, what is threaded and connected on each feeder, its dials; and its leads' resistance with the trend. */
import { Box, Heading } from '@chakra-ui/react';
import type { LeadReadingRow, MachineResource, StandingSave } from '@fox-tempo/contract';
import { amount } from '@fox-tempo/core/base/messages';
import { toldDials } from '@fox-tempo/core/machine/description';
import { type FeederState, grooves, liners, processWords, setupProcesses } from '@fox-tempo/core/machine/setup';
import { commonGasCodes, fillers, gasName, wireSizes } from '@fox-tempo/core/metal/consumables';
import { shopTime } from '../../lib/time.ts';
import { named, t } from '../../lib/words.ts';
import { Action } from '../../ui/action.tsx';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { useKeptForm } from '../../ui/kept-text.ts';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { ValueField } from '../../ui/value-field.tsx';
import { DialReading } from './found-form.tsx';
import { Leads } from './leads.tsx';
import type { MachineEditor } from './use-machine.ts';

const freshFeeder: FeederState = {
  filler: 'steel-solid',
  diameterMm: 1,
  gas: 'M21-ArC-18',
  groove: 'V',
  rollMm: 1,
  liner: 'steel',
  tipMm: 1,
  recessMm: 3,
  flowLPerMin: 15,
};

export function Standing({
  editor,
  readings,
}: {
  readonly editor: MachineEditor;
  readonly readings: readonly LeadReadingRow[];
}) {
  const { machine } = editor;
  return (
    <Box display="grid" gap="3">
      <StandingForm key={machine.standing?.since ?? 'none'} editor={editor} />
      <Leads machine={machine} loaded={readings} />
    </Box>
  );
}

function standingOf({ standing, file }: MachineResource): StandingSave {
  if (standing) {
    const { since: _since, known: _known, from: _from, ...rest } = standing;
    return rest;
  }
  const first = file.feeders[0]?.id ?? 'one';
  return {
    process: 'gas-metal',
    polarity: 'electrode-positive',
    feederId: first,
    feeders: { [first]: freshFeeder },
    dials: {},
    slot: null,
  };
}

function StandingForm({ editor }: { readonly editor: MachineEditor }) {
  const { machine, task } = editor;
  const { file } = machine;
  const keep = `standing/${machine.id}`;
  const stored = standingOf(machine);
  const [form, setForm, forget] = useKeptForm<StandingSave>(keep, stored);
  const set = (change: Partial<StandingSave>) => setForm({ ...form, ...change });
  const setFeeder = (id: string, change: Partial<FeederState>) =>
    set({ feeders: { ...form.feeders, [id]: { ...(form.feeders[id] ?? freshFeeder), ...change } } });
  const edited = JSON.stringify(form) !== JSON.stringify(stored);
  return (
    <Panel
      title={t('view.machines.state')}
      aside={
        <Box textStyle="label" color="quiet">
          {machine.standing
            ? t('view.machines.state-entered', { since: shopTime(machine.standing.since) })
            : t('view.machines.state-not-entered')}
        </Box>
      }
    >
      <Box display="grid" gridTemplateColumns={{ base: '1fr 1fr', md: 'repeat(4, 1fr)' }} gap="2.5" mb="3">
        <ChoiceField
          label={t('view.machines.process')}
          value={form.process}
          choices={setupProcesses.map((value) => ({ value, label: processWords[value] }))}
          onChange={(process) => set({ process })}
        />
        <ChoiceField
          label={t('view.machines.polarity')}
          value={form.polarity}
          choices={[
            { value: 'electrode-positive', label: t('view.machines.wire-on-plus') },
            { value: 'electrode-negative', label: t('view.machines.wire-on-minus') },
          ]}
          onChange={(polarity) => set({ polarity })}
        />
        <ChoiceField
          label={t('view.machines.feeder-selected')}
          value={form.feederId}
          choices={file.feeders.map(({ id, label, gun }) => ({ value: id, label: `${label}, ${gun}` }))}
          onChange={(feederId) => set({ feederId })}
        />
        {file.slots.count > 0 && (
          <ValueField
            label={t('view.machines.memory-in-use')}
            of="plain"
            value={form.slot}
            keep={`${keep}/slot`}
            range={[file.slots.first, file.slots.first + file.slots.count - 1]}
            whole
            optional
            onValue={(slot) => set({ slot })}
          />
        )}
      </Box>
      {file.feeders.map(({ id, label, gun, gunLengthM }) => {
        const feeder = form.feeders[id];
        return (
          <Box key={id} as="section" aria-label={label} borderTopWidth="1px" borderColor="line" py="2">
            <Heading as="h3" textStyle="heading" mb="1.5">
              {label}{' '}
              <Box as="span" fontWeight={400} fontSize="small" color="quiet">
                {t('view.machines.gun-and-length', { gun, gunLengthM: amount('gunLength', gunLengthM) })}
              </Box>
            </Heading>
            {feeder ? (
              <FeederFields feeder={feeder} keep={`${keep}/${id}`} onChange={(change) => setFeeder(id, change)} />
            ) : (
              <Action onClick={() => setFeeder(id, {})}>{t('view.machines.state-enter')}</Action>
            )}
          </Box>
        );
      })}
      {toldDials(file).length > 0 && (
        <Box as="section" aria-label={t('view.machines.state-dials')} borderTopWidth="1px" borderColor="line" py="2">
          <Heading as="h3" textStyle="heading" mb="1.5">
            {t('view.simulator.dials')}
          </Heading>
          <Box display="grid" gridTemplateColumns={{ base: '1fr 1fr', md: 'repeat(4, 1fr)' }} gap="2.5">
            {toldDials(file).map((dial) => (
              <DialReading
                key={dial.id}
                dial={dial}
                value={form.dials[dial.id] ?? null}
                keep={`${keep}/dial/${dial.id}`}
                onValue={(value) => {
                  const { [dial.id]: _old, ...rest } = form.dials;
                  set({ dials: value === null ? rest : { ...rest, [dial.id]: value } });
                }}
              />
            ))}
          </Box>
        </Box>
      )}
      {task.problem !== null && (
        <Notice level="refusal" word={t('view.library.not-saved')} urgent>
          {t('view.machines.draft-kept', { problem: task.problem })}
        </Notice>
      )}
      <Box display="flex" gap="2" mt="2">
        <Action
          whiteSpace="normal"
          kind="main"
          disabled={task.busy || (!edited && machine.standing !== null)}
          onClick={() => {
            void editor.saveStanding(form).then((done) => {
              if (done) forget();
            });
          }}
        >
          {t('view.machines.state-save')}
        </Action>
        <Action disabled={!edited} onClick={forget}>
          {t('view.machines.back-to-saved')}
        </Action>
      </Box>
    </Panel>
  );
}

export function FeederFields({
  feeder,
  keep,
  onChange,
}: {
  readonly feeder: FeederState;
  readonly keep: string;
  readonly onChange: (change: Partial<FeederState>) => void;
}) {
  return (
    <Box display="grid" gridTemplateColumns={{ base: '1fr 1fr', md: 'repeat(4, 1fr)' }} gap="2.5">
      <ChoiceField
        label={t('view.machines.wire')}
        value={feeder.filler}
        choices={fillers.map(({ code, name }) => ({ value: code, label: name }))}
        onChange={(filler) => onChange({ filler })}
      />
      <ChoiceField
        label={t('view.library.size')}
        value={String(feeder.diameterMm)}
        choices={wireSizes.map(({ diameterMm, label }) => ({ value: String(diameterMm), label }))}
        onChange={(value) => onChange({ diameterMm: Number(value) })}
      />
      <ChoiceField
        label={t('view.machines.gas')}
        value={feeder.gas}
        choices={commonGasCodes.map((code) => ({
          value: code,
          label: gasName(code),
        }))}
        onChange={(gas) => onChange({ gas })}
      />
      <ValueField
        label={t('view.machines.nozzle-flow')}
        of="gasFlow"
        value={feeder.flowLPerMin}
        keep={`${keep}/flow`}
        range={[0, 60]}
        onValue={(flowLPerMin) => onChange({ flowLPerMin: flowLPerMin ?? 0 })}
      />
      <ChoiceField
        label={t('view.machines.roll-groove')}
        value={feeder.groove}
        choices={grooves.map((value) => ({
          value,
          label: value === 'knurled' ? t('view.machines.knurled') : t('view.machines.smooth', { value }),
        }))}
        onChange={(groove) => onChange({ groove })}
      />
      <ValueField
        label={t('view.machines.roll-stamp')}
        of="diameter"
        value={feeder.rollMm}
        keep={`${keep}/roll`}
        range={[0.5, 2.5]}
        step={0.1}
        onValue={(rollMm) => onChange({ rollMm: rollMm ?? 1 })}
      />
      <ChoiceField
        label={t('view.machines.liner')}
        value={feeder.liner}
        choices={liners.map((value) => ({ value, label: named(value) }))}
        onChange={(liner) => onChange({ liner })}
      />
      <ValueField
        label={t('view.machines.contact-tip')}
        of="diameter"
        value={feeder.tipMm}
        keep={`${keep}/tip`}
        range={[0.5, 2.5]}
        step={0.1}
        onValue={(tipMm) => onChange({ tipMm: tipMm ?? 1 })}
      />
      <ValueField
        label={t('view.machines.recess')}
        of="shortLength"
        value={feeder.recessMm}
        keep={`${keep}/recess`}
        range={[-10, 20]}
        onValue={(recessMm) => onChange({ recessMm: recessMm ?? 0 })}
      />
    </Box>
  );
}
