/** What the shop's own welds say of this seam: the hand's pace with its weight, and passed trials of seams like it to start from. */
import { Box } from '@chakra-ui/react';
import { may, type Learned, type ProgramChoice } from '@fox-tempo/contract';
import { amount } from '@fox-tempo/core/base/messages';
import type { Plan } from '@fox-tempo/core/setting/plan';
import { noTune } from '@fox-tempo/core/machine/tuning';
import { useState } from 'react';
import { Link } from 'react-router';
import { useEndpoint } from '../../data/queries.ts';
import { session, useMe } from '../../session/session.ts';
import { shopTime } from '../../lib/time.ts';
import { t, format } from '../../lib/words.ts';
import { Action } from '../../ui/action.tsx';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { Panel } from '../../ui/panel.tsx';

export interface OwnWeldsProps {
  readonly seamId: string;
  readonly machineId: string | undefined;
  readonly choice: ProgramChoice;
  readonly plan: Plan;
  readonly isNew: boolean;
  readonly onChoice: (change: Partial<ProgramChoice>) => void;
}

export function OwnWelds({ seamId, machineId, choice, plan, isNew, onChoice }: OwnWeldsProps) {
  const me = useMe();
  const [welder, setWelder] = useState(me?.id ?? '');
  const people = (session.getState().state?.people ?? []).filter(({ role }) => may('addTrial', role));
  const { data } = useEndpoint('learned', {
    params: { id: seamId },
    query: { welder, ...(machineId === undefined ? {} : { machine: machineId }) },
  });
  const name = people.find(({ id }) => id === welder)?.name ?? '';
  return (
    <Panel title={t('view.trials.from-own-welds')}>
      <Box display="grid" gap="3">
        <Box display="flex" gap="3" alignItems="end" flexWrap="wrap">
          <Box width="200px">
            <ChoiceField
              label={t('view.trials.made-for-welder')}
              value={welder}
              choices={people.map((person) => ({ value: person.id, label: person.name }))}
              onChange={setWelder}
            />
          </Box>
          <Pace pace={data?.pace ?? null} choice={choice} name={name} onChoice={onChoice} />
        </Box>
        {plan.pace && (
          <Box fontSize="small" role="status">
            {format(plan.pace.words)}
          </Box>
        )}
        {data?.trim && data.trim.points > 0 && (
          <Box fontSize="small" color="quiet" display="flex" alignItems="center" gap="2" flexWrap="wrap">
            {t('view.trials.trim-passed-here', {
              points: data.trim.points,
              trim: amount('shortLength', data.trim.atFeed, 1),
              weight: amount('percent', 100 * data.trim.weight, 0),
            })}
            <TakeTrim trimMm={data.trim.atFeed} choice={choice} onChoice={onChoice} />
          </Box>
        )}
        {data?.feed && <FeedHere feed={data.feed} choice={choice} onChoice={onChoice} />}
        <Nearest nearest={data?.nearest ?? []} isNew={isNew} choice={choice} onChoice={onChoice} />
      </Box>
    </Panel>
  );
}

/** Wire by joint and position: what passed here against the rule, and a feed to start from. */
function FeedHere({
  feed,
  choice,
  onChoice,
}: {
  readonly feed: NonNullable<Learned['feed']>;
  readonly choice: ProgramChoice;
  readonly onChoice: OwnWeldsProps['onChoice'];
}) {
  const { factor, settings, elsewhere, weight, ruleMPerMin, startMPerMin: wireFeedMPerMin } = feed;
  if (settings + elsewhere === 0 || Math.abs(factor - 1) <= noticed) return null;
  return (
    <Box fontSize="small" color="quiet" display="flex" alignItems="center" gap="2" flexWrap="wrap">
      {t('view.trials.feed-passed-here', {
        factor: amount('plain', factor, 2),
        settings,
        elsewhere,
        weight: amount('percent', 100 * weight, 0),
        rule: amount('wireFeed', ruleMPerMin, 1),
      })}
      {choice.wireFeedMPerMin !== wireFeedMPerMin && (
        <Action onClick={() => onChoice({ wireFeedMPerMin })}>
          {t('view.trials.take-this-feed', { feed: amount('wireFeed', wireFeedMPerMin, 1) })}
        </Action>
      )}
    </Box>
  );
}

/** A tenth of a mm is what a dial's step leaves. */
const sameTrimMm = 0.05;

