/** From what was seen and measured on a trial to causes with what speaks for them, the next look, and the moves. */
import { nominalCircuitMOhm } from '../../metal/arc/index.ts';
import { amount, message, type Said } from '../../base/messages/index.ts';
import { areaForTravel } from '../../setting/bead/index.ts';
import { arcOf, asDialled } from '../../machine/dials/index.ts';
import { type Machine } from '../../machine/description/index.ts';
import { type Program } from '../../setting/program/index.ts';
import { success, type Outcome } from '../../base/outcome/index.ts';
import { modeThresholds } from '../../weld/simulation/index.ts';
import { backCheck, type BackCheck } from './back-check.ts';
import { believe, usualLeak, type CauseEffect, type Noise } from './belief.ts';
import { causeCodes, causes, type CauseCode } from './causes/index.ts';
import { dialsOff, type DialsOff } from './dials-off.ts';
import { knownBefore, noticed, type Facts, type Known } from './facts.ts';
import { leaks } from './leaks.ts';
import { looks, type Look } from './looks.ts';
import { apartFrom, foundFigures, measures, type Measured, type MeasureName } from './measures.ts';
import { moves, type Limits, type Move } from './moves.ts';
import { predict, type Found, type Shown } from './predict.ts';
import { symptoms, type SymptomCode } from '../trial/index.ts';

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
  /** The thinner plate; left out: the setting is taken to suit it. */
  readonly thicknessMm?: number | undefined;
  /** What was believed after the last weld, of causes that stay; and what was looked at since and found in order. */
  readonly before?: Partial<Record<CauseCode, number>> | undefined;
  readonly inOrder?: readonly CauseCode[] | undefined;
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
  const circuitMOhm = input.circuitMOhm ?? machine?.circuitMOhm ?? nominalCircuitMOhm;
  const sound = predict(program, circuitMOhm);
  if (!sound.ok) return sound;
  const predicted = sound.value;
  const stood = set && machine ? dialsOff(machine, input.program, set) : undefined;
  if (stood?.ok === false) return stood;
  const dials = stood?.value;
  const known = knownBefore(program, facts, dials, input);
  const found = foundFigures(measured);
  const thicknessMm = input.thicknessMm ?? predicted.penetrationMm / suitedReach;
  const shown = (code: CauseCode) => shownAs(program, circuitMOhm, modelOf(code, dials), found);
  const effects = causeCodes.map((code) =>
    effectOf(code, predicted, known.priors[code], thicknessMm, shown(code)?.found, shown(code)?.model),
  );
  const noise: Noise = {
    leaks: { ...leaks, ...leaksOf(reachSigns(predicted.penetrationMm / thicknessMm)) },
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
      : moves({
          program,
          machine,
          circuitMOhm,
          limits,
          sound: predicted,
          chance: belief.marginal,
          shown: (code) => shown(code)?.model,
        }),
    backCheck: checked(program, measured),
    warnings: isBlank ? [message('judge.nothing-to-judge')] : [],
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

interface ShownCause {
  readonly model: Shown;
  readonly found: Found;
}

/** What a cause would show; of several that may be meant, the one nearest to what was measured. */
function shownAs(
  program: Program,
  circuitMOhm: number,
  model: Shown | undefined,
  found: Partial<Record<MeasureName, number>>,
): ShownCause | undefined {
  if (!model) return undefined;
  const models = model.instead ? model.instead(program).map((faults): Shown => ({ faults: () => faults })) : [model];
  const each = models.flatMap((one): ShownCause[] => {
    const predicted = predict(program, circuitMOhm, [one]);
    return predicted.ok ? [{ model: one, found: predicted.value }] : [];
  });
  const far = ({ found: wrong }: ShownCause) =>
    Object.entries(apartFrom(found, wrong)).reduce(
      (sum, [name, apart]) => sum + (apart / measures[name as MeasureName].sigma(wrong[name as MeasureName])) ** 2,
      0,
    );
  return each.sort((a, b) => far(a) - far(b))[0];
}

function effectOf(
  code: CauseCode,
  sound: Found,
  prior: number,
  thicknessMm: number,
  wrong: Found | undefined,
  model: Shown | undefined,
): CauseEffect {
  const cause = causes[code];
  const base = { code, prior, ...(cause.opposite ? { opposites: [cause.opposite] } : {}) };
  if (!wrong) return { ...base, shifts: {}, odds: cause.odds };
  const figures = Object.fromEntries((Object.keys(measures) as MeasureName[]).map((name) => [name, wrong[name]]));
  const reach = (wrong.penetrationMm / thicknessMm / (model?.thickness ?? 1)) * (1 + gapOpens * (model?.gapMm ?? 0));
  const isReached = reach > sound.penetrationMm / thicknessMm + 0.02;
  return {
    ...base,
    shifts: apartFrom(figures, sound),
    odds: {
      ...cause.odds,
      ...heard(wrong, sound),
      // Where the reach is no greater than planned, the table alone speaks.
      ...(isReached ? strongest(cause.odds, reachSigns(reach)) : {}),
    },
  };
}

/** Share of the thickness that a setting which suits it burns through. */
const suitedReach = 0.5;
/** A mm of gap lets it reach so much deeper; assumed. */
const gapOpens = 0.15;

/** Chance that it shows at the back when it reaches through so much of the plate: rises about the borders of show-through; assumed. */
function reachSigns(reach: number): { 'printed-through': number; hole: number; sag: number } {
  const rise = (half: number, width: number) => 0.9 / (1 + Math.exp((half - reach) / width));
  return { 'printed-through': rise(0.78, 0.08), hole: rise(1.12, 0.08), sag: rise(1, 0.1) };
}

function strongest(one: CauseEffect['odds'], other: Readonly<Record<string, number>>): Record<string, number> {
  return Object.fromEntries(Object.entries(other).map(([code, odds]) => [code, Math.max(odds, one[code] ?? 0)]));
}

function leaksOf(signs: Readonly<Record<string, number>>): Record<string, number> {
  return Object.fromEntries(
    Object.entries(signs).map(([code, odds]) => [code, Math.max(odds, leaks[code as SymptomCode])]),
  );
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
  const lines: Said[] = (known.because.get(code) ?? []).map((fact) => message('judge.because-fact', { fact }));
  for (const [symptom, answer] of Object.entries(seen)) {
    const leak = noise.leaks[symptom] ?? usualLeak;
    const odds = 1 - (1 - leak) * (1 - (effect.odds[symptom] ?? 0));
    if (odds < 2 * leak) continue;
    const { name } = symptoms[symptom as SymptomCode];
    lines.push(
      answer === 'yes'
        ? message('judge.because-seen', { symptom: name, odds: percent(odds), leak: percent(leak) })
        : message('judge.because-not-seen', { symptom: name, odds: percent(odds) }),
    );
  }
  for (const [key, value] of Object.entries(found)) {
    const name = key as MeasureName;
    const shift = effect.shifts[name];
    if (shift === undefined || Math.abs(shift) < (noise.sigmas[name] ?? 1) / 2) continue;
    const measure = measures[name];
    lines.push(
      message('judge.because-measured', {
        what: measure.name,
        found: measure.say(value),
        planned: measure.say(predicted[name]),
        expected: measure.say(measure.back(predicted[name], shift)),
      }),
    );
  }
  return [...lines, message('judge.because-prior', { prior: percent(effect.prior) })];
}

function checked(program: Program, { legsMm, travelMmPerMin }: Measured): BackCheck | null {
  if (!legsMm || travelMmPerMin === undefined) return null;
  const { wire } = arcOf(program, program.ctwdMm, program.trimMm);
  return backCheck(legsMm, areaForTravel(wire, program.wireFeedMPerMin, travelMmPerMin));
}
