/** The phases of a score in a row; the one chosen shows its numbers to be typed, each with what else it means. */
import { t, format, formatIf } from '../../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import {
  phaseNames,
  schoolFacts,
  sequenceTemplates,
  triggerSchools,
  type Phase,
  type TriggerSchool,
} from '@fox-tempo/core/weld/sequence';
import { Action } from '../../../ui/action.tsx';
import { ChoiceField } from '../../../ui/choice-field.tsx';
import { levelUnitName, levelUnits, type LevelUnit } from '../staves/levels.ts';
import { PhaseFields, type PhaseFieldsProps } from './phase-fields.tsx';
import type { Score } from '../use-score.ts';

export interface PhaseStripProps extends PhaseFieldsProps {
  readonly onSelect: (phase: Phase) => void;
  readonly onUnit: (unit: LevelUnit) => void;
}

/** The phases a trigger school has, in the order of the weld. */
export function phasesOf(trigger: TriggerSchool): Phase[] {
  const { ends, second } = schoolFacts[trigger];
  const around = ends === 'none';
  return [
    'pre-gas',
    'run-in',
    ...(around ? [] : (['start', 'slope-in'] as const)),
    'main',
    ...(second ? (['second'] as const) : []),
    ...(around ? [] : (['slope-out', 'end'] as const)),
    'burn-back',
    'post-gas',
  ];
}

export function PhaseStrip(props: PhaseStripProps) {
  const { score, selected, unit, onSelect, onUnit } = props;
  const { sequence, edit } = score;
  const phases = phasesOf(sequence.trigger);
  const shown = phases.includes(selected) ? selected : 'main';
  return (
    <Box display="grid" gap="2">
      <Box display="grid" gap="2" gridTemplateColumns={{ base: '1fr', md: 'minmax(0, 1.4fr) minmax(0, 1.2fr) 112px' }}>
        <ChoiceField
          label={t('view.sequence.trigger')}
          value={sequence.trigger}
          choices={triggerSchools.map((school) => ({ value: school, label: schoolFacts[school].name }))}
          onChange={(trigger) => edit({ trigger }, 'trigger')}
          hint={format(schoolFacts[sequence.trigger].hand)}
        />
        <Templates score={score} />
        <ChoiceField
          label={t('view.sequence.levels-in')}
          value={unit}
          choices={levelUnits.map((one) => ({ value: one, label: levelUnitName(one) }))}
          onChange={onUnit}
        />
      </Box>
      <Box role="tablist" aria-label={t('view.sequence.phases')} display="flex" flexWrap="wrap" gap="1">
        {phases.map((phase) => (
          <Action
            key={phase}
            role="tab"
            aria-selected={phase === shown}
            kind="quiet"
            px="2"
            minHeight="40px"
            fontSize="label"
            borderBottomWidth="3px"
            borderBottomColor={phase === shown ? 'accent' : 'line'}
            bg={phase === shown ? 'accentSoft' : 'transparent'}
            onClick={() => onSelect(phase)}
          >
            {format(phaseNames[phase])}
          </Action>
        ))}
      </Box>
      <Box
        role="tabpanel"
        aria-label={format(phaseNames[shown])}
        display="grid"
        gap="2"
        gridTemplateColumns={{ base: 'repeat(2, minmax(0, 1fr))', md: 'repeat(3, minmax(0, 1fr))' }}
        alignItems="start"
      >
        <PhaseFields key={shown} {...props} selected={shown} />
      </Box>
    </Box>
  );
}

function Templates({ score }: { readonly score: Score }) {
  return (
    <ChoiceField
      label={t('view.sequence.start-from')}
      value=""
      choices={[
        { value: '', label: score.isOwn ? t('view.sequence.this-sequence') : t('view.sequence.usual-for-metal') },
        ...sequenceTemplates.map(({ id, name }) => ({ value: id, label: name })),
        { value: 'usual', label: t('view.sequence.usual-for-metal'), disabled: !score.isOwn },
      ].filter(({ value }, at) => at === 0 || value !== 'usual' || score.isOwn)}
      onChange={(id: string) => {
        if (id === 'usual') score.forget();
        const template = sequenceTemplates.find((one) => one.id === id);
        if (template) score.edit(template.change, `template ${id}`);
      }}
      hint={formatIf(sequenceTemplates.find(({ change }) => isMadeOf(score, change))?.use)}
    />
  );
}

function isMadeOf({ sequence }: Score, change: (typeof sequenceTemplates)[number]['change']): boolean {
  return Object.entries(change).every(([field, value]) => sequence[field as keyof typeof sequence] === value);
}
