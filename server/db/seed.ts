/** Fills an empty database with the demo shop, in one transaction, through the same services that the API uses. */
import { type ProgramChoice, trialBody } from '@fox-tempo/contract';
import { asDialled, translate } from '@fox-tempo/core/machine/dials';
import { nominalCircuitMOhm } from '@fox-tempo/core/metal/arc';
import { type Scenario, scenarios, sheetOf } from '@fox-tempo/core/scenarios';
import { jointRule, thinnerMm } from '@fox-tempo/core/setting/plan';
import { plainSequence, sequenceTemplates } from '@fox-tempo/core/weld/sequence';
import { notedOf, weldOnStandIn } from '@fox-tempo/core/weld/stand-in';
import { self } from '../modules/observations/index.ts';
import { createSeam, requireSeam, saveSeam } from '../modules/seams/index.ts';
import { hashPin } from '../modules/session/index.ts';
import { markDemo } from '../modules/shop/index.ts';
import { addStandIn } from '../modules/stand-ins/index.ts';
import { recordTrial } from '../modules/trials/index.ts';
import type { Database } from './connection.ts';
import { handOf } from './demo/hands.ts';
import { machines as demoMachines } from './demo/machines.ts';
import { orders as demoOrders, parts as demoParts, people as demoPeople, demoRates, shopName } from './demo/shop.ts';
import { demoStandIns, type DemoTrial, demoTrials } from './demo/trials.ts';
import { firstWelder, inDays, lead, longAgo, momentOf, secondWelder } from './demo/who-and-when.ts';
import { machines, orders, parts, people } from './schema/index.ts';
import { seedFloor, seedReferences, seedRuns, seedStandings } from './seed-floor.ts';

/** Seams that wait for their first setting, so that the empty state is there to be seen. */
const withoutSetting = new Set(['canopy-post-edge']);

/** Seams that were moved by hand after the rule's first figure: the feed that was chosen, m/min. */
const chosenFeed: Record<string, number> = { 'sink-flange-lap': 4.4, 'hitch-bracket-fillet': 7.2 };

/** Seams whose start and stop somebody wrote: a hot start against cold plate, the second level where the rail is warm, a filled crater. */
const scores: Record<string, ProgramChoice['sequence']> = {
  'trike-frame-rail': {
    ...plainSequence,
    ...sequenceTemplates.find(({ id }) => id === 'cold-plate-warm-hand')?.change,
    tapsAtMm: [250],
  },
};

/** True when there was nothing and now there is the demo shop; without its trials, which take seconds, where nobody asks for them. */
export async function seedIfEmpty(
  db: Database,
  { trials = true }: { readonly trials?: boolean } = {},
): Promise<boolean> {
  return db.transaction(async (tx) => {
    if ((await tx.$count(people)) > 0) return false;
    await tx
      .insert(people)
      .values(
        await Promise.all(demoPeople.map(async ({ pin, ...person }) => ({ ...person, pinHash: await hashPin(pin) }))),
      );
    await markDemo(tx, shopName, demoRates);
    const by = { createdBy: lead, changedBy: lead };
    await tx.insert(parts).values(demoParts.map((part) => ({ ...part, ...by })));
    await tx
      .insert(orders)
      .values(
        demoOrders.map(({ dueInDays, done: _done, ...order }) => ({ ...order, dueOn: inDays(dueInDays), ...by })),
      );
    await tx.insert(machines).values(
      demoMachines.map(({ id, file }) => ({
        id,
        name: file.name,
        place: file.place,
        peakCurrentA: file.limits.peakCurrentA,
        file,
        ...by,
      })),
    );
    for (const [index, scenario] of scenarios.entries()) {
      await seedSeam(tx, scenario, index % 2 === 0 ? firstWelder : secondWelder);
    }
    await seedFloor(tx);
    for (const standIn of demoStandIns) await addStandIn(tx, { ...standIn, faults: [...standIn.faults] });
    if (trials) await seedTrials(tx);
    await seedReferences(tx);
    await seedRuns(tx);
    await seedStandings(tx);
    return true;
  });
}

/** Each trial welded on the stand-in as it was that day, at the hour of its place among the day's. */
async function seedTrials(tx: Database): Promise<void> {
  let before: DemoTrial | undefined;
  let ofTheDay = 0;
  for (const [index, one] of demoTrials.entries()) {
    ofTheDay = before?.daysAgo === one.daysAgo ? ofTheDay + 1 : 0;
    before = one;
    const at = momentOf(one.daysAgo, ofTheDay);
    await seedTrial(tx, one, index, at);
  }
}

/** The same address in every demo shop. */
function demoTrialId(index: number): string {
  return `00000000-0000-4000-8000-${String(index + 1).padStart(12, '0')}`;
}

async function seedTrial(tx: Database, one: DemoTrial, index: number, at: string): Promise<void> {
  const { seamId, machineId, welder, faults, note = '', plateC = 20 } = one;
  const { revision } = await requireSeam(tx, seamId);
  const file = demoMachines.find(({ id }) => id === machineId)?.file;
  if (!revision || !file) throw new Error(`demo trial ${index} has nothing to weld`);
  const { spec } = revision;
  const program = asDialled(revision.program, file);
  const lengthMm = Math.min(spec.lengthMm, 300);
  const welded = weldOnStandIn({
    program,
    card: program,
    circuitMOhm: file.circuitMOhm ?? nominalCircuitMOhm,
    faults,
    joint: { isFillet: jointRule(spec.joint).isFillet, thicknessMm: thinnerMm(spec.thicknessesMm) },
    lengthMm,
    plateC,
    pace: handOf(welder),
    seed: 1000 + index,
  });
  if (!welded.ok) throw new Error(`demo trial ${index}: ${JSON.stringify(welded.issues)}`);
  const noted = notedOf(welded.value, lengthMm, 5000 + index);
  const dials = Object.fromEntries(translate(file, revision.program).dials.map(({ dialId, value }) => [dialId, value]));
  const { legsMm, ...measured } = noted.measured;
  const isUnmeasured = note.endsWith('to be measured');
  const body = trialBody.parse({
    ...noted,
    measured: isUnmeasured || !legsMm ? measured : { ...measured, legsMm },
    timing: { ...noted.timing, by: index % 3 === 0 ? 'machine' : 'helper' },
    dials,
    note,
    stamp: String(index + 1).padStart(3, '0'),
  });
  await recordTrial(
    tx,
    demoTrialId(index),
    { seamId, machineId, weldedBy: welder, body },
    { ...self(welder), role: 'welder' },
    at,
  );
}

async function seedSeam(db: Database, scenario: Scenario, authorId: string): Promise<void> {
  const partId = demoParts.find((part) => part.name === scenario.part)?.id;
  if (partId === undefined) throw new Error(`demo seam ${scenario.id} names the unknown part ${scenario.part}`);
  const { spec, choice: usual } = sheetOf(scenario);
  const choice = { ...usual, sequence: scores[scenario.id] ?? null };
  const seam = await createSeam(db, { partId, spec }, authorId, scenario.id);
  if (withoutSetting.has(scenario.id)) return;
  const me = { id: authorId, role: 'welder' } as const;
  const saved = await saveSeam(db, scenario.id, seam.version, { spec, choice }, me, longAgo(60));
  const feed = chosenFeed[scenario.id];
  if (feed !== undefined) {
    const moved = { spec, choice: { ...choice, wireFeedMPerMin: feed } };
    await saveSeam(db, scenario.id, saved.version, moved, me, longAgo(56));
  }
}
