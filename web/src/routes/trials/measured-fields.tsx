/** What was measured at the bead and read on the panel. Nothing is needed; blank is "not looked at". */
import { Box } from '@chakra-ui/react';
import type { QuantityName } from '@fox-tempo/core/base/units';
import {
  handPatterns,
  measuredFigure,
  measuredNames,
  sounds,
  testKinds,
  testNames,
  type Sound,
} from '@fox-tempo/core/evidence/trial';
import { gunRanges } from '@fox-tempo/core/setting/plan';
import { t, format } from '../../lib/words.ts';
import { Action } from '../../ui/action.tsx';
import { TextField } from '../../ui/text-field.tsx';
import { ValueField } from '../../ui/value-field.tsx';
import type { Draft, HandPattern } from './draft.ts';

export interface MeasuredProps {
  readonly seamId: string;
  readonly draft: Draft;
  readonly hasLegs: boolean;
  readonly onChange: (change: Partial<Draft>) => void;
}

/** Against the limits with a gauge in one tap, or by a rule. */
export function Legs({ seamId, draft, onChange }: Omit<MeasuredProps, 'hasLegs'>) {
  const { legs, gauge } = draft;
  const leg = (at: 0 | 1, label: string) => (
    <ValueField
      label={label}
      of="shortLength"
      value={legs[at]}
      keep={`trial/${seamId}/leg${at}`}
      range={[0.3, 40]}
      step={0.1}
      optional
      follows
      onValue={(value) => onChange({ legs: at === 0 ? [value, legs[1]] : [legs[0], value] })}
    />
  );
  return (
    <Box
      display="grid"
      gap="2"
      gridTemplateColumns={{ base: '1fr', sm: 'minmax(0, 1.6fr) minmax(0, 1fr) minmax(0, 1fr)' }}
      alignItems="end"
    >
      <Box role="group" aria-label={t('view.trials.fillet-gauge')}>
        <Box textStyle="label" color="quiet" mb="0.5">
          {t('view.trials.fillet-gauge')}
        </Box>
        <Box display="flex" gap="1" flexWrap="wrap">
          {(['fits', 'small', 'large'] as const).map((one) => (
            <Choose key={one} on={gauge === one} onClick={() => onChange({ gauge: gauge === one ? null : one })}>
              {gaugeName(one)}
            </Choose>
          ))}
        </Box>
      </Box>
      {leg(0, t('view.trials.leg-first'))}
      {leg(1, t('view.trials.leg-second'))}
    </Box>
  );
}

function gaugeName(one: 'fits' | 'small' | 'large'): string {
  return { fits: t('view.trials.fits'), small: t('view.trials.too-small'), large: t('view.trials.too-large') }[one];
}

/** A button that stays pressed. */
export function Choose({
  on,
  onClick,
  children,
}: {
  readonly on: boolean;
  readonly onClick: () => void;
  readonly children: string;
}) {
  return (
    <Action
      flex="1 0 auto"
      px="2"
      aria-pressed={on}
      onClick={onClick}
      {...(on ? { bg: 'accentSoft', borderColor: 'accent' } : {})}
    >
      {on ? '✓ ' : ''}
      {children}
    </Action>
  );
}

export function Panelled({ seamId, draft, onChange }: Omit<MeasuredProps, 'hasLegs'>) {
  const field = (
    name: 'currentA' | 'voltageV' | 'pulseHz' | 'plateC' | 'ctwdMm' | 'gapMm',
    label: string,
    of: QuantityName,
    range: readonly [number, number],
    step: number,
  ) => (
    <ValueField
      label={label}
      of={of}
      value={draft[name]}
      keep={`trial/${seamId}/${name}`}
      range={range}
      step={step}
      optional
      follows
      onValue={(value) => onChange({ [name]: value })}
    />
  );
  return (
    <Box display="grid" gap="2" gridTemplateColumns="repeat(auto-fill, minmax(118px, 1fr))">
      {field('currentA', t('view.trials.displayed-current'), 'current', [5, 700], 1)}
      {field('voltageV', t('view.trials.displayed-voltage'), 'voltage', [5, 60], 0.1)}
      {field('plateC', t('view.trials.plate-before'), 'temperature', [-20, 300], 5)}
      {field('ctwdMm', t('view.trials.ctwd'), 'shortLength', [4, 40], 0.5)}
      {field('gapMm', t('view.trials.gap-found'), 'shortLength', [0, 20], 0.1)}
      {field('pulseHz', t('view.trials.pulse-rate'), 'frequency', [5, 600], 1)}
    </Box>
  );
}

