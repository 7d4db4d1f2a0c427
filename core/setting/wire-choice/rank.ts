/** Which filler, size and gas suit a seam: every candidate with its place, reasons and cautions, or why it is ruled out. Places are rules of practice; exclusions are the plan's own refusals. */
import { absent, amount, inSentence, joined, type Phrase, message } from '../../base/messages/index.ts';
import {
  commonGasCodes,
  type FillerCode,
  fillerOf,
  fillers,
  gasName,
  gasOf,
  materialOf,
  wireAreaMm2,
  wireSizeLabel,
  wireSizes,
} from '../../metal/consumables/index.ts';
import { type Grade, gradeFit, gradeNamed } from '../../metal/grades/index.ts';
import { planModes, planSetting, type PlanInput, type PlanMode, type Seam, thinnerMm } from '../plan/index.ts';
import { gasWarnings } from '../pulse/index.ts';
import { fillerFacts } from './filler-facts.ts';

export interface RankedChoice<T> {
  readonly value: T;
  readonly name: Phrase;
  readonly verdict: 'first choice' | 'runner-up' | 'possible' | 'ruled out';
  readonly reasons: readonly Phrase[];
  readonly cautions: readonly Phrase[];
}

export interface Wishes {
  /** Free text; a known grade in it narrows the choice. */
  readonly grade?: string | undefined;
  readonly anodised?: boolean | undefined;
  /** Brazing is meant, also on metal that could be welded. */
  readonly brazed?: boolean | undefined;
}

interface Judged<T> {
  readonly value: T;
  readonly name: Phrase;
  /** Below 0 is ruled out. */
  readonly score: number;
  readonly reasons: readonly Phrase[];
  readonly cautions?: readonly Phrase[];
}

const ruledOut = -1;

export function rankFillers(seam: Seam, wishes: Wishes = {}): RankedChoice<FillerCode>[] {
  return placed(fillers.map(({ code, name }) => ({ value: code, name, ...judgeFiller(code, seam, wishes) })));
}

function judgeFiller(
  code: FillerCode,
  seam: Seam,
  { grade: text = '', anodised = false, brazed = false }: Wishes,
): Pick<Judged<FillerCode>, 'score' | 'reasons' | 'cautions'> {
  const material = materialOf(seam.materialGroup);
  const filler = fillerOf(code);
  const out = (reason: Phrase) => ({ score: ruledOut, reasons: [reason] });
  if (!material.families.includes(filler.family))
    return out(message('wire-choice.wire.not-sound', { name: inSentence(material.name) }));
  const grade = gradeNamed(text, seam.materialGroup);
  const fit = grade && gradeFit(grade, code);
  if (fit?.verdict === 'refused') return out(fit.message);
  const judged = judgeClass(code, seam, grade, { anodised, brazed });
  // The grade's own list comes before what the metal alone would say.
  if (!fit || judged.score < 0) return judged;
  return { ...judged, score: Math.min(judged.score, unfitScore), cautions: [fit.message, ...(judged.cautions ?? [])] };
}

/** A filler that is cautioned for a grade never comes before one that is meant for it. */
const unfitScore = 45;

function judgeClass(
  code: FillerCode,
  seam: Seam,
  grade: Grade | undefined,
  { anodised, brazed }: { readonly anodised: boolean; readonly brazed: boolean },
): Pick<Judged<FillerCode>, 'score' | 'reasons' | 'cautions'> {
  const facts = fillerFacts[code];
  const out = (reason: Phrase) => ({ score: ruledOut, reasons: [reason] });
  const thinner = thinnerMm(seam.thicknessesMm);
  const words = [facts.strength, facts.colour];
  switch (code) {
    case 'aluminium-4043':
      return {
        score: (grade?.code.startsWith('5') ? 40 : 90) - (anodised ? 50 : 0),
        reasons: [...words, message('wire-choice.wire.alsi5')],
        cautions: [...(anodised ? [message('wire-choice.wire.anodised-dark')] : [])],
      };
    case 'aluminium-5356':
      return {
        score: 85 + (anodised ? 10 : 0) + (grade?.code.startsWith('5') ? 10 : 0),
        reasons: [
          ...words,
          ...(grade?.code.startsWith('5') ? [message('wire-choice.wire.made-for', { grade: grade.code })] : []),
        ],
        cautions: grade?.code.startsWith('6') ? [message('wire-choice.wire.hot-cracks-sooner')] : [],
      };
    case 'cusi3':
      if (seam.materialGroup !== 'galvanised' && !brazed) {
        return out(message('wire-choice.wire.for-brazing'));
      }
      return {
        score: seam.materialGroup === 'galvanised' ? 95 : thinner <= 3 ? 35 : 10,
        reasons: [...words, ...(seam.materialGroup === 'galvanised' ? [message('wire-choice.wire.keeps-zinc')] : [])],
        cautions: thinner > 3 ? [message('wire-choice.wire.overlap-needed')] : [],
      };
    case 'stainless-solid':
    case 'stainless-308l':
    case 'stainless-309l':
    case 'stainless-316l':
      return judgeStainless(code, seam, grade, words);
    case 'steel-solid':
      return seam.materialGroup === 'galvanised'
        ? { score: 50, reasons: words, cautions: [message('wire-choice.wire.zinc-pores')] }
        : { score: 95, reasons: words };
    case 'steel-metal-cored':
      return { score: thinner >= 4 ? 70 : 30, reasons: [...words, facts.leaves], cautions: coredCautions(seam) };
    case 'steel-flux-cored':
      return { score: thinner >= 5 ? 60 : 20, reasons: [...words, facts.leaves], cautions: coredCautions(seam) };
    case 'steel-self-shielded':
      return {
        score: 15,
        reasons: [...words, facts.leaves],
        cautions: [message('wire-choice.wire.no-gas')],
      };
  }
}

