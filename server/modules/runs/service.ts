/** A production weld is always recorded; what does not agree holds the part, and a lead hand decides. */
import { asStands } from '@fox-tempo/core/machine/teaching';
import { may, rights, type Order, type Run, type RunCreate, type RunDecision } from '@fox-tempo/contract';
import { whyHeld, type OrderAtWeld } from '@fox-tempo/core/evidence/run';
import { message } from '@fox-tempo/words';
import { randomUUID } from 'node:crypto';
import type { Database, Executor } from '../../db/connection.ts';
import { HttpProblem, invalidInput } from '../../http/problem.ts';
import { staleVersion } from '../../http/version.ts';
import { requireMachine } from '../machines/index.ts';
import { addObservation, lockObservation, self, type Author } from '../observations/index.ts';
import { lockOrder, countReady, requireOrder, seamCounts } from '../orders/index.ts';
import { findPerson } from '../people/index.ts';
import { findRevision, useOf } from '../revisions/index.ts';
import { requireListedSeam } from '../seams/index.ts';
import { confirmPin, type SignedIn, type Device } from '../session/index.ts';
import { movementsOf, lockItems, drawFor, readStock, writeDrawn } from '../stock/index.ts';
import { findRun, type KeptRun } from './repo.ts';

/** Arc times further from the plan than this were typed wrong, not welded. */
const oddTimes = [0.1, 10] as const;

export async function recordRun(db: Database, key: string, asked: RunCreate, by: Author): Promise<Run> {
  const { body, orderId, machineId, seamId, weldedBy, deviceAt = by.deviceAt } = asked;
  return db.transaction(async (tx) => {
    // The order first, then the stock: whoever counts goes this way.
    const order = orderId === undefined ? undefined : await lockedOrder(tx, orderId);
    const seam = await requireListedSeam(tx, seamId);
    if (order && order.partId !== seam.partId) {
      const why = message('server.runs.error.other-part', { number: order.number, part: order.partName });
      throw refused('orderId', 'unknown-part', why, order.id);
    }
    const machine = await requireMachine(tx, machineId);
    const revision = await findRevision(tx, seamId, asked.revision);
    if (!revision) {
      const why = message('server.seams.has-no-revision', { spec: seam.spec.name, revision: asked.revision });
      throw refused('revision', 'unknown-revision', why, asked.revision);
    }
    if (weldedBy !== undefined && !(await findPerson(tx, weldedBy)))
      throw refused(
        'weldedBy',
        'unknown-person',
        message('server.observations.error.no-person', { weldedBy }),
        weldedBy,
      );
    const planned = useOf(revision)?.arcSeconds ?? 0;
    const timeShare = body.seconds === undefined || planned === 0 ? 1 : body.seconds / planned;
    if (timeShare < oddTimes[0] || timeShare > oddTimes[1]) {
      const why = message('server.runs.error.seconds', {
        planned: Math.round(planned),
        seconds: Math.round(body.seconds ?? 0),
      });
      throw refused('body.seconds', 'out-of-range', why, body.seconds);
    }
    const stock = await readStock(tx);
    const spool = named(stock.spools, body.spoolId, 'body.spoolId');
    const cylinder = named(stock.cylinders, body.cylinderId, 'body.cylinderId');
    const feeder = machine.standing?.feeders[machine.standing.feederId];
    const held = whyHeld({
      machine: asStands(machine),
      state: machine.standing,
      program: revision.program,
      revision: revision.number,
      inForce: seam.issued.find((one) => one.machineId === machineId)?.revision ?? null,
      ...(body.dials ? { dials: body.dials } : {}),
      window: seam.windows.find((one) => one.machineId === machineId)?.window,
      spool,
      cylinder,
      order: order ? await orderAtWeld(tx, order, seamId) : null,
    });
    const draws = await drawFor(tx, [
      { seamId, revision, count: 1, spoolId: body.spoolId, cylinderId: body.cylinderId, machineId, timeShare },
    ]);
    const wire = spool ?? feeder;
    const gas = cylinder?.gas ?? feeder?.gas;
    const kept: KeptRun = {
      orderId: orderId ?? null,
      ...(machine.standing ? { feederId: machine.standing.feederId } : {}),
      sent: body,
      loaded: wire && gas !== undefined ? { filler: wire.filler, diameterMm: wire.diameterMm, gas } : null,
      held,
      drawn: draws.map(({ what, amount, unit }) => ({ what, amount, unit })),
    };
    await addObservation(tx, {
      id: key,
      kind: 'run',
      by: { ...by, deviceAt },
      weldedBy,
      seamId,
      machineId,
      revision: revision.number,
      contentHash: revision.contentHash,
      body: { ...kept },
    });
    await writeDrawn(tx, key, draws, by.id);
    if (order && held.length === 0) await countReady(tx, order.id, by.id);
    return requireRun(tx, key);
  });
}

