/** What the plan takes, how good it is known to be, and a better order where a solver found one. */
import { hoursOf } from '@fox-tempo/core/base/units';
import { Box } from '@chakra-ui/react';
import type { DayPlan } from '@fox-tempo/core/day/plan';
import { amount } from '@fox-tempo/core/base/messages';
import type { Proof } from '@fox-tempo/core/day/schedule';
import { t, format } from '../../lib/words.ts';
import type { ProofState } from '../../workers/use-proof.ts';
import { Action } from '../../ui/action.tsx';

export function Totals({
  plan,
  proof: { looking, proof },
  onBetter,
}: {
  readonly plan: DayPlan;
  readonly proof: ProofState;
  readonly onBetter: (order: NonNullable<Proof['better']>['order']) => void;
}) {
  const end = Math.max(0, ...plan.bars.map(({ toMinute }) => toMinute));
  const better = proof?.better;
  return (
    <Box display="flex" gap="5" rowGap="2" flexWrap="wrap" alignItems="center" fontSize="text">
      <Figure name={t('view.run-plan.changeovers')} text={format(amount('minutes', plan.setupMinutes, 0))} />
      <Figure
        name={t('view.run-plan.late')}
        text={format(amount('minutes', plan.lateMinutes, 0))}
        alarming={plan.lateMinutes > 0}
      />
      <Figure
        name={t('view.run-plan.column-done')}
        text={t('view.run-plan.hours', { hours: amount('plain', hoursOf(end), 1) })}
      />
      <Box color="quiet" role="status">
        {howGood(plan, looking, proof)}
      </Box>
      {better && (
        <Action kind="main" onClick={() => onBetter(better.order)}>
          {t('view.run-plan.take-the-better', { less: amount('minutes', plan.cost - better.cost, 0) })}
        </Action>
      )}
    </Box>
  );
}

function Figure({
  name,
  text,
  alarming = false,
}: {
  readonly name: string;
  readonly text: string;
  readonly alarming?: boolean;
}) {
  return (
    <Box>
      <Box as="span" color="quiet">
        {name}
      </Box>{' '}
      <Box as="span" textStyle="figure" color={alarming ? 'crimson' : 'ink'}>
        {text}
      </Box>
    </Box>
  );
}

function howGood(plan: DayPlan, looking: boolean, proof: Proof | null): string {
  if (plan.provenBest || (proof?.provenBest === true && !proof.better)) return t('view.run-plan.proven');
  if (looking) return t('view.run-plan.a-solver-looks');
  const bound = Math.max(plan.bound, proof?.bound ?? 0);
  // A bound says how much at most is left to be won.
  return bound >= 1 && bound <= plan.cost
    ? t('view.run-plan.bound', {
        bound: amount('minutes', bound, 0),
        cost: amount('minutes', plan.cost, 0),
        gap: amount('percent', (100 * (plan.cost - bound)) / Math.max(plan.cost, 1), 0),
      })
    : proof
      ? t('view.run-plan.no-bound-found')
      : '';
}