/** 308L for plain stainless, 316L where the plate holds molybdenum, 309L where stainless meets plain steel. */
function judgeStainless(
  code: FillerCode,
  seam: Seam,
  grade: Grade | undefined,
  words: Phrase[],
): Pick<Judged<FillerCode>, 'score' | 'reasons' | 'cautions'> {
  const is309 = code === 'stainless-309l';
  if (seam.materialGroup !== 'stainless') {
    return {
      score: is309 ? 8 : 5,
      reasons: words,
      cautions: [message('wire-choice.wire.309l-on-steel')],
    };
  }
  const wants316 = grade?.code === '316L';
  const is316 = code === 'stainless-316l';
  const reasons = [...words, ...(grade ? [grade.note] : [])];
  if (is309) return { score: 50, reasons };
  return {
    score: is316 === wants316 ? 95 : is316 ? 70 : 60,
    reasons,
  };
}

function coredCautions({ materialGroup, thicknessesMm }: Seam): Phrase[] {
  return [
    ...(thinnerMm(thicknessesMm) < 3 ? [message('wire-choice.size.hot-for-sheet')] : []),
    ...(materialGroup === 'galvanised' ? [message('wire-choice.wire.zinc-pores')] : []),
  ];
}

/** Feeds between which a drive runs steadily and a hand keeps up, m/min; rule of practice. */
const easyFeed = [4, 11] as const;

/** Sizes for the filler and gas of the question, each planned in its mode. */
export function rankSizes(input: PlanInput): RankedChoice<number>[] {
  const soft = fillerFacts[input.filler].softness;
  return placed(
    wireSizes.map(({ diameterMm, label, isInch }): Judged<number> => {
      const base = { value: diameterMm, name: label };
      const plan = planSetting({ ...input, diameterMm, wireFeedMPerMin: undefined });
      if (!plan.ok)
        return {
          ...base,
          score: ruledOut,
          reasons: [plan.issues[0]?.message ?? message('wire-choice.cannot-be-planned')],
        };
      const { wireFeedMPerMin: feed, meanCurrentA, frequencyHz } = plan.value;
      const off = Math.max(easyFeed[0] - feed, feed - easyFeed[1], 0);
      const cautions = [
        ...(soft >= 2 && diameterMm < 0.95 ? [message('wire-choice.size.thin-soft')] : []),
        ...(feed > easyFeed[1] ? [message('wire-choice.size.fast')] : []),
        ...(feed < easyFeed[0] ? [message('wire-choice.size.slow')] : []),
      ];
      return {
        ...base,
        // Inch sizes are stocked where the shop buys them; the metric ones are first here.
        score: 100 - 12 * off - 3 * Math.abs(feed - 7) - (soft >= 2 && diameterMm < 0.95 ? 30 : 0) - (isInch ? 8 : 0),
        reasons: [
          message('wire-choice.for', {
            feed: amount('wireFeed', feed, 1),
            meanCurrent: amount('current', meanCurrentA, 0),
            frequency: frequencyHz === null ? absent : amount('plain', frequencyHz, 0),
          }),
          ...sizeTrap(diameterMm, label),
        ],
        cautions,
      };
    }),
  );
}

/** The size beside it that looks the same and is not: how much more or less metal it feeds. */
function sizeTrap(diameterMm: number, label: Phrase): Phrase[] {
  const near = wireSizes
    .filter((other) => other.label !== label && Math.abs(other.diameterMm - diameterMm) < 0.065)
    .sort((a, b) => Math.abs(a.diameterMm - diameterMm) - Math.abs(b.diameterMm - diameterMm))[0];
  if (!near) return [];
  const more = 100 * (wireAreaMm2(diameterMm) / wireAreaMm2(near.diameterMm) - 1);
  if (Math.abs(more) < 1) return [];
  return [
    message('wire-choice.size.deposits', {
      more: amount('percent', Math.abs(more), 1),
      sense: more > 0 ? 'more' : 'other',
      near: near.label,
    }),
  ];
}

