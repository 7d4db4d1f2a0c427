/** Fills an empty database with the demo shop, in one transaction, through the same services that the API uses. */
import { neededSetup } from '@fox-tempo/core/machine/setup';
import { eq } from 'drizzle-orm';
import { nominalCircuitMOhm } from '@fox-tempo/core/metal/arc';
import { randomUUID } from 'node:crypto';
import { trialBody, type ProgramChoice, type Revision, type SeamSpec } from '@fox-tempo/contract';
import { asDialled, translate } from '@fox-tempo/core/machine/dials';
import { jointRule, thinnerMm } from '@fox-tempo/core/setting/plan';
import { notedOf, weldOnStandIn } from '@fox-tempo/core/weld/stand-in';
import { plainSequence, sequenceTemplates } from '@fox-tempo/core/weld/sequence';
import { scenarios, type Scenario } from '@fox-tempo/core/scenarios';
import { gasName } from '@fox-tempo/core/metal/consumables';
import { nextUniform, randomStream } from '@fox-tempo/core/base/numeric';
import { message } from '@fox-tempo/core/base/messages';
import { testWindow, usualSpread } from '@fox-tempo/core/evidence/window';
import { useOf, programIdOf } from '../modules/revisions/index.ts';
import type { KeptRun } from '../modules/runs/index.ts';
import { seamsOfPart, createSeam, requireSeam, saveSeam } from '../modules/seams/index.ts';
import { heldRun, references, runDays, windows } from './demo/runs.ts';
import type { Database } from './connection.ts';
import { cylinders, leadReadings, slots, spools, stepTimes } from './demo/floor.ts';
import { handOf } from './demo/hands.ts';
import { machines as demoMachines } from './demo/machines.ts';
import { demoRates, orders as demoOrders, parts as demoParts, people as demoPeople, shopName } from './demo/shop.ts';
import { demoStandIns, demoTrials, type DemoTrial } from './demo/trials.ts';
import { addStandIn } from '../modules/stand-ins/index.ts';
import { recordTrial } from '../modules/trials/index.ts';
import { addObservation, self } from '../modules/observations/index.ts';
import { addCount } from '../modules/orders/index.ts';
import { hashPin } from '../modules/session/index.ts';
import { markDemo } from '../modules/shop/index.ts';
import { addCylinder, addSpool } from '../modules/stock/index.ts';
import { machines, orders, parts, people, slotEntries } from './schema/index.ts';
import { presetLimits, usualLevel } from '@fox-tempo/core/evidence/trial';

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

const [lead, firstWelder, secondWelder] = demoPeople.map((person) => person.id) as [string, string, string];

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

/** Slots, readings and stock, through the tables: their moments lie in the past, which no service would allow. */
async function seedFloor(tx: Database): Promise<void> {
  const daysBack = (days: number) => new Date(Date.now() - days * 86_400_000).toISOString();
  for (const { daysAgo, machineId, ...body } of leadReadings) {
    const at = daysBack(daysAgo);
    await addObservation(tx, { id: randomUUID(), kind: 'lead-reading', by: self(firstWelder), machineId, at, body });
  }
  for (const { machineId, ...body } of stepTimes)
    await addObservation(tx, { id: randomUUID(), kind: 'step-time', by: self(secondWelder), machineId, body });
  for (const { id, ...cylinder } of cylinders) await addCylinder(tx, cylinder, self(lead), { id });
  for (const { id, ...spool } of spools) await addSpool(tx, spool, self(lead), { id });
  for (const entry of slots) {
    const { machineId, slot, seamId, daysAgo, note } = entry;
    const { revision } = await requireSeam(tx, seamId);
    const file = demoMachines.find((machine) => machine.id === machineId)?.file;
    if (!revision || !file) throw new Error(`demo slot ${slot} of ${machineId} has nothing to hold`);
    const dials = Object.fromEntries(
      translate(file, revision.program).dials.map(({ dialId, value }) => [dialId, value]),
    );
    const found = 'drift' in entry ? { ...dials, ...entry.drift } : null;
    const [stored] = await tx
      .insert(slotEntries)
      .values({
        machineId,
        slot,
        seamId,
        programId: programIdOf(seamId),
        revision: revision.number,
        program: revision.program,
        dials,
        note,
        storedAt: daysBack(daysAgo),
        storedBy: firstWelder,
      })
      .returning({ id: slotEntries.id });
    if (found && stored) {
      await addObservation(tx, {
        id: randomUUID(),
        kind: 'slot-found',
        by: self(secondWelder),
        machineId,
        seamId,
        revision: revision.number,
        at: daysBack(1),
        body: { slot, entryId: stored.id, dials: found },
      });
    }
  }
}

