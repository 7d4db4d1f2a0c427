/** The machine's own paper, gun by gun: rolls by colour, tip, liner, pressure marks, fittings, hoses and cables; what the set-up reads from it. */
import { Box } from '@chakra-ui/react';
import type { MachineFile } from '@fox-tempo/contract';
import { amount } from '@fox-tempo/core/base/messages';
import { copperMOhm, type Ignition, ignitions } from '@fox-tempo/core/machine/description';
import { type Groove, grooves } from '@fox-tempo/core/machine/setup';
import { commonGasCodes, fillers, gasName, wireSizes } from '@fox-tempo/core/metal/consumables';
import { shopDay } from '../../lib/time.ts';
import { format, t } from '../../lib/words.ts';
import { GunWear } from '../../parts/wear/index.ts';
import { Action } from '../../ui/action.tsx';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { useKeptForm } from '../../ui/kept-text.ts';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { TextField } from '../../ui/text-field.tsx';
import { Tick } from '../../ui/tick.tsx';
import { ValueField } from '../../ui/value-field.tsx';
import { Rows } from './gun-rows.tsx';
import type { MachineEditor } from './use-machine.ts';

type Feeder = MachineFile['feeders'][number];

type Paper = NonNullable<Feeder['paper']>;

export function GunPapers({ editor, mayChange }: { readonly editor: MachineEditor; readonly mayChange: boolean }) {
  return (
    <>
      <BeatMoves editor={editor} />
      {editor.machine.file.feeders.map((feeder) => (
        <OneGun key={feeder.id} editor={editor} feeder={feeder} mayChange={mayChange} />
      ))}
    </>
  );
}

/** A fed wire lags behind its motor; a current does not. */
function BeatMoves({ editor: { machine, saveFile } }: { readonly editor: MachineEditor }) {
  if (machine.file.beatSchool === null) return null;
  return (
    <Panel title={t('view.gun-paper.double-pulse')}>
      <Box maxWidth="420px">
        <ChoiceField
          label={t('view.gun-paper.what-it-moves')}
          value={machine.file.beatMoves ?? ''}
          choices={[
            { value: '', label: t('view.gun-paper.nobody-knows') },
            { value: 'feed', label: t('view.gun-paper.the-feed') },
            { value: 'current', label: t('view.gun-paper.the-current') },
          ]}
          onChange={(value) =>
            void saveFile(({ beatMoves: _old, ...file }) =>
              value === 'feed' || value === 'current' ? { ...file, beatMoves: value } : file,
            )
          }
        />
      </Box>
    </Panel>
  );
}

const ignitionNames: Record<Ignition, string> = {
  'wire-touches': t('view.gun-paper.wire-touches'),
  'creep-then-touches': t('view.gun-paper.creep-then-touches'),
  'wire-draws-back': t('view.gun-paper.wire-draws-back'),
};

const grooveNames: Record<Groove, string> = {
  V: t('view.gun-paper.v-groove'),
  U: t('view.gun-paper.u-groove'),
  knurled: t('view.gun-paper.knurled'),
};

const blankRoll: NonNullable<Paper['rolls']>[number] = { groove: 'V', mm: 1, colour: '' };

const blankMark: NonNullable<Paper['tension']>[number] = { filler: 'steel-solid', diameterMm: 1, mark: '' };

const sizeChoices = wireSizes.map(({ diameterMm, label }) => ({ value: String(diameterMm), label }));

