/** From what was seen and measured on a trial to causes with what speaks for them, the next look, and the moves. */
import { amount, say, type Said } from '../said/index.ts';
import { areaForTravel } from '../bead/index.ts';
import { arcOf, asDialled, unalignedMOhm, type Machine, type Program } from '../machine/index.ts';
import { success, type Outcome } from '../outcome/index.ts';
import { modeThresholds } from '../simulation/index.ts';
import { backCheck, type BackCheck } from './back-check.ts';
import { believe, usualLeak, type CauseEffect, type Noise } from './belief.ts';
import { causeCodes, causes, type CauseCode } from './causes.ts';
import { dialsOff, type DialsOff } from './dials-off.ts';
import { knownBefore, noticed, type Facts, type Known } from './facts.ts';
import { looks, type Look } from './looks.ts';
import { apartFrom, foundFigures, measures, type Measured, type MeasureName } from './measures.ts';
import { moves, type Limits, type Move } from './moves.ts';
import { predict, type Found, type Shown } from './predict.ts';
import { symptomCodes, symptoms, type SymptomCode } from './symptoms.ts';

export interface DiagnoseInput {
  readonly program: Program;
  readonly machine?: Machine | undefined;
  readonly circuitMOhm?: number | undefined;
  /** The machine's dials as they stood, where they were read. */
  readonly set?: Readonly<Record<string, number>> | undefined;
  readonly facts?: Facts | undefined;
  /** Absent: nobody looked. */
  readonly symptoms: Partial<Record<SymptomCode, 'yes' | 'no'>>;
  readonly measured?: Measured | undefined;
  readonly limits?: Limits | undefined;
}

export interface RankedCause {
  readonly code: CauseCode;
  readonly name: Said;
  readonly probability: number;
  /** Causes of one family are told apart by a look only. */
  readonly family: string | null;
  readonly because: readonly Said[];
}

export interface Diagnosis {
  readonly predicted: Found;
  /** Falling. */
  readonly causes: readonly RankedCause[];
  /** Chance that nothing of the list is wrong. */
  readonly none: number;
  readonly pairs: readonly { readonly codes: readonly CauseCode[]; readonly probability: number }[];
  readonly nextLook: Look | null;
  readonly moves: readonly Move[];
  /** Null where legs or travel were not measured. */
  readonly backCheck: BackCheck | null;
  readonly warnings: readonly Said[];
}

/** A cause is met weaker or stronger than the size it is computed at. */
const strengthSpread = 0.35;
const pairsShown = 8;
const worthSaying = 0.02;

export function diagnose(input: DiagnoseInput): Outcome<Diagnosis> {
  const { machine, set, facts = {}, measured = {}, limits = {} } = input;
  const program = machine ? asDialled(input.program, machine) : input.program;
  const circuitMOhm = input.circuitMOhm ?? machine?.circuitMOhm ?? unalignedMOhm;
  const sound = predict(program, circuitMOhm);
  if (!sound.ok) return sound;
  const predicted = sound.value;
  const stood = set && machine ? dialsOff(machine, input.program, set) : undefined;
  if (stood?.ok === false) return stood;
  const dials = stood?.value;
  const known = knownBefore(program, facts, dials);
  const shown = (code: CauseCode): Shown | undefined => modelOf(code, dials);
  const found = foundFigures(measured);
  const effects = causeCodes.map((code) => effectOf(code, program, circuitMOhm, predicted, known, shown(code)));
  const noise: Noise = {
    leaks: Object.fromEntries(symptomCodes.map((code) => [code, symptoms[code].leak])),
    sigmas: Object.fromEntries(
      (Object.keys(measures) as MeasureName[]).map((name) => [name, measures[name].sigma(predicted[name])]),
    ),
    strengthSpread,
  };
  const evidence = { symptoms: definite(input.symptoms), measured: apartFrom(found, predicted) };
  const belief = believe(effects, evidence, noise);
  const byCode = new Map(effects.map((effect) => [effect.code, effect]));
  const isBlank = Object.keys(evidence.symptoms).length === 0 && Object.keys(evidence.measured).length === 0;
  return success({
    predicted,
    causes: causeCodes
      .map((code) => ({
        code,
        name: causes[code].name,
        probability: belief.marginal.get(code) ?? 0,
        family: causes[code].family ?? null,
        because: becauseOf(code, byCode.get(code), evidence.symptoms, found, predicted, known, noise),
      }))
      .sort((a, b) => b.probability - a.probability),
    none: belief.none,
    pairs: belief.sets
      .filter(({ codes, probability }) => codes.length === 2 && probability >= worthSaying)
      .slice(0, pairsShown)
      .map(({ codes, probability }) => ({ codes: codes as CauseCode[], probability })),
    nextLook: looks(belief, byCode, new Set(Object.keys(evidence.symptoms)), noise)[0] ?? null,
    // With nothing observed the answer is a look, not a move.
    moves: isBlank
      ? []
      : moves({ program, machine, circuitMOhm, limits, sound: predicted, chance: belief.marginal, shown }),
    backCheck: checked(program, measured),
    warnings: isBlank ? [say('judge.nothing-to-judge')] : [],
  });
}