function TakeTrim({
  trimMm,
  choice,
  onChoice,
}: {
  readonly trimMm: number;
  readonly choice: ProgramChoice;
  readonly onChoice: OwnWeldsProps['onChoice'];
}) {
  const { tune } = choice;
  if (tune?.trimMm !== null && tune?.trimMm !== undefined && Math.abs(tune.trimMm - trimMm) < sameTrimMm) return null;
  return (
    <Action onClick={() => onChoice({ tune: { ...noTune, ...tune, trimMm } })}>
      {t('view.trials.take-this-trim')}
    </Action>
  );
}

/** Differences smaller than this are within what a hand does from seam to seam. */
const noticed = 0.03;

function Pace({
  pace,
  choice,
  name,
  onChoice,
}: {
  readonly pace: Learned['pace'];
  readonly choice: ProgramChoice;
  readonly name: string;
  readonly onChoice: OwnWeldsProps['onChoice'];
}) {
  if (choice.pace)
    return (
      <Action onClick={() => onChoice({ pace: undefined })}>
        {t('view.trials.plan-usual', { welder: choice.pace.welder })}
      </Action>
    );
  if (!pace || pace.seams + pace.elsewhere === 0)
    return (
      <Box fontSize="small" color="quiet" minHeight="44px" display="flex" alignItems="center">
        {t('view.trials.nobody-timed')}
      </Box>
    );
  const words = t('view.trials.welder-travels', {
    factor: amount('plain', pace.factor, 2),
    seams: pace.seams,
    weight: amount('percent', 100 * pace.weight, 0),
  });
  return (
    <>
      <Box fontSize="small" minHeight="44px" display="flex" alignItems="center">
        {words}
      </Box>
      {Math.abs(pace.factor - 1) > noticed && (
        <Action
          onClick={() =>
            // A feed that was chosen for the rule's pace would only make the bead larger.
            onChoice({
              wireFeedMPerMin: null,
              pace: { factor: pace.factor, weight: pace.weight, seams: pace.seams, welder: name },
            })
          }
        >
          {t('view.trials.plan-for-welder')}
        </Action>
      )}
    </>
  );
}

function Nearest({
  nearest,
  isNew,
  choice,
  onChoice,
}: {
  readonly nearest: Learned['nearest'];
  readonly isNew: boolean;
  readonly choice: ProgramChoice;
  readonly onChoice: OwnWeldsProps['onChoice'];
}) {
  const shown = isNew ? nearest : nearest.slice(0, 2);
  if (shown.length === 0) return null;
  const start = ({ filler, gas, diameterMm, mode, wireFeedMPerMin }: Learned['nearest'][number]['trial']) =>
    onChoice({ filler, gas, diameterMm, mode, wireFeedMPerMin });
  return (
    <Box>
      <Box textStyle="label" color="quiet">
        {t('view.trials.similar')}
      </Box>
      <Box as="ul" listStyleType="none">
        {shown.map((one) => {
          const { trial, distance, differs } = one;
          const isTaken = choice.wireFeedMPerMin === trial.wireFeedMPerMin && choice.filler === trial.filler;
          return (
            <Box as="li" key={trial.id} display="flex" gap="2" alignItems="center" fontSize="small" flexWrap="wrap">
              <Box flex="1 1 240px" minWidth={0}>
                <Box asChild color="accent" fontWeight={600}>
                  <Link to={`/trials/${trial.id}`}>{trial.seamName}</Link>
                </Box>
                , {shopTime(trial.at)}: {format(amount('wireFeed', trial.wireFeedMPerMin, 1))}
                <Box as="span" color="quiet">
                  {' '}
                  {differs.length === 0
                    ? t('view.trials.nothing-differs-distance')
                    : t('view.trials.differs', {
                        distance: amount('plain', distance, 1),
                        differs: differs.map(differenceName).join(', '),
                      })}
                </Box>
              </Box>
              <Action disabled={isTaken} onClick={() => start(one.trial)}>
                {isTaken ? t('view.trials.started-from') : t('view.trials.start-from')}
              </Action>
            </Box>
          );
        })}
      </Box>
    </Box>
  );
}

function differenceName(one: Learned['nearest'][number]['differs'][number]): string {
  return {
    metal: t('view.trials.d-metal'),
    thickness: t('view.trials.d-thickness'),
    joint: t('view.trials.d-joint'),
    position: t('view.trials.d-position'),
    gas: t('view.trials.d-gas'),
    wire: t('view.trials.d-wire'),
    size: t('view.trials.d-size'),
    mode: t('view.trials.d-mode'),
  }[one];
}