/** This morning each machine was set up for the seam in one of its slots, which was then called: it stands as the slot was last found. */
async function seedStandings(tx: Database): Promise<void> {
  for (const { id, file, feederId, slot, others } of demoMachines) {
    const stored = slots.filter((one) => one.machineId === id && one.slot === slot).at(-1);
    const revision = stored && (await requireSeam(tx, stored.seamId)).revision;
    if (!stored || !revision) throw new Error(`demo machine ${id} stands on an empty slot`);
    const { program } = revision;
    const feeder = file.feeders.find((one) => one.id === feederId);
    const { process, polarity, ctwdMm: _ctwd, ...needed } = neededSetup(program, feeder?.paper?.tipRule);
    const dials = Object.fromEntries(translate(file, program).dials.map(({ dialId, value }) => [dialId, value]));
    const standing = {
      process,
      polarity,
      feederId,
      feeders: { ...others, [feederId]: needed },
      dials: { ...dials, ...('drift' in stored ? stored.drift : {}) },
      slot,
      from: 'set-up' as const,
    };
    const at = new Date(Date.now() - 10 * 60_000).toISOString();
    await tx
      .update(machines)
      .set({ standing: { ...standing, since: at, known: {} } })
      .where(eq(machines.id, id));
    await addObservation(tx, {
      id: randomUUID(),
      kind: 'standing',
      by: self(firstWelder),
      machineId: id,
      at,
      body: { standing },
    });
  }
}

/** Which settings are the shop's own, and how far one of them may be moved. */
async function seedReferences(tx: Database): Promise<void> {
  for (const { seamId, machineId, daysAgo, reason } of references) {
    const { revision } = await requireSeam(tx, seamId);
    const at = momentOf(daysAgo, 9);
    if (revision) {
      const { spec, choice, site } = revision;
      const limits = presetLimits(spec, choice, site, usualLevel);
      await addObservation(tx, {
        id: randomUUID(),
        kind: 'limits',
        by: self(lead),
        seamId,
        at: momentOf(daysAgo, 8),
        revision: revision.number,
        body: { limits, reason: 'as agreed for this part' },
      });
    }
    const body = { reason, evidence: [] };
    const signed = { by: self(lead), seamId, machineId, at, revision: revision?.number };
    await addObservation(tx, { id: randomUUID(), kind: 'issue', ...signed, contentHash: revision?.contentHash, body });
  }
  for (const { seamId, machineId, daysAgo, feedShare, trimMm, reason } of windows) {
    const { revision } = await requireSeam(tx, seamId);
    const file = demoMachines.find(({ id }) => id === machineId)?.file;
    if (!revision || !file) continue;
    const { program, spec } = revision;
    const { wireFeedMPerMin: feed, trimMm: trim } = program;
    const tested = testWindow({
      program,
      circuitMOhm: file.circuitMOhm,
      window: {
        wireFeedMPerMin: [feed * (1 - feedShare), feed * (1 + feedShare)],
        trimMm: [trim - trimMm, trim + trimMm],
      },
      spread: usualSpread,
      thicknessMm: thinnerMm(spec.thicknessesMm),
    });
    if (!tested.ok) throw new Error(`demo window of ${seamId}: ${JSON.stringify(tested.issues)}`);
    await addObservation(tx, {
      id: randomUUID(),
      kind: 'window',
      by: self(lead),
      seamId,
      machineId,
      at: momentOf(daysAgo, 9),
      revision: revision.number,
      body: { window: tested.value.largestThatHolds, failureBelow95: tested.value.failureBelow95, reason },
    });
  }
}

