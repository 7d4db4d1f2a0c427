/** What happened on the demo shop’s floor: standings, references and logged welds of the last weeks. */
import type { Revision } from '@fox-tempo/contract';
import { message } from '@fox-tempo/core/base/messages';
import { nextUniform, randomStream } from '@fox-tempo/core/base/numeric';
import { presetLimits, usualLevel } from '@fox-tempo/core/evidence/trial';
import { testWindow, usualSpread } from '@fox-tempo/core/evidence/window';
import { translate } from '@fox-tempo/core/machine/dials';
import { neededSetup } from '@fox-tempo/core/machine/setup';
import { gasName } from '@fox-tempo/core/metal/consumables';
import { thinnerMm } from '@fox-tempo/core/setting/plan';
import { eq } from 'drizzle-orm';
import { randomUUID } from 'node:crypto';
import { addObservation, self } from '../modules/observations/index.ts';
import { addCount } from '../modules/orders/index.ts';
import { programIdOf, useOf } from '../modules/revisions/index.ts';
import type { KeptRun } from '../modules/runs/index.ts';
import { requireSeam, seamsOfPart } from '../modules/seams/index.ts';
import { addCylinder, addSpool } from '../modules/stock/index.ts';
import type { Database } from './connection.ts';
import { cylinders, leadReadings, slots, spools, stepTimes } from './demo/floor.ts';
import { handOf } from './demo/hands.ts';
import { machines as demoMachines } from './demo/machines.ts';
import { heldRun, references, runDays, windows } from './demo/runs.ts';
import { orders as demoOrders } from './demo/shop.ts';
import { firstWelder, lead, momentOf, secondWelder } from './demo/who-and-when.ts';
import { machines, slotEntries } from './schema/index.ts';

/** Slots, readings and stock, through the tables: their moments lie in the past, which no service would allow. */
export async function seedFloor(tx: Database): Promise<void> {
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
export async function seedStandings(tx: Database): Promise<void> {
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
export async function seedReferences(tx: Database): Promise<void> {
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
export async function seedRuns(tx: Database): Promise<void> {
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
