/** A weld on a simulated machine. What is hidden in it is read here and never goes out; what goes out is what could be seen, heard, read and measured. */
import { nominalCircuitMOhm } from '@fox-tempo/core/metal/arc';
import { type StandInAsk, type StandInBead } from '@fox-tempo/contract';
import { dialsOff } from '@fox-tempo/core/evidence/judge';
import { asDialled } from '@fox-tempo/core/machine/dials';
import { asStands } from '@fox-tempo/core/machine/teaching';
import { jointRule, thinnerMm } from '@fox-tempo/core/setting/plan';
import {
  chanceOf,
  hiddenFaultCodes,
  hiddenFaults,
  notedOf,
  weldOnStandIn,
  type HiddenFault,
  type HiddenFaultCode,
  type StandInWeld,
} from '@fox-tempo/core/weld/stand-in';
import { message } from '@fox-tempo/words';
import type { Database } from '../../db/connection.ts';
import { handOf } from '../../db/demo/hands.ts';
import { HttpProblem, orProblem } from '../../http/problem.ts';
import { requireMachine } from '../machines/index.ts';
import { findRevision } from '../revisions/index.ts';
import { requireSeam } from '../seams/index.ts';
import { keepStandIn, lockStandIn } from './repo.ts';

const shopC = 20;
const traceEveryS = 4e-4;
/** Chance that use brings something new at a weld (assumed: a fault in some thirty welds). */
const newFault = 0.03;
const seedStep = 7919;

export async function weldOn(db: Database, machineId: string, ask: StandInAsk, me: string): Promise<StandInBead> {
  const standIn = await lockStandIn(db, machineId);
  if (!standIn) throw noStandIn(machineId);
  const machine = asStands(await requireMachine(db, machineId));
  const seam = await requireSeam(db, ask.seamId);
  const revision = ask.revision === undefined ? seam.revision : await findRevision(db, seam.id, ask.revision);
  if (!revision) throw new HttpProblem('not-found', message('server.cards.error.no-setting', { spec: seam.spec.name }));
  const { program, spec } = revision;
  const card = asDialled(program, machine);
  const off = orProblem(dialsOff(machine, program, ask.dials));
  const mended = ask.mended.map((cause) => ({ cause, wasWrong: standIn.faults.includes(cause) }));
  const kept = standIn.faults.filter((code) => !ask.mended.includes(code)).filter(isHidden);
  const seed = standIn.seed + seedStep * (standIn.welds + 1);
  const weld = orProblem(
    weldOnStandIn({
      program: { ...card, trimMm: card.trimMm + off.trimMm, stiffness: card.stiffness + off.stiffness },
      card,
      circuitMOhm: machine.circuitMOhm ?? nominalCircuitMOhm,
      faults: kept,
      feedFactor: Math.abs(off.feedShare) < 1e-6 ? undefined : 1 + off.feedShare,
      traceEveryS,
      joint: { isFillet: jointRule(spec.joint).isFillet, thicknessMm: thinnerMm(spec.thicknessesMm) },
      lengthMm: ask.lengthMm,
      plateC: ask.plateC ?? shopC,
      pace: ask.pace * handOf(ask.weldedBy ?? me),
      seed,
    }),
  );
  await keepStandIn(db, machineId, {
    faults: afterWeld(kept, seed),
    welds: standIn.welds + 1,
    trace: traceText(weld),
  });
  const { displayed, symptoms, measured, heard, ...noted } = notedOf(weld, ask.lengthMm, seed + 1);
  return {
    seconds: weld.seconds,
    found: {
      dials: ask.dials,
      tests: [],
      note: '',
      ...noted,
      measured: { ...measured, legsMm: measured.legsMm && [...measured.legsMm] },
      symptoms: { ...symptoms },
      heard: [...heard],
      displayed,
      circuitMOhm: machine.circuitMOhm,
    },
    mended,
  };
}

function isHidden(code: string): code is HiddenFaultCode {
  return (hiddenFaultCodes as readonly string[]).includes(code);
}

/** A hand's lapse is over; use may bring something that stays. */
function afterWeld(faults: readonly HiddenFaultCode[], seed: number): string[] {
  const chance = chanceOf(seed + 2);
  const staying = faults.filter((code) => faultOf(code).passes !== true);
  const could = hiddenFaultCodes.filter((code) => faultOf(code).passes !== true && !staying.includes(code));
  return chance.happens(newFault) ? [...staying, chance.pick(could, (code) => faultOf(code).rate)] : staying;
}

function faultOf(code: HiddenFaultCode): HiddenFault {
  return hiddenFaults[code];
}

function traceText({ trace: { timeS, currentA, voltageV } }: StandInWeld): string {
  const lines = Array.from(
    timeS,
    (at, row) => `${at.toFixed(5)},${(currentA[row] ?? 0).toFixed(1)},${(voltageV[row] ?? 0).toFixed(2)}`,
  );
  return ['timeS,currentA,voltageV', ...lines].join('\r\n');
}

export function noStandIn(machineId: string): HttpProblem {
  return new HttpProblem('not-found', message('server.machine-simulator.has-none', { machineId }));
}
