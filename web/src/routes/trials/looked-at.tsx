/** Where one looks: a tap says "clean" of a whole side; what was seen is tapped by its drawing, once slight, twice plain, three times bad. */
import { Box, chakra } from '@chakra-ui/react';
import { severityNames, symptoms, symptomsOn, type Side, type SymptomCode } from '@fox-tempo/core/evidence/trial';
import { useState } from 'react';
import { t, format } from '../../lib/words.ts';
import { Action } from '../../ui/action.tsx';
import { lookedAtClean, notLookedAt, sideState, tapped, type Draft } from './draft.ts';
import { SymptomDrawing } from './symptom-drawing.tsx';
import { VerdictShape } from '../../parts/own-welds/index.ts';

export interface LookedAtProps {
  readonly symptoms: Draft['symptoms'];
  readonly onChange: (symptoms: Draft['symptoms']) => void;
}

/** Sides that one looks at; what was heard is a thing of its own. */
const looked = ['front', 'back', 'start', 'end'] as const;

export function LookedAt({ symptoms: seen, onChange }: LookedAtProps) {
  const [open, setOpen] = useState<Side | null>(null);
  const allClean = looked.every((side) => sideState(seen, side) === 'clean');
  return (
    <Box display="grid" gap="2">
      <Action
        justifySelf="start"
        aria-pressed={allClean}
        onClick={() =>
          onChange(looked.reduce((now, side) => (allClean ? notLookedAt(now, side) : lookedAtClean(now, side)), seen))
        }
      >
        {allClean ? '✓ ' : ''}
        {t('view.trials.all-clean')}
      </Action>
      <Box display="grid" gap="2" gridTemplateColumns={{ base: 'repeat(2, 1fr)', md: 'repeat(5, 1fr)' }}>
        {(['front', 'back', 'start', 'end', 'heard'] as const).map((side) => (
          <SideTile
            key={side}
            side={side}
            seen={seen}
            isOpen={open === side}
            onClean={() =>
              onChange(sideState(seen, side) === 'clean' ? notLookedAt(seen, side) : lookedAtClean(seen, side))
            }
            onOpen={() => setOpen(open === side ? null : side)}
          />
        ))}
      </Box>
      {open && (
        <Box role="group" aria-label={sideName(open)} borderTopWidth="1px" borderColor="line" pt="2">
          <Box fontSize="label" color="quiet" mb="1">
            {t('view.trials.symptoms-why')}
          </Box>
          <Box
            display="grid"
            gap="1.5"
            gridTemplateColumns={{ base: 'repeat(2, 1fr)', md: 'repeat(auto-fill, minmax(172px, 1fr))' }}
          >
            {symptomsOn(open).map((code) => (
              <SymptomButton key={code} code={code} seen={seen} onTap={() => onChange(tapped(seen, open, code))} />
            ))}
          </Box>
        </Box>
      )}
    </Box>
  );
}

export function sideName(side: Side): string {
  const names = {
    front: t('view.trials.front'),
    back: t('view.trials.side-back'),
    start: t('view.trials.start'),
    end: t('view.trials.end'),
    heard: t('view.trials.heard'),
  };
  return names[side];
}

function SideTile({
  side,
  seen,
  isOpen,
  onClean,
  onOpen,
}: {
  readonly side: Side;
  readonly seen: Draft['symptoms'];
  readonly isOpen: boolean;
  readonly onClean: () => void;
  readonly onOpen: () => void;
}) {
  const state = sideState(seen, side);
  const count = symptomsOn(side).filter((code) => seen[code]?.answer === 'yes').length;
  const name = sideName(side);
  return (
    <Box
      borderWidth="1px"
      borderColor={state === 'seen' ? 'crimson' : state === 'clean' ? 'spruce' : 'edge'}
      borderRadius="4px"
      overflow="hidden"
    >
      <chakra.button
        type="button"
        width="100%"
        minHeight="64px"
        px="2"
        bg={state === 'clean' ? 'spruceSoft' : state === 'seen' ? 'crimsonSoft' : 'surface'}
        cursor="pointer"
        aria-pressed={state === 'clean'}
        aria-label={t('view.trials.looked-at-clean', { side: name })}
        onClick={onClean}
        display="grid"
        justifyItems="center"
        alignContent="center"
        gap="0.5"
      >
        <Box fontWeight={650} fontSize="text">
          {name}
        </Box>
        <Box fontSize="label" color={state === 'open' ? 'quiet' : 'ink'} display="flex" alignItems="center" gap="1">
          {state === 'clean' && <VerdictShape verdict="pass" size={12} />}
          {state === 'seen' && <VerdictShape verdict="fail" size={12} />}
          {state === 'clean'
            ? t('view.trials.clean')
            : state === 'seen'
              ? t('view.trials.seen-count', { count })
              : t('view.trials.tap-clean')}
        </Box>
      </chakra.button>
      <Action
        kind="quiet"
        width="100%"
        minHeight="44px"
        fontSize="small"
        borderRadius="0"
        aria-expanded={isOpen}
        aria-label={t('view.trials.seen-on', { side: name })}
        onClick={onOpen}
      >
        {t('view.trials.something')}
      </Action>
    </Box>
  );
}

function SymptomButton({
  code,
  seen,
  onTap,
}: {
  readonly code: SymptomCode;
  readonly seen: Draft['symptoms'];
  readonly onTap: () => void;
}) {
  const answer = seen[code];
  const severity = answer?.answer === 'yes' ? (answer.severity ?? 2) : null;
  const { name, iso6520 } = { iso6520: undefined, ...symptoms[code] };
  return (
    <chakra.button
      type="button"
      display="flex"
      alignItems="center"
      gap="2"
      minHeight="52px"
      px="1.5"
      textAlign="start"
      borderWidth="1px"
      borderRadius="3px"
      borderColor={severity === null ? 'line' : 'crimson'}
      bg={severity === null ? 'surface' : 'crimsonSoft'}
      cursor="pointer"
      aria-pressed={severity !== null}
      onClick={onTap}
    >
      <SymptomDrawing code={code} />
      <Box minWidth={0} fontSize="label" lineHeight={1.2}>
        {format(name)}
        <Box color="quiet" fontSize="label">
          {severity === null ? (iso6520 === undefined ? '' : `ISO 6520-1 ${iso6520}`) : format(severityNames[severity])}
        </Box>
      </Box>
    </chakra.button>
  );
}