/** Gases for the filler and size of the question. A gas that is out in the asked mode but serves another is placed with that said. */
export function rankGases(input: PlanInput): RankedChoice<string>[] {
  return placed(
    commonGasCodes.map((gas): Judged<string> => {
      const base = { value: gas, name: gasName(gas) };
      const asked = { ...input, gas };
      const plan = planSetting({ ...asked, wireFeedMPerMin: undefined });
      if (plan.ok) {
        const { score, reasons } = gasManners(input, gas, input.mode);
        return { ...base, score, reasons, cautions: gasWarnings(input.filler, gas).map((warning) => warning.message) };
      }
      const other = planModes.find(
        (mode) => mode !== input.mode && planSetting({ ...asked, mode, wireFeedMPerMin: undefined }).ok,
      );
      const why = plan.issues[0]?.message ?? message('wire-choice.cannot-be-planned');
      return other
        ? {
            ...base,
            score: ruledOut,
            reasons: [why, message('wire-choice.mode.would-serve', { replace: other.replace('-', ' ') })],
          }
        : { ...base, score: ruledOut, reasons: [why] };
    }),
  );
}

/** How a gas behaves with a family; rules of practice. */
function gasManners(
  { filler: code, seam }: PlanInput,
  gasCode: string,
  mode: PlanMode,
): { score: number; reasons: Phrase[] } {
  const { family, shielding } = fillerOf(code);
  const gas = gasOf(gasCode);
  if (shielding === 'self') {
    return gasCode === 'none'
      ? { score: 95, reasons: [message('wire-choice.gas-note.self-shielding')] }
      : { score: 5, reasons: [message('wire-choice.gas-note.changes-chemistry')] };
  }
  if (gas.heliumPct > 0) {
    const thick = thinnerMm(seam.thicknessesMm) >= 6;
    return {
      score: (thick ? 75 : 40) - Math.max(gas.heliumPct - 50, 0),
      reasons: [message('wire-choice.gas-note.helium'), message('wire-choice.gas-note.flow-and-cost')],
    };
  }
  switch (family) {
    case 'aluminium':
      return { score: 95, reasons: [message('wire-choice.gas-note.argon')] };
    case 'copper-silicon':
      return gas.argonPct === 100
        ? { score: 95, reasons: [message('wire-choice.clean-copper-seam')] }
        : { score: 70 - 3 * gas.co2Pct, reasons: [message('wire-choice.gas-note.active-on-aluminium')] };
    case 'stainless':
      return gas.co2Pct <= 3
        ? {
            score: gas.o2Pct > 0 ? 85 : 95,
            reasons: [
              gas.o2Pct > 0 ? message('wire-choice.gas-note.wets-tint') : message('wire-choice.gas-note.little-tint'),
            ],
          }
        : { score: 30, reasons: [message('wire-choice.gas-note.corrosion')] };
    case 'steel':
      if (gas.argonPct === 0)
        return {
          score: mode === 'dip' ? 60 : 20,
          reasons: [message('wire-choice.gas-note.co2'), message('wire-choice.gas-note.spatter')],
        };
      if (gas.co2Pct + gas.o2Pct < 5) return { score: 55, reasons: [message('wire-choice.gas-note.finger')] };
      return {
        score:
          mode === 'dip'
            ? 95 - 0.3 * Math.abs(gas.co2Pct - 18)
            : 95 - 0.5 * Math.abs(gas.co2Pct - 12) - 4 * Math.max(gas.co2Pct - 18, 0),
        reasons: [
          gas.co2Pct <= 10 ? message('wire-choice.gas-note.dry-transfer') : message('wire-choice.gas-note.wide-range'),
        ],
      };
  }
}

function placed<T>(judged: readonly Judged<T>[]): RankedChoice<T>[] {
  const inPlace = judged.filter(({ score }) => score >= 0).sort((a, b) => b.score - a.score);
  const verdicts = ['first choice', 'runner-up'] as const;
  const row = ({ value, name, reasons, cautions = [] }: Judged<T>, verdict: RankedChoice<T>['verdict']) => ({
    value,
    name,
    verdict,
    reasons,
    cautions,
  });
  return [
    ...inPlace.map((one, at) => row(one, verdicts[at] ?? 'possible')),
    ...judged.filter(({ score }) => score < 0).map((one) => row(one, 'ruled out')),
  ];
}

/** What is printed on the spool, for sentences. */
export function wireWords(filler: FillerCode, diameterMm: number): Phrase {
  return joined([fillerOf(filler).name, wireSizeLabel(diameterMm)], ', ');
}
