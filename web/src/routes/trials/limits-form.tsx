/** What a weld of this seam may look like: a preset by level, every figure its own. */
import { Box } from '@chakra-ui/react';
import type { SeamResource } from '@fox-tempo/contract';
import { backs, loosened, qualityLevels, type AcceptanceLimits, type BackLimit } from '@fox-tempo/core/evidence/trial';
import { useState } from 'react';
import { api } from '../../data/api.ts';
import { useMay } from '../../session/session.ts';
import { t } from '../../lib/words.ts';
import { useTask } from '../../lib/use-task.ts';
import { Action } from '../../ui/action.tsx';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Tick } from '../../ui/tick.tsx';
import { TextField } from '../../ui/text-field.tsx';
import { ValueField } from '../../ui/value-field.tsx';
import { LimitsHistory } from './limits-history.tsx';

export interface LimitsFormProps {
  readonly seam: SeamResource;
  readonly limits: AcceptanceLimits;
  readonly presetOf: (level: AcceptanceLimits['level']) => AcceptanceLimits;
  readonly onSaved: (seam: SeamResource) => void;
}

export function LimitsForm({ seam, limits: standing, presetOf, onSaved }: LimitsFormProps) {
  const [limits, setLimits] = useState(standing);
  const [reason, setReason] = useState('');
  const states = [
    ...(seam.lock ? (['locked'] as const) : []),
    ...(seam.issued.length > 0 ? (['issued'] as const) : []),
  ];
  const mayWrite = useMay('saveLimits');
  const mayLoosen = useMay('loosenLimits', ...states);
  const looser = states.length > 0 ? loosened(standing, limits) : [];
  const task = useTask();
  const set = (change: Partial<AcceptanceLimits>) => setLimits({ ...limits, ...change });
  const figure = (
    name: 'legDifferenceMm' | 'throatMm' | 'heightMm' | 'undercutMm' | 'backMm',
    label: string,
    range: readonly [number, number],
  ) =>
    limits[name] !== null && (
      <ValueField
        key={name}
        label={label}
        of="shortLength"
        value={limits[name]}
        keep={`limits/${seam.id}/${name}`}
        range={range}
        step={0.1}
        follows
        onValue={(value) => {
          if (value !== null) set({ [name]: value });
        }}
      />
    );
  return (
    <Box display="grid" gap="2">
      <Box display="grid" gap="2" gridTemplateColumns="repeat(auto-fill, minmax(132px, 1fr))">
        <ChoiceField
          label={t('view.trials.quality-level')}
          value={limits.level}
          choices={qualityLevels.map((level) => ({ value: level, label: t('view.trials.level', { level }) }))}
          onChange={(level) => setLimits({ ...presetOf(level), isCritical: limits.isCritical })}
        />
        {limits.legMm && (
          <>
            <ValueField
              label={t('view.trials.least-leg')}
              of="shortLength"
              value={limits.legMm.least}
              keep={`limits/${seam.id}/legLeast`}
              range={[0.5, 40]}
              step={0.1}
              follows
              onValue={(least) => {
                if (least !== null) set({ legMm: { least, most: limits.legMm?.most ?? null } });
              }}
            />
            <ValueField
              label={t('view.trials.largest-leg')}
              of="shortLength"
              value={limits.legMm.most}
              keep={`limits/${seam.id}/legMost`}
              range={[0.5, 40]}
              step={0.1}
              optional
              follows
              onValue={(most) => set({ legMm: { least: limits.legMm?.least ?? 0.5, most } })}
            />
          </>
        )}
        {figure('legDifferenceMm', t('view.trials.most-leg-difference'), [0, 20])}
        {figure('throatMm', t('view.trials.least-throat'), [0.5, 40])}
        {figure('heightMm', t('view.trials.most-height'), [0, 20])}
        {figure('undercutMm', t('view.trials.deepest-undercut'), [0, 5])}
        <ChoiceField
          label={t('view.trials.the-back')}
          value={limits.back}
          choices={backs.map((back) => ({ value: back, label: backName(back) }))}
          onChange={(back) => set({ back, backMm: back === 'none' ? null : (limits.backMm ?? 2) })}
        />
        {figure('backMm', t('view.trials.back-most'), [0, 20])}
        <ValueField
          label={t('view.trials.worst-spatter')}
          of="plain"
          value={limits.spatter}
          keep={`limits/${seam.id}/spatter`}
          range={[0, 4]}
          whole
          follows
          onValue={(spatter) => {
            if (spatter !== null) set({ spatter });
          }}
        />
      </Box>
      <Box display="grid" gridTemplateColumns={{ base: '1fr', md: '1fr 1fr' }}>
        <Tick checked={limits.rootFusion} onChange={(rootFusion) => set({ rootFusion })}>
          {t('view.trials.root-proof')}
        </Tick>
        <Tick checked={!limits.isCritical} onChange={(isPlain) => set({ isCritical: !isPlain })}>
          {t('view.trials.not-critical')}
        </Tick>
      </Box>
      <Box fontSize="label" color="quiet">
        {t('view.trials.the-presets-follow')}
      </Box>
      {looser.length > 0 && !mayLoosen && <Notice level="caution">{t('view.trials.limits-lead-hand')}</Notice>}
      {looser.length > 0 && mayLoosen && (
        <TextField label={t('view.trials.limits-reason')} value={reason} maxLength={300} onChange={setReason} />
      )}
      <LimitsHistory seam={seam} />
      {task.problem !== null && <Notice level="refusal">{task.problem}</Notice>}
      <Box display="flex" gap="2">
        <Action
          kind="main"
          disabled={task.busy || !mayWrite || (looser.length > 0 && (!mayLoosen || reason.trim().length < 3))}
          onClick={() =>
            void task.run(async () =>
              onSaved(await api.saveLimits(seam.id, seam.version, { limits, reason: reason.trim() })),
            )
          }
        >
          {t('view.trials.write-the-limits')}
        </Action>
      </Box>
    </Box>
  );
}

function backName(back: BackLimit): string {
  return {
    none: t('view.trials.back-nothing'),
    allowed: t('view.trials.may-come-through'),
    through: t('view.trials.must-come-through'),
  }[back];
}