/** A dial that was read is off by what was read, not by what a shop usually meets. */
function modelOf(code: CauseCode, dials: DialsOff | undefined): Shown | undefined {
  const { model } = causes[code];
  if (!dials || !model) return model;
  const { trimMm, feedShare } = dials;
  const isTrim = (code === 'trim-low' && trimMm < -noticed.trimMm) || (code === 'trim-high' && trimMm > noticed.trimMm);
  if (isTrim) return { trimMm };
  const isFeed =
    (code === 'feed-low' && feedShare < -noticed.feedShare) || (code === 'feed-high' && feedShare > noticed.feedShare);
  if (isFeed) return { faults: () => ({ feedFactor: 1 + feedShare }) };
  return model;
}

function effectOf(
  code: CauseCode,
  program: Program,
  circuitMOhm: number,
  sound: Found,
  { priors }: Known,
  shown: Shown | undefined,
): CauseEffect {
  const cause = causes[code];
  const base = { code, prior: priors[code], ...(cause.opposite ? { opposites: [cause.opposite] } : {}) };
  const wrong = shown && predict(program, circuitMOhm, [shown]);
  if (!wrong?.ok) return { ...base, shifts: {}, odds: cause.odds };
  const figures = Object.fromEntries((Object.keys(measures) as MeasureName[]).map((name) => [name, wrong.value[name]]));
  return { ...base, shifts: apartFrom(figures, sound), odds: { ...cause.odds, ...heard(wrong.value, sound) } };
}

/** Arcs this much longer than planned are heard, mm; assumed. */
const flutterFromMm = 1;

/** What the simulation itself shows overrules the table. */
function heard(wrong: Found, sound: Found): Partial<Record<SymptomCode, number>> {
  const isDip = sound.transferMode === 'dip';
  const more = wrong.shortsPerS - sound.shortsPerS;
  const longer = wrong.arcMm - sound.arcMm;
  return {
    ...(isDip
      ? {}
      : { crackle: more > modeThresholds.pulsedShortsPerS ? 0.8 : more > 0.3 || longer < -0.4 ? 0.4 : 0.03 }),
    flutter: longer > 2 * flutterFromMm ? 0.6 : longer > flutterFromMm ? 0.35 : 0.03,
    ...(wrong.transferMode === 'stubbing' ? { 'stubbing-start': 0.7, popping: 0.4 } : {}),
    ...(wrong.transferMode === 'burn-back' ? { 'tip-burnt': 0.6, flutter: 0.6 } : {}),
  };
}

function definite(asked: DiagnoseInput['symptoms']): Record<string, 'yes' | 'no'> {
  return Object.fromEntries(
    Object.entries(asked).filter((entry): entry is [string, 'yes' | 'no'] => entry[1] !== undefined),
  );
}

function becauseOf(
  code: CauseCode,
  effect: CauseEffect | undefined,
  seen: Record<string, 'yes' | 'no'>,
  found: Partial<Record<MeasureName, number>>,
  predicted: Found,
  known: Known,
  noise: Noise,
): Said[] {
  if (!effect) return [];
  const percent = (share: number) => amount('percent', 100 * share, 0);
  const lines: Said[] = (known.because.get(code) ?? []).map((fact) => say('judge.because-fact', { fact }));
  for (const [symptom, answer] of Object.entries(seen)) {
    const leak = noise.leaks[symptom] ?? usualLeak;
    const odds = 1 - (1 - leak) * (1 - (effect.odds[symptom] ?? 0));
    if (odds < 2 * leak) continue;
    const { name } = symptoms[symptom as SymptomCode];
    lines.push(
      answer === 'yes'
        ? say('judge.because-seen', { symptom: name, odds: percent(odds), leak: percent(leak) })
        : say('judge.because-not-seen', { symptom: name, odds: percent(odds) }),
    );
  }
  for (const [key, value] of Object.entries(found)) {
    const name = key as MeasureName;
    const shift = effect.shifts[name];
    if (shift === undefined || Math.abs(shift) < (noise.sigmas[name] ?? 1) / 2) continue;
    const measure = measures[name];
    lines.push(
      say('judge.because-measured', {
        what: measure.name,
        found: measure.say(value),
        planned: measure.say(predicted[name]),
        expected: measure.say(measure.back(predicted[name], shift)),
      }),
    );
  }
  return [...lines, say('judge.because-prior', { prior: percent(effect.prior) })];
}

function checked(program: Program, { legsMm, travelMmPerMin }: Measured): BackCheck | null {
  if (!legsMm || travelMmPerMin === undefined) return null;
  const { wire } = arcOf(program, program.ctwdMm, program.trimMm);
  return backCheck(legsMm, areaForTravel(wire, program.wireFeedMPerMin, travelMmPerMin));
}