export function More({ seamId, draft, onChange }: Omit<MeasuredProps, 'hasLegs'>) {
  const { measured, heard, tests } = draft;
  return (
    <Box display="grid" gap="3">
      <Box display="grid" gap="2" gridTemplateColumns="repeat(auto-fill, minmax(118px, 1fr))">
        {measuredNames.map((name) => {
          const { name: said, of, range, step, whole = false } = measuredFigure(name);
          return (
            <ValueField
              key={name}
              label={format(said)}
              of={of}
              value={measured[name] ?? null}
              keep={`trial/${seamId}/${name}`}
              range={range}
              step={step}
              whole={whole}
              optional
              follows
              onValue={(value) => onChange({ measured: { ...measured, [name]: value } })}
            />
          );
        })}
      </Box>
      <Box fontSize="label" color="quiet">
        {t('view.trials.spatter-is-counted')}
      </Box>
      <HowItWasHeld seamId={seamId} draft={draft} onChange={onChange} />
      <Toggles
        label={t('view.trials.heard-title')}
        all={sounds}
        chosen={heard}
        nameOf={soundName}
        onChange={(next) => onChange({ heard: next })}
      />
      <Box role="group" aria-label={t('view.trials.tests-made')}>
        <Box textStyle="label" color="quiet" mb="0.5">
          {t('view.trials.tests-made')}
        </Box>
        <Box display="flex" gap="1" flexWrap="wrap">
          {testKinds.flatMap((kind) =>
            (['pass', 'fail'] as const).map((result) => (
              <Choose
                key={`${kind} ${result}`}
                on={tests.some((one) => one.kind === kind && one.result === result)}
                onClick={() => {
                  const others = tests.filter((one) => one.kind !== kind);
                  const was = tests.some((one) => one.kind === kind && one.result === result);
                  onChange({ tests: was ? others : [...others, { kind, result }] });
                }}
              >
                {t('view.trials.test-result', {
                  kind: testName(kind),
                  result: result === 'pass' ? t('view.trials.held') : t('view.trials.broke'),
                })}
              </Choose>
            )),
          )}
        </Box>
      </Box>
      <Box display="grid" gap="2" gridTemplateColumns="repeat(auto-fill, minmax(160px, 1fr))">
        <TextField
          label={t('view.trials.coupon-number')}
          value={draft.stamp}
          maxLength={40}
          onChange={(stamp) => onChange({ stamp })}
        />
        <TextField
          label={t('view.trials.wire-batch')}
          value={draft.wireBatch}
          maxLength={60}
          onChange={(wireBatch) => onChange({ wireBatch })}
        />
        <TextField
          label={t('view.trials.gas-batch')}
          value={draft.gasBatch}
          maxLength={60}
          onChange={(gasBatch) => onChange({ gasBatch })}
        />
      </Box>
    </Box>
  );
}

function Toggles<T extends string>({
  label,
  all,
  chosen,
  nameOf,
  onChange,
}: {
  readonly label: string;
  readonly all: readonly T[];
  readonly chosen: readonly T[];
  readonly nameOf: (one: T) => string;
  readonly onChange: (next: readonly T[]) => void;
}) {
  return (
    <Box role="group" aria-label={label}>
      <Box textStyle="label" color="quiet" mb="0.5">
        {label}
      </Box>
      <Box display="flex" gap="1" flexWrap="wrap">
        {all.map((one) => (
          <Choose
            key={one}
            on={chosen.includes(one)}
            onClick={() => onChange(chosen.includes(one) ? chosen.filter((other) => other !== one) : [...chosen, one])}
          >
            {nameOf(one)}
          </Choose>
        ))}
      </Box>
    </Box>
  );
}

export function soundName(sound: Sound): string {
  const names = {
    hum: t('view.trials.hum'),
    'hum-crackle': t('view.trials.hum-with-crackle'),
    'frying-even': t('view.trials.even-frying'),
    'frying-rough': t('view.trials.rough-frying'),
    hiss: t('view.trials.a-hiss'),
    flutter: t('view.trials.a-flutter'),
    popping: t('view.trials.a-popping'),
  };
  return names[sound];
}

export function testName(kind: (typeof testKinds)[number]): string {
  return format(testNames[kind]);
}

/** What the hand did and how fresh the surface was: fields that tell causes apart which look alike on the bead. */
function HowItWasHeld({ seamId, draft, onChange }: Omit<MeasuredProps, 'hasLegs'>) {
  const { hand } = draft;
  const angle = (name: 'workDeg' | 'travelDeg', label: string, range: readonly [number, number]) => (
    <ValueField
      label={label}
      of="angle"
      value={draft[name]}
      keep={`trial/${seamId}/${name}`}
      range={range}
      optional
      follows
      onValue={(value) => onChange({ [name]: value })}
    />
  );
  return (
    <Box display="grid" gap="2">
      <Box display="grid" gap="2" gridTemplateColumns="repeat(auto-fill, minmax(160px, 1fr))">
        <ValueField
          label={t('view.trials.cleaned-minutes-ago')}
          of="minutes"
          value={draft.cleanedMinutesAgo}
          keep={`trial/${seamId}/cleaned`}
          range={[0, 100_000]}
          optional
          follows
          onValue={(cleanedMinutesAgo) => onChange({ cleanedMinutesAgo })}
        />
        {angle('workDeg', t('view.trials.work-angle'), gunRanges.workDeg)}
        {angle('travelDeg', t('view.trials.travel-angle'), gunRanges.travelDeg)}
      </Box>
      <Toggles
        label={t('view.trials.hand-pattern')}
        all={handPatterns}
        chosen={hand === null ? [] : [hand]}
        nameOf={handName}
        onChange={(next) => onChange({ hand: next.find((one) => one !== hand) ?? null })}
      />
    </Box>
  );
}

function handName(pattern: HandPattern): string {
  return {
    straight: t('view.trials.hand-straight'),
    weave: t('view.trials.hand-weave'),
    steps: t('view.trials.hand-steps'),
    triangle: t('view.trials.hand-triangle'),
  }[pattern];
}
