/** What is noted of one gun, in its parts: hoses and cables, how it lights the arc, and its lists of rolls, pressure marks and fittings. */
import { Box } from '@chakra-ui/react';
import type { MachineFile } from '@fox-tempo/contract';
import { amount } from '@fox-tempo/core/base/messages';
import { copperMOhm, type Ignition, ignitions } from '@fox-tempo/core/machine/description';
import { type Groove, grooves } from '@fox-tempo/core/machine/setup';
import { commonGasCodes, fillers, gasName, wireSizes } from '@fox-tempo/core/metal/consumables';
import { shopDay } from '../../lib/time.ts';
import { format, t } from '../../lib/words.ts';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { TextField } from '../../ui/text-field.tsx';
import { Tick } from '../../ui/tick.tsx';
import { ValueField } from '../../ui/value-field.tsx';
import { Rows } from './gun-rows.tsx';

export type Feeder = MachineFile['feeders'][number];

export type Paper = NonNullable<Feeder['paper']>;

interface PartProps {
  readonly paper: Paper;
  readonly set: (change: Partial<Paper>) => void;
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

interface CableProps extends PartProps {
  readonly feeder: Feeder;
  /** Where half-typed values are kept. */
  readonly keep: string;
  readonly circuitMOhm: number;
}

export function GunCables({ paper, set, feeder, keep, circuitMOhm }: CableProps) {
  const copper = copperMOhm(paper);
  const liner = paper.liner;
  return (
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
                circuit: amount('resistance', circuitMOhm, 1),
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
        onChange={(value) => set({ tipRule: value === 'one-size-up' || value === 'as-stamped' ? value : undefined })}
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
  );
}

export function GunIgnitions({ paper, set }: PartProps) {
  return (
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
  );
}

export function GunLists(part: PartProps) {
  return (
    <>
      <Rolls {...part} />
      <PressureMarks {...part} />
      <Fittings {...part} />
    </>
  );
}

function Rolls({ paper, set }: PartProps) {
  return (
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
  );
}

function PressureMarks({ paper, set }: PartProps) {
  return (
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
  );
}

function Fittings({ paper, set }: PartProps) {
  return (
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
  );
}
