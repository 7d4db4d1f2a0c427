/** One step of the set-up walk: what to do, how to do it safely, what happens if it is forgotten; ticked and timed. */
import { amount } from '@fox-tempo/core/base/messages';
import { t, format } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import type { Changeover, SetupStep } from '@fox-tempo/core/machine/setup';
import { useState } from 'react';
import { Action } from '../../ui/action.tsx';
import { HazardText } from '../../ui/hazard-text.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Tick } from '../../ui/tick.tsx';
import { GrooveDrawing, RecessDrawing } from './drawings.tsx';

export function Step({
  step,
  list,
  ticked,
  isOwnTime,
  onTick,
}: {
  readonly step: SetupStep;
  /** What the drawings of rolls and tip need. */
  readonly list: Pick<Changeover, 'needed'> | null;
  readonly ticked: boolean;
  readonly isOwnTime: boolean;
  /** With the minutes it took, when it was timed. */
  readonly onTick: (ticked: boolean, minutes: number | null) => void;
}) {
  const [startedAt, setStartedAt] = useState<number | null>(null);
  return (
    <Box as="li" borderTopWidth="1px" borderColor="line" py="2" {...(ticked ? { opacity: 0.75 } : {})}>
      <Box display="flex" gap="3" alignItems="flex-start">
        <Box flex="1" minWidth={0}>
          <Tick
            checked={ticked}
            onChange={(next) => {
              onTick(next, startedAt === null ? null : Math.max((Date.now() - startedAt) / 60_000, 0.1));
              setStartedAt(null);
            }}
          >
            <Box as="strong" fontSize="body">
              {format(step.title)}
            </Box>
            <Box as="span" display="block" fontSize="text">
              {format(step.from)} → <strong>{format(step.to)}</strong>
            </Box>
          </Tick>
        </Box>
        <Box textAlign="end" flexShrink={0}>
          <Box textStyle="figure">{format(amount('minutes', step.minutes, 0))}</Box>
          <Box textStyle="label" color="quiet">
            {isOwnTime ? t('view.setup.timed-here') : t('view.setup.usual')}
          </Box>
        </Box>
      </Box>
      {!ticked && (
        <Box ps="34px">
          {step.cautions.map((caution) => (
            <Box key={format(caution.code)} mb="1">
              <Notice level={caution.level}>
                <HazardText said={caution.message} />
              </Notice>
            </Box>
          ))}
          <Box display="flex" gap="4" flexWrap="wrap" alignItems="flex-start">
            <Box as="ol" ps="5" listStyleType="decimal" fontSize="text" flex="1 1 260px">
              {step.how.map((line) => (
                <Box as="li" key={format(line)} py="0.5">
                  <HazardText said={line} />
                </Box>
              ))}
            </Box>
            {step.kind === 'rolls' && list && <GrooveDrawing groove={list.needed.groove} />}
            {step.kind === 'recess' && list && <RecessDrawing recessMm={list.needed.recessMm} />}
          </Box>
          <Box fontSize="small" color="quiet" mt="1">
            {t('view.setup.if-forgotten', { why: step.why })}
          </Box>
          <Action
            kind="quiet"
            fontSize="small"
            onClick={() => setStartedAt(startedAt === null ? Date.now() : null)}
            aria-pressed={startedAt !== null}
            aria-label={t('view.setup.time-step', { title: step.title })}
          >
            {startedAt === null ? t('view.setup.time') : t('view.setup.timing')}
          </Action>
        </Box>
      )}
    </Box>
  );
}
