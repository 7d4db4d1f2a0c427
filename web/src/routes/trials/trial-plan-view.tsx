/** Which coupons to weld, the fewest first, and the sweep walked live: what to set, when to move on, where the first crackle came. */
import { Box } from '@chakra-ui/react';
import { amount } from '@fox-tempo/core/base/messages';
import {
  otherBeat,
  type OtherBeat,
  passesInARow,
  passesInRow,
  type PlanItemKind,
  trialPlan,
} from '@fox-tempo/core/evidence/trial';
import { stepDial } from '@fox-tempo/core/machine/tuning';
import { modeName, planSeam } from '@fox-tempo/core/setting/plan';
import { questionOf } from '@fox-tempo/core/site';
import { useEndpoint } from '../../data/queries.ts';
import { format, t } from '../../lib/words.ts';
import { HistoryLine } from '../../parts/own-welds/index.ts';
import { SeamPage, type SeamWork } from '../../parts/seam-frame/index.ts';
import { WayOn } from '../../ui/way-on.tsx';
import { Panel } from '../../ui/panel.tsx';
import { Sweep } from './sweep.tsx';

/** Spread of a good trim before anything was welded on this line, mm; as in what is learned of it. */
const unknownTrimMm = 0.5;

export function TrialPlan() {
  return (
    <SeamPage
      title={({ spec }) => t('view.trials.plan-of-trials', { seam: spec.name })}
      line={() => t('view.trials.the-fewest-coupons')}
      withoutSetting={t('view.trials.no-setting')}
    >
      {(work) => <Planned key={`${work.machine.id} ${work.seam.revision?.number ?? 0}`} {...work} />}
    </SeamPage>
  );
}

function Planned({ seam, machine, program, onSeam }: SeamWork) {
  const { data: learned } = useEndpoint('learned', { params: { id: seam.id }, query: { machine: machine.id } });
  const { data: trials } = useEndpoint('trials', { query: { seam: seam.id, limit: '20' } });
  const here = stepDial(machine.file, program, 'trimMm', 0);
  const next = stepDial(machine.file, program, 'trimMm', 1);
  const stepMm = here && next ? Math.max(next.figure - here.figure, 0.05) : 0.3;
  const trimSdMm = learned?.trim ? Math.hypot(learned.trim.sdA, 0) : unknownTrimMm;
  const { revision } = seam;
  const request = revision && questionOf(revision.spec, revision.choice, revision.site);
  const plan = request && planSeam(request);
  const other = request && plan?.ok ? otherBeat(request, plan.value) : null;
  const items = trialPlan({ trimSdMm, stepMm, hasOtherBeat: other?.ok === true });
  const inRow = passesInRow((trials?.items ?? []).map(({ verdict }) => verdict));
  return (
    <Box
      display="grid"
      gap="3"
      gridTemplateColumns={{ base: '1fr', lg: 'minmax(0, 1fr) minmax(0, 1.4fr)' }}
      alignItems="start"
    >
      <Panel title={t('view.trials.coupons-title')}>
        <Box as="ol" listStyleType="none">
          {items.map(({ kind, coupons, bits, why, onlyIfFailed }) => (
            <Box as="li" key={kind} py="2" borderTopWidth="1px" borderColor="line" _first={{ borderTopWidth: 0 }}>
              <Box display="flex" justifyContent="space-between" gap="2" fontWeight={600}>
                <span>
                  {itemName(kind)}
                  {onlyIfFailed && (
                    <Box as="span" color="quiet" fontWeight={400}>
                      {' '}
                      {t('view.trials.only-failed')}
                    </Box>
                  )}
                </span>
                <Box as="span" whiteSpace="nowrap">
                  {t('view.trials.coupons', { count: coupons })}
                </Box>
              </Box>
              <Box fontSize="small" color="quiet">
                {format(why)} {kind === 'other-beat' && other?.ok && otherWords(other.value)}{' '}
                {bits > 0.05 && t('view.trials.tells-bits', { bits: amount('plain', bits, 1) })}
              </Box>
            </Box>
          ))}
        </Box>
        <Box mt="2" borderTopWidth="1px" borderColor="line" pt="2">
          <Box fontSize="text" fontWeight={600}>
            {inRow >= passesInARow
              ? t('view.trials.three-passed')
              : t('view.trials.in-a-row', { count: inRow, of: passesInARow })}
          </Box>
          <HistoryLine seamId={seam.id} />
          <WayOn to={`/seams/${seam.id}/trial`} fontSize="small">
            {t('view.trials.record-a-trial')}
          </WayOn>
        </Box>
      </Panel>
      <Sweep seam={seam} machine={machine} stepMm={stepMm} onSeam={onSeam} />
    </Box>
  );
}

/** What the other one is set to, beside what stands. */
function otherWords({
  mode,
  plan: { wireFeedMPerMin, travelMmPerMin, slowBeat, heatInputKjPerMm },
}: OtherBeat): string {
  const terms = {
    mode: modeName(mode),
    feed: amount('wireFeed', wireFeedMPerMin, 1),
    travel: amount('travel', travelMmPerMin, 0),
    heat: amount('heatInput', heatInputKjPerMm, 2),
  };
  return slowBeat
    ? t('view.trials.plan.other-double', {
        ...terms,
        low: amount('wireFeed', slowBeat.lowFeedMPerMin, 1),
        high: amount('wireFeed', slowBeat.highFeedMPerMin, 1),
        hz: amount('frequency', slowBeat.frequencyHz, 1),
      })
    : t('view.trials.plan.other', terms);
}

function itemName(kind: PlanItemKind): string {
  return {
    sweep: t('view.trials.sweep.title'),
    point: t('view.trials.the-point'),
    grid: t('view.trials.four-around'),
    'other-beat': t('view.trials.single-against-double'),
    'start-and-stop': t('view.trials.start-and-stop'),
    confirm: t('view.trials.the-same-again'),
  }[kind];
}