/** Every part that is done, seam by seam, part after part; what it drew left the stock before this shop's first reading. */
async function seedRuns(tx: Database): Promise<void> {
  const random = randomStream(77);
  const runs: DemoRun[] = [];
  for (const { orderId, machineId, welders, lastDaysAgo } of runDays) {
    const order = demoOrders.find(({ id }) => id === orderId);
    const seams = order ? (await seamsOfPart(tx, order.partId)).filter(({ revision }) => revision) : [];
    const count = order?.done ?? 0;
    for (let part = 0; part < count; part += 1) {
      const welder = welders[part % welders.length] ?? firstWelder;
      for (const [place, { id: seamId, revision }] of seams.entries()) {
        if (!revision) continue;
        const { program } = revision;
        const seconds = Number(
          (((useOf(revision)?.arcSeconds ?? 30) / handOf(welder)) * (0.96 + 0.08 * nextUniform(random))).toFixed(1),
        );
        runs.push({
          seamId,
          machineId,
          welder,
          orderId,
          revision,
          at: momentOf(lastDaysAgo + count - 1 - part, place),
          seconds,
          gas: program.gas,
          held: [],
        });
      }
    }
    if (count === 0) continue;
    const key = randomUUID();
    const consumed = Object.fromEntries(seams.map(({ id }) => [id, count]));
    const body = { orderId, count, drawn: [], consumed };
    await addObservation(tx, { id: key, kind: 'parts-done', by: self(firstWelder), body });
    await addCount(tx, orderId, key, count);
  }
  for (const run of runs.sort((a, b) => a.at.localeCompare(b.at))) await addRun(tx, run);
  const { revision } = await requireSeam(tx, heldRun.seamId);
  if (!revision) return;
  const words = message('run.held-cylinder-why', { is: gasName(heldRun.gas), needs: gasName(revision.program.gas) });
  await addRun(tx, { ...heldRun, revision, at: momentOf(0, 2), seconds: undefined, held: [{ code: 'gas', words }] });
}

/** Dials as on the card: every demo weld but the held one was set so. */
function cardDials(machineId: string, { program }: Revision): Record<string, number> {
  const file = demoMachines.find(({ id }) => id === machineId)?.file;
  return file ? Object.fromEntries(translate(file, program).dials.map(({ dialId, value }) => [dialId, value])) : {};
}

interface DemoRun {
  readonly seamId: string;
  readonly machineId: string;
  readonly orderId: string;
  readonly welder: string;
  readonly revision: Revision;
  readonly at: string;
  readonly seconds: number | undefined;
  readonly gas: string;
  readonly held: KeptRun['held'];
}

async function addRun(tx: Database, run: DemoRun): Promise<void> {
  const { seamId, machineId, orderId, welder, revision, at, seconds, gas, held } = run;
  const { filler, diameterMm } = revision.program;
  const kept: KeptRun = {
    orderId,
    feederId: demoMachines.find(({ id }) => id === machineId)?.feederId,
    sent: { ...(seconds === undefined ? {} : { seconds }), dials: cardDials(machineId, revision) },
    loaded: { filler, diameterMm, gas },
    held,
    drawn: [],
  };
  await addObservation(tx, {
    id: randomUUID(),
    kind: 'run',
    by: self(welder),
    seamId,
    machineId,
    at,
    revision: revision.number,
    contentHash: revision.contentHash,
    body: { ...kept },
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

/** In the morning's hours of that day, some twenty minutes after the one before it; never ahead of now. */
function momentOf(daysAgo: number, ofTheDay: number): string {
  const midnight = Math.floor((Date.now() - daysAgo * 86_400_000) / 86_400_000) * 86_400_000;
  const moment = midnight + (7 * 60 + 25 + 21 * ofTheDay + ((daysAgo * 37) % 150)) * 60_000;
  return new Date(Math.min(moment, Date.now() - 20 * 60_000)).toISOString();
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
  const { spec, choice } = sheetOf(scenario);
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

/** Settings are older than the trials that were made of them. */
function longAgo(days: number): string {
  return new Date(Date.now() - days * 86_400_000).toISOString();
}

function sheetOf({ id, name, grade, input }: Scenario): { spec: SeamSpec; choice: ProgramChoice } {
  const { seam, filler, gas, diameterMm, arcHabit } = input;
  const [first, second] = seam.thicknessesMm;
  return {
    spec: {
      name,
      grade,
      materialGroup: seam.materialGroup,
      thicknessesMm: [first, second],
      joint: seam.joint,
      position: seam.position,
      gapMm: seam.gapMm,
      legMm: seam.legMm ?? null,
      lengthMm: seam.lengthMm,
      travelMmPerMin: seam.travelMmPerMin ?? null,
      ...(seam.preparation ? { preparation: seam.preparation } : {}),
    },
    choice: {
      mode: input.mode,
      filler,
      gas,
      diameterMm,
      arcHabit,
      wireFeedMPerMin: null,
      tune: null,
      sequence: scores[id] ?? null,
    },
  };
}

function inDays(days: number): string {
  return new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10);
}