/** A held part is a lead hand's; a slip is the one's who recorded it too. */
export async function decideRun(
  db: Database,
  id: string,
  { decision, reason, by, seen }: RunDecision,
  me: Pick<SignedIn, 'id' | 'role'>,
  device: Device,
): Promise<Run> {
  const first = await requireRun(db, id);
  // Outside the transaction: a wrong try must be counted although nothing else comes of it.
  const who = by ? await confirmPin(db, by, rights.judgeRun.roles, { device, askedBy: me.id }) : me;
  const isOwn = first.recordedById === who.id;
  const right =
    decision === 'slip'
      ? may('callSlip', who.role, ...(isOwn ? [] : ['anothers' as const]))
      : may('judgeRun', who.role);
  if (!right) throw new HttpProblem('not-allowed', message('server.runs.error.lead-hand-decides'));
  return db.transaction(async (tx) => {
    const order = first.orderId === null ? undefined : await lockedOrder(tx, first.orderId);
    // After the order, as whoever counts goes: two who decide at once come one after the other.
    await lockObservation(tx, id);
    const run = await requireRun(tx, id);
    if (seen === undefined ? run.decision !== null : run.state !== seen)
      throw staleVersion(
        run,
        { decision },
        message('server.runs.somebody-decided-meanwhile', { by: run.decision?.by ?? run.recordedBy }),
      );
    const counts = run.state === 'counts' || run.state === 'released';
    if (run.state === 'slip' || (decision !== 'slip' && run.state === 'counts'))
      throw refused('decision', 'not-possible', message('server.runs.error.nothing-to-decide'), decision);
    if (counts && order && decision !== 'released') {
      const seam = (await seamCounts(tx, order)).find(({ seamId }) => seamId === run.seamId);
      if (seam && seam.welded <= seam.counted)
        throw refused(
          'decision',
          'not-possible',
          message('server.runs.error.part-counted', { number: order.number }),
          id,
        );
    }
    const key = randomUUID();
    await addObservation(tx, {
      id: key,
      kind: 'run-decision',
      by: self(who.id),
      seamId: run.seamId,
      machineId: run.machineId,
      corrects: id,
      body: { decision, reason },
    });
    if (decision === 'slip') await giveBack(tx, id, key, who.id);
    if (order && decision === 'released') await countReady(tx, order.id, who.id);
    return requireRun(tx, id);
  });
}

/** What was drawn for a weld that never was returns to where it came from. */
async function giveBack(db: Executor, runId: string, key: string, by: string): Promise<void> {
  const movements = await movementsOf(db, runId);
  const ids = (which: 'cylinderId' | 'spoolId') => movements.flatMap((one) => one[which] ?? []);
  await lockItems(db, ids('cylinderId'), ids('spoolId'));
  const draws = movements.map((movement) => ({
    what: '',
    amount: 0,
    unit: 'L' as const,
    movement: { ...movement, amount: -movement.amount },
  }));
  await writeDrawn(db, key, draws, by);
}

/** What the order has, and how many welds of this seam wait to go into a part. */
async function orderAtWeld(db: Executor, order: Order, seamId: string): Promise<OrderAtWeld> {
  const { number, closed, quantity, done } = order;
  const seam = (await seamCounts(db, order)).find((one) => one.seamId === seamId);
  return { number, closed, quantity, done, ahead: seam ? Math.max(seam.welded - seam.counted, 0) : 0 };
}

async function lockedOrder(db: Executor, id: string) {
  await lockOrder(db, id);
  return requireOrder(db, id);
}

export async function requireRun(db: Executor, id: string): Promise<Run> {
  const found = await findRun(db, id);
  if (!found) throw new HttpProblem('not-found', message('server.runs.error.no-run', { id }));
  return found;
}

function named<T extends { readonly id: string }>(list: readonly T[], id: string | undefined, path: string) {
  const found = list.find((one) => one.id === id);
  if (id !== undefined && !found)
    throw refused(
      path,
      'unknown-code',
      message('server.stock.error.no-stock', { what: path === 'spoolId' ? 'spool' : 'other', id }),
      id,
    );
  return found;
}

function refused(
  path: string,
  code: Parameters<typeof invalidInput>[0][number]['code'],
  why: ReturnType<typeof message>,
  got: unknown,
) {
  return invalidInput([{ path, code, message: why, got }]);
}
