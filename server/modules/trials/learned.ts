/** What the shop’s own trials teach about a seam on a machine: travel speed, feed and trim. */
import type { Learned, SeamResource } from '@fox-tempo/contract';
import {
  feedElsewhere,
  feedFactor,
  feedToStart,
  paceElsewhere,
  paceOf,
  trimAt,
  trimLine,
  unknownFeed,
  unknownPace,
} from '@fox-tempo/core/evidence/learned';
import { nearness, type Timer, tooFar } from '@fox-tempo/core/evidence/trial';
import { planSetting, thinnerMm } from '@fox-tempo/core/setting/plan';
import { ruleQuestion, type Site } from '@fox-tempo/core/site';
import type { Database } from '../../db/connection.ts';
import { findRevision } from '../revisions/index.ts';
import { requireSeam } from '../seams/index.ts';
import { shopSite } from '../shop/index.ts';
import { passedSettings, passedTrials, passedTrims, timedTrials } from './repo.ts';

/** How near a passed trial must lie to be worth naming, and how many are. */
const named = 4;

export async function learnedFor(
  db: Database,
  seamId: string,
  { welder, machine }: { readonly welder?: string | undefined; readonly machine?: string | undefined },
): Promise<Learned> {
  const seam = await requireSeam(db, seamId);
  const { choice, spec } = seam;
  const kind = choice && {
    materialGroup: spec.materialGroup,
    thicknessMm: thinnerMm(spec.thicknessesMm),
    joint: spec.joint,
    position: spec.position,
    gas: choice.gas,
    filler: choice.filler,
    diameterMm: choice.diameterMm,
    mode: choice.mode,
  };
  const nearest = (await passedTrials(db, spec.materialGroup))
    .filter(({ row }) => row.seamId !== seamId)
    .map(({ row, joint }) => ({
      trial: row,
      ...nearness(
        kind ?? { ...row, joint: spec.joint, position: spec.position, thicknessMm: thinnerMm(spec.thicknessesMm) },
        {
          ...row,
          joint: joint as typeof spec.joint,
        },
      ),
    }))
    .filter(({ distance }) => distance < tooFar)
    .sort((a, b) => a.distance - b.distance || b.trial.row - a.trial.row);
  const bySeam = nearest.filter(
    ({ trial }, at) => nearest.findIndex((one) => one.trial.seamId === trial.seamId) === at,
  );
  return {
    pace: welder === undefined ? null : await paceFor(db, welder, spec.position, choice?.mode ?? 'pulse'),
    trim:
      machine === undefined || !choice
        ? null
        : await trimFor(db, machine, choice, seam.revision?.program.wireFeedMPerMin),
    feed: choice ? await feedFor(db, seam, choice) : null,
    nearest: bySeam.slice(0, named).map((one) => ({ ...one, differs: [...one.differs] })),
  };
}

async function paceFor(db: Database, welderId: string, position: string, mode: string): Promise<Learned['pace']> {
  const all = (await timedTrials(db)).filter((one) => one.welderId === welderId);
  const timed = ({ planned, found, arcS, timer }: (typeof all)[number]) => ({
    planned,
    found,
    arcS: timer === ('machine' satisfies Timer) || timer === ('stand-in' satisfies Timer) ? undefined : arcS,
  });
  const here = all.filter((one) => one.position === position && one.mode === mode);
  const others = all.filter((one) => !here.includes(one));
  const prior = others.length === 0 ? unknownPace : paceElsewhere(paceOf(others.map(timed)));
  const pace = paceOf(here.map(timed), prior);
  return { ...pace, seams: here.length, elsewhere: others.length };
}

/** Wire that passed on this joint against what the rule asks for of each setting; other positions of the joint lend what they know. */
async function feedFor(
  db: Database,
  { spec }: SeamResource,
  choice: NonNullable<SeamResource['choice']>,
): Promise<Learned['feed']> {
  const here = ruleFeed(spec, choice, await shopSite(db));
  if (here === null) return null;
  const passed: { readonly position: string; readonly rule: number; readonly passed: number }[] = [];
  for (const { seamId, revision, position, feed } of await passedSettings(db, spec.joint, spec.materialGroup)) {
    const found = await findRevision(db, seamId, revision);
    const rule = found && ruleFeed(found.spec, found.choice, found.site);
    if (rule) passed.push({ position, rule, passed: feed });
  }
  const own = passed.filter(({ position }) => position === spec.position);
  const others = passed.filter(({ position }) => position !== spec.position);
  const prior = others.length === 0 ? unknownFeed : feedElsewhere(feedFactor(others));
  const found = feedFactor(own, prior);
  return {
    ...found,
    settings: own.length,
    elsewhere: others.length,
    ruleMPerMin: here,
    startMPerMin: feedToStart(here, found),
  };
}

/** What the rule asks for, without a feed of one's own and without any learning. */
function ruleFeed(spec: SeamResource['spec'], choice: NonNullable<SeamResource['choice']>, site: Site): number | null {
  const plan = planSetting(ruleQuestion(spec, { ...choice, wireFeedMPerMin: null }, site));
  return plan.ok ? plan.value.wireFeedMPerMin : null;
}

async function trimFor(
  db: Database,
  machineId: string,
  wire: { readonly filler: string; readonly gas: string; readonly mode: string },
  feed: number | undefined,
): Promise<Learned['trim']> {
  const points = await passedTrims(db, machineId, wire);
  const line = trimLine(points);
  return { ...line, points: points.length, atFeed: trimAt(line, feed ?? 6) };
}
