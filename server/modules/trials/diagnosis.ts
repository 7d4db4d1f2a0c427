/** The judgement of a trial: what it holds as a question to the core, with what was believed and put right at the trials before it. */
import { asStands } from '@fox-tempo/core/machine/teaching';
import { type DiagnosisAnswer, type Trial } from '@fox-tempo/contract';
import type { CauseCode } from '@fox-tempo/core/evidence/judge';
import { timedFigures } from '@fox-tempo/core/evidence/trial';
import { message } from '@fox-tempo/words';
import type { Database } from '../../db/connection.ts';
import type { ComputePool } from '../../compute-pool/pool.ts';
import { HttpProblem } from '../../http/problem.ts';
import { requireMachine } from '../machines/index.ts';
import { bodiesAt } from '../observations/index.ts';
import { findRevision } from '../revisions/index.ts';
import { readWear } from '../wear/index.ts';
import { requireTrial } from './service.ts';

/** Trials before it whose belief goes on; further back somebody has changed too much. */
const chain = 3;
const dayMs = 86_400_000;

export async function diagnosisOf(
  db: Database,
  pool: ComputePool,
  id: string,
  signal: AbortSignal,
  left = chain,
): Promise<DiagnosisAnswer> {
  const trial = await requireTrial(db, id);
  const { after } = trial.body;
  const earlier = after && left > 0 ? await diagnosisOf(db, pool, after.trial, signal, left - 1) : undefined;
  const before = earlier && Object.fromEntries(earlier.causes.map(({ code, probability }) => [code, probability]));
  const inOrder = after ? await putInOrder(db, trial, chain) : [];
  const input = { ...(await questionOf(db, trial)), ...(before ? { before } : {}), inOrder };
  const bytes = await pool.run({ kind: 'verb', verb: 'diagnose', input, inCodes: true }, signal);
  return JSON.parse(bytes.toString('utf8')) as DiagnosisAnswer;
}

async function putInOrder(db: Database, { body: { after } }: Trial, left: number): Promise<CauseCode[]> {
  if (!after || left === 0) return [];
  const earlier = await putInOrder(db, await requireTrial(db, after.trial), left - 1);
  return [...new Set([...after.mends, ...earlier])];
}

async function questionOf(db: Database, trial: Trial): Promise<Record<string, unknown>> {
  const { body, limits } = trial;
  const revision = await findRevision(db, trial.seamId, trial.revision);
  if (!revision) throw new HttpProblem('not-found', message('server.trials.error.no-trial', { id: trial.id }));
  const machine = await requireMachine(db, trial.machineId);
  const [reading] = await bodiesAt(db, trial.machineId, 'lead-reading', 1);
  const { legsMm, widthMm, heightMm } = body.measured;
  const timed = body.timing && timedFigures(body.timing, {});
  const gun = machine.standing?.feederId ?? machine.file.feeders[0]?.id;
  const worn = (await readWear(db, trial.at)).filter(
    ({ machineId, feederId, used }) => machineId === machine.id && feederId === gun && used > 0,
  );
  return {
    program: revision.program,
    machine: asFile(asStands(machine)),
    circuitMOhm: body.circuitMOhm ?? machine.leadMOhm ?? undefined,
    thicknessMm: trial.thicknessMm,
    ...(Object.keys(body.dials).length > 0 ? { set: body.dials } : {}),
    facts: {
      ...(reading ? { leadReadDaysAgo: Math.max((Date.parse(trial.at) - Date.parse(reading.at)) / dayMs, 0) } : {}),
      ...(worn.length > 0
        ? { worn: worn.map(({ part, used, life }) => ({ part, used, expected: life.expected })) }
        : {}),
      ...(body.plateC === undefined ? {} : { plateC: body.plateC }),
      ...(body.loaded ? { loaded: body.loaded } : {}),
      ...(body.ticked ? { ticked: body.ticked } : {}),
    },
    symptoms: {
      ...Object.fromEntries(Object.entries(body.symptoms).map(([code, { answer }]) => [code, answer])),
      ...heardAs(body.heard, revision.program.mode === 'dip'),
    },
    measured: {
      ...(body.displayed?.currentA === undefined || body.displayed.state === 'preset'
        ? {}
        : { displayedCurrentA: body.displayed.currentA }),
      ...(body.displayed?.voltageV === undefined || body.displayed.state === 'preset'
        ? {}
        : { displayedVoltageV: body.displayed.voltageV }),
      ...(body.pulseHz === undefined ? {} : { pulseHz: body.pulseHz }),
      ...(legsMm ? { legsMm } : {}),
      ...(widthMm === undefined || legsMm ? {} : { widthMm }),
      ...(heightMm === undefined ? {} : { heightMm }),
      ...(timed ? { travelMmPerMin: timed.travelMmPerMin } : {}),
    },
    ...(limits.legMm ? { limits: { legMm: [limits.legMm.least, limits.legMm.most ?? 40] } } : {}),
  };
}

/** What was heard is a yes; a clean hum says that there was no crackle. */
function heardAs(heard: Trial['body']['heard'], isDip: boolean): Record<string, 'yes' | 'no'> {
  const said: Record<string, 'yes' | 'no'> = {};
  if (heard.includes('hum-crackle')) said['crackle'] = 'yes';
  if (heard.includes('hum') && !isDip) said['crackle'] = 'no';
  if (heard.includes('frying-rough')) said['frying-rough'] = 'yes';
  if (heard.includes('frying-even')) said['frying-rough'] = 'no';
  for (const code of ['hiss', 'flutter', 'popping'] as const) if (heard.includes(code)) said[code] = 'yes';
  return said;
}

/** What was measured at a machine belongs to the question, not to its file. */
function asFile({ corrections: _corrections, ...file }: ReturnType<typeof asStands>) {
  return file;
}