function OneGun({
  editor,
  feeder,
  mayChange,
}: {
  readonly editor: MachineEditor;
  readonly feeder: Feeder;
  readonly mayChange: boolean;
}) {
  const { machine, task } = editor;
  const keep = `gun-paper/${machine.id}/${feeder.id}/${machine.version}`;
  const stored: Paper = feeder.paper ?? {};
  const [paper, setPaper, forget] = useKeptForm<Paper>(keep, stored);
  const edited = JSON.stringify(paper) !== JSON.stringify(stored);
  const set = (change: Partial<Paper>) =>
    // What was emptied is left out, not kept as nothing.
    setPaper(
      Object.fromEntries(
        Object.entries({ ...paper, ...change }).filter(
          ([, value]) => value !== undefined && !(Array.isArray(value) && value.length === 0),
        ),
      ),
    );
  const copper = copperMOhm(paper);
  const liner = paper.liner;
  return (
    <Panel
      title={feeder.label}
      aside={
        <Box textStyle="label" color="quiet">
          {t('view.machines.gun-and-length', { gun: feeder.gun, gunLengthM: amount('gunLength', feeder.gunLengthM) })}
        </Box>
      }
    >
      <Box display="grid" gap="4">
        <Box display="grid" gridTemplateColumns={{ base: '1fr 1fr', md: 'repeat(4, 1fr)' }} gap="2.5">
          <ValueField
            label={t('view.gun-paper.hose')}
            of="gunLength"
            value={paper.hoseAfterValveM ?? null}
            keep={`${keep}/hose`}
            range={[0, 50]}
            optional
            hint={t('view.gun-paper.hose-why')}
            onValue={(value) => set({ hoseAfterValveM: value ?? undefined })}
          />
          <ValueField
            label={t('view.gun-paper.leads-both-ways')}
            of="gunLength"
            value={paper.cableM ?? null}
            keep={`${keep}/cable`}
            range={[1, 200]}
            optional
            onValue={(value) => set({ cableM: value ?? undefined })}
          />
          <ValueField
            label={t('view.gun-paper.their-copper')}
            of="area"
            value={paper.cableMm2 ?? null}
            keep={`${keep}/copper`}
            range={[10, 240]}
            optional
            hint={
              copper === undefined
                ? undefined
                : t('view.gun-paper.copper', {
                    copper: amount('resistance', copper, 1),
                    circuit: amount('resistance', machine.file.circuitMOhm, 1),
                  })
            }
            onValue={(value) => set({ cableMm2: value ?? undefined })}
          />
          <ChoiceField
            label={t('view.gun-paper.tip-for-aluminium')}
            value={paper.tipRule ?? ''}
            choices={[
              { value: '', label: t('view.gun-paper.tip-not-noted') },
              { value: 'one-size-up', label: t('view.gun-paper.tip-one-up') },
              { value: 'as-stamped', label: t('view.gun-paper.as-stamped') },
            ]}
            onChange={(value) =>
              set({ tipRule: value === 'one-size-up' || value === 'as-stamped' ? value : undefined })
            }
          />
          <ValueField
            label={t('view.gun-paper.liner-bore')}
            of="shortLength"
            value={liner?.boreMm ?? null}
            keep={`${keep}/bore`}
            range={[0.8, 6]}
            step={0.1}
            optional
            onValue={(boreMm) =>
              set({
                liner: boreMm === null ? undefined : { lengthM: feeder.gunLengthM, since: shopDay(), ...liner, boreMm },
              })
            }
          />
          {liner && (
            <>
              <ValueField
                label={t('view.gun-paper.liner-length')}
                of="gunLength"
                value={liner.lengthM}
                keep={`${keep}/liner`}
                range={[0.5, 25]}
                step={0.1}
                onValue={(lengthM) => set({ liner: { ...liner, lengthM: lengthM ?? feeder.gunLengthM } })}
              />
              <TextField
                label={t('view.gun-paper.since')}
                type="date"
                value={liner.since}
                onChange={(since) => set({ liner: { ...liner, since } })}
              />
            </>
          )}
        </Box>
        <Box role="group" aria-label={t('view.gun-paper.arc-start')}>
          <Box textStyle="label" color="quiet" mb="1">
            {t('view.gun-paper.arc-start')}
          </Box>
          <Box display="flex" gap="4" flexWrap="wrap">
            {ignitions.map((one) => (
              <Tick
                key={one}
                checked={paper.ignitions?.includes(one) ?? false}
                onChange={(is) =>
                  set({ ignitions: ignitions.filter((kind) => (kind === one ? is : paper.ignitions?.includes(kind))) })
                }
              >
                {ignitionNames[one]}
              </Tick>
            ))}
          </Box>
        </Box>
        <Rows
          title={t('view.gun-paper.rolls')}
          rows={paper.rolls ?? []}
          blank={blankRoll}
          columns="1fr 120px 1.5fr auto"
          onRows={(rolls) => set({ rolls })}
          fields={(roll, change) => (
            <>
              <ChoiceField
                label={t('view.gun-paper.groove')}
                value={roll.groove}
                choices={grooves.map((value) => ({ value, label: grooveNames[value] }))}
                onChange={(groove) => change({ ...roll, groove })}
              />
              <ChoiceField
                label={t('view.gun-paper.size')}
                value={String(roll.mm)}
                choices={sizeChoices}
                onChange={(mm) => change({ ...roll, mm: Number(mm) })}
              />
              <TextField
                label={t('view.gun-paper.colour-or-stamp')}
                value={roll.colour}
                maxLength={60}
                onChange={(colour) => change({ ...roll, colour })}
              />
            </>
          )}
        />
        <Rows
          title={t('view.gun-paper.pressure-marks')}
          rows={paper.tension ?? []}
          blank={blankMark}
          columns="2fr 120px 1fr auto"
          onRows={(tension) => set({ tension })}
          fields={(one, change) => (
            <>
              <ChoiceField
                label={t('view.gun-paper.wire')}
                value={one.filler}
                choices={fillers.map(({ code, name }) => ({ value: code, label: name }))}
                onChange={(filler) => change({ ...one, filler })}
              />
              <ChoiceField
                label={t('view.gun-paper.size')}
                value={String(one.diameterMm)}
                choices={sizeChoices}
                onChange={(mm) => change({ ...one, diameterMm: Number(mm) })}
              />
              <TextField
                label={t('view.gun-paper.mark')}
                value={one.mark}
                maxLength={60}
                onChange={(mark) => change({ ...one, mark })}
              />
            </>
          )}
        />
        <Rows
          title={t('view.gun-paper.gas-fittings')}
          rows={paper.fittings ?? []}
          blank={{ gas: 'M21-ArC-18', fitting: '' }}
          columns="1.5fr 1.5fr 1fr auto"
          onRows={(fittings) => set({ fittings })}
          fields={(one, change) => (
            <>
              <ChoiceField
                label={t('view.machines.gas')}
                value={one.gas}
                choices={commonGasCodes
                  .filter((gas) => gas !== 'none')
                  .map((gas) => ({ value: gas, label: format(gasName(gas)) }))}
                onChange={(gas) => change({ ...one, gas })}
              />
              <TextField
                label={t('view.gun-paper.fitting')}
                value={one.fitting}
                maxLength={60}
                onChange={(fitting) => change({ ...one, fitting })}
              />
              <TextField
                label={t('view.gun-paper.leak-test')}
                type="date"
                value={one.leakTestedOn ?? ''}
                onChange={(day) => {
                  const { leakTestedOn: _old, ...rest } = one;
                  change(day === '' ? rest : { ...rest, leakTestedOn: day });
                }}
              />
            </>
          )}
        />
        <GunWear machineId={machine.id} feederId={feeder.id} />
        {task.problem !== null && edited && (
          <Notice level="refusal" word={t('view.library.not-saved')} urgent>
            {t('view.machines.draft-kept', { problem: task.problem })}
          </Notice>
        )}
        {mayChange && (
          <Box display="flex" gap="2" flexWrap="wrap">
            <Action
              kind="main"
              disabled={!edited || task.busy}
              onClick={() =>
                void editor
                  .saveFile((file) => ({
                    ...file,
                    feeders: file.feeders.map((one) => (one.id === feeder.id ? { ...one, paper } : one)),
                  }))
                  .then((done) => {
                    if (done) forget();
                  })
              }
            >
              {t('view.library.save')}
            </Action>
            <Action disabled={!edited} onClick={forget}>
              {t('view.machines.back-to-saved')}
            </Action>
          </Box>
        )}
      </Box>
    </Panel>
  );
}
