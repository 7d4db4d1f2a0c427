/** Which filler, size and gas suit a seam: every candidate with its place, reasons and cautions, or why it is ruled out. Places are rules of practice; exclusions are the plan's own refusals. */
import {
  commonGasCodes,
  type FillerCode,
  fillerOf,
  fillers,
  gasName,
  gasOf,
  type Grade,
  grades,
  materialOf,
  wireAreaMm2,
  wireSizeLabel,
  wireSizes,
} from '../consumables/index.ts';
import { planModes, planSetting, type PlanInput, type PlanMode, type Seam } from '../plan/index.ts';
import { gasWarnings } from '../pulse/index.ts';
import { fillerFacts } from './filler-facts.ts';

export interface RankedChoice<T> {
  readonly value: T;
  readonly name: string;
  readonly verdict: 'first choice' | 'runner-up' | 'possible' | 'ruled out';
  readonly reasons: readonly string[];
  readonly cautions: readonly string[];
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
  readonly name: string;
  /** Below 0 is ruled out. */
  readonly score: number;
  readonly reasons: readonly string[];
  readonly cautions?: readonly string[];
}

const ruledOut = -1;

/** The known grade that a free text names; undefined when it names none. */
export function gradeIn(text: string, group: Seam['materialGroup']): Grade | undefined {
  const said = text.toLowerCase();
  return grades.find(
    (grade) =>
      grade.group === group &&
      [grade.code, grade.alias.split(',')[0] ?? ''].some((name) => name !== '' && said.includes(name.toLowerCase())),
  );
}

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
  const out = (reason: string) => ({ score: ruledOut, reasons: [reason] });
  if (!material.families.includes(filler.family))
    return out(`does not join ${material.name.toLowerCase()} to itself soundly`);
  const facts = fillerFacts[code];
  const grade = gradeIn(text, seam.materialGroup);
  const thinner = Math.min(...seam.thicknessesMm);
  const words = [facts.strength, facts.colour];
  switch (code) {
    case 'aluminium-4043':
      if (grade?.code === '5083') return out('makes a brittle phase with the magnesium of 5083');
      return {
        score: (grade?.code.startsWith('5') ? 40 : 90) - (anodised ? 50 : 0),
        reasons: [...words, 'flows best, resists hot cracking on 6xxx'],
        cautions: [
          ...(grade?.code.startsWith('5') ? [`weakens a seam in ${grade.code}: AlMg5 is meant for it`] : []),
          ...(anodised ? ['anodised it shows as a dark grey line'] : []),
        ],
      };
    case 'aluminium-5356':
      return {
        score: 85 + (anodised ? 10 : 0) + (grade?.code.startsWith('5') ? 10 : 0),
        reasons: [...words, ...(grade?.code.startsWith('5') ? [`made for ${grade.code}`] : [])],
        cautions: grade?.code.startsWith('6') ? ['hot-cracks sooner than AlSi5 when little filler is added'] : [],
      };
    case 'cusi3':
      if (seam.materialGroup !== 'galvanised' && !brazed) {
        return out('is for brazing, which is not meant here');
      }
      return {
        score: seam.materialGroup === 'galvanised' ? 95 : thinner <= 3 ? 35 : 10,
        reasons: [
          ...words,
          ...(seam.materialGroup === 'galvanised' ? ['leaves most of the zinc where it is, sheet stays solid'] : []),
        ],
        cautions: thinner > 3 ? ['brazing needs an overlap; plate this thick is welded'] : [],
      };
    case 'stainless-solid':
    case 'stainless-308l':
    case 'stainless-309l':
    case 'stainless-316l':
      return judgeStainless(code, seam, grade, words);
    case 'steel-solid':
      return seam.materialGroup === 'galvanised'
        ? { score: 50, reasons: words, cautions: ['zinc boils into the seam as pores'] }
        : { score: 95, reasons: words };
    case 'steel-metal-cored':
      return { score: thinner >= 4 ? 70 : 30, reasons: [...words, facts.leaves], cautions: coredCautions(seam) };
    case 'steel-flux-cored':
      return { score: thinner >= 5 ? 60 : 20, reasons: [...words, facts.leaves], cautions: coredCautions(seam) };
    case 'steel-self-shielded':
      return {
        score: 15,
        reasons: [...words, facts.leaves],
        cautions: ['wire on minus, no gas: a changeover there and back'],
      };
  }
}

/** 308L for plain stainless, 316L where the plate holds molybdenum, 309L where stainless meets plain steel. */
function judgeStainless(
  code: FillerCode,
  seam: Seam,
  grade: Grade | undefined,
  words: string[],
): Pick<Judged<FillerCode>, 'score' | 'reasons' | 'cautions'> {
  const is309 = code === 'stainless-309l';
  if (seam.materialGroup !== 'stainless') {
    return {
      score: is309 ? 8 : 5,
      reasons: words,
      cautions: ['on plain steel only where a procedure asks for it (309L type)'],
    };
  }
  const wants316 = grade?.code === '316L';
  const is316 = code === 'stainless-316l';
  const reasons = [...words, ...(grade ? [grade.note] : [])];
  if (is309) return { score: 50, reasons };
  return {
    score: is316 === wants316 ? 95 : is316 ? 70 : 60,
    reasons,
    cautions: wants316 && !is316 ? ['lacks the molybdenum of 316L: the seam pits before the plate'] : [],
  };
}

function coredCautions({ materialGroup, thicknessesMm }: Seam): string[] {
  return [
    ...(Math.min(...thicknessesMm) < 3 ? ['hot for thin sheet'] : []),
    ...(materialGroup === 'galvanised' ? ['zinc boils into the seam as pores'] : []),
  ];
}

/** Feeds between which a drive runs steadily and a hand keeps up, m/min; rule of practice. */
const easyFeed = [4, 11] as const;

/** Sizes for the filler and gas of the question, each planned in its mode. */
export function rankSizes(input: PlanInput): RankedChoice<number>[] {
  const soft = fillerFacts[input.filler].softness;
  return placed(
    wireSizes.map(({ diameterMm, label }): Judged<number> => {
      const base = { value: diameterMm, name: label };
      const plan = planSetting({ ...input, diameterMm, wireFeedMPerMin: undefined });
      if (!plan.ok) return { ...base, score: ruledOut, reasons: [plan.issues[0]?.message ?? 'cannot be planned'] };
      const { wireFeedMPerMin: feed, meanCurrentA, frequencyHz } = plan.value;
      const off = Math.max(easyFeed[0] - feed, feed - easyFeed[1], 0);
      const inch = label.endsWith(' in');
      const cautions = [
        ...(soft >= 2 && diameterMm < 0.95 ? ['soft and thin: buckles at the drive, push-pull or spool gun'] : []),
        ...(feed > easyFeed[1] ? ['runs fast: the drive and your hand must keep up'] : []),
        ...(feed < easyFeed[0] ? ['runs slowly: starts and small stutters show'] : []),
      ];
      return {
        ...base,
        // Inch sizes are stocked where the shop buys them; the metric ones are first here.
        score: 100 - 12 * off - 3 * Math.abs(feed - 7) - (soft >= 2 && diameterMm < 0.95 ? 30 : 0) - (inch ? 8 : 0),
        reasons: [
          `${feed.toFixed(1)} m/min for ${meanCurrentA.toFixed(0)} A${frequencyHz === null ? '' : `, ${frequencyHz.toFixed(0)} pulses a second`}`,
          ...sizeTrap(diameterMm, label),
        ],
        cautions,
      };
    }),
  );
}

/** The size beside it that looks the same and is not: how much more or less metal it feeds. */
function sizeTrap(diameterMm: number, label: string): string[] {
  const near = wireSizes
    .filter((other) => other.label !== label && Math.abs(other.diameterMm - diameterMm) < 0.065)
    .sort((a, b) => Math.abs(a.diameterMm - diameterMm) - Math.abs(b.diameterMm - diameterMm))[0];
  if (!near) return [];
  const more = 100 * (wireAreaMm2(diameterMm) / wireAreaMm2(near.diameterMm) - 1);
  if (Math.abs(more) < 1) return [];
  return [`carries ${Math.abs(more).toFixed(1)} % ${more > 0 ? 'more' : 'less'} metal than ${near.label}`];
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
      const why = plan.issues[0]?.message ?? 'cannot be planned';
      return other
        ? { ...base, score: ruledOut, reasons: [why, `It would serve in ${other.replace('-', ' ')}.`] }
        : { ...base, score: ruledOut, reasons: [why] };
    }),
  );
}

/** How a gas behaves with a family; rules of practice. */
function gasManners(
  { filler: code, seam }: PlanInput,
  gasCode: string,
  mode: PlanMode,
): { score: number; reasons: string[] } {
  const { family, shielding } = fillerOf(code);
  const gas = gasOf(gasCode);
  if (shielding === 'self') {
    return gasCode === 'none'
      ? { score: 95, reasons: ['the wire makes its own shield'] }
      : { score: 5, reasons: ['gas around self-shielded wire changes its chemistry'] };
  }
  if (gas.heliumPct > 0) {
    const thick = Math.min(...seam.thicknessesMm) >= 6;
    return {
      score: (thick ? 75 : 40) - Math.max(gas.heliumPct - 50, 0),
      reasons: ['helium widens and heats the bead: thick plate', 'needs more flow and costs more'],
    };
  }
  switch (family) {
    case 'aluminium':
      return { score: 95, reasons: ['steady arc, cleans the oxide'] };
    case 'copper-silicon':
      return gas.argonPct === 100
        ? { score: 95, reasons: ['clean copper seam'] }
        : { score: 70 - 3 * gas.co2Pct, reasons: ['a little active gas steadies the arc, the seam comes out darker'] };
    case 'stainless':
      return gas.co2Pct <= 3
        ? {
            score: gas.o2Pct > 0 ? 85 : 95,
            reasons: [gas.o2Pct > 0 ? 'wets well, more tint' : 'steady arc, little tint'],
          }
        : { score: 30, reasons: ['wets well at the price of corrosion resistance'] };
    case 'steel':
      if (gas.argonPct === 0)
        return { score: mode === 'dip' ? 60 : 20, reasons: ['cheap, digs in', 'more spatter, smaller window'] };
      if (gas.co2Pct + gas.o2Pct < 5) return { score: 55, reasons: ['little spatter, narrow finger of penetration'] };
      return {
        score:
          mode === 'dip'
            ? 95 - 0.3 * Math.abs(gas.co2Pct - 18)
            : 95 - 0.5 * Math.abs(gas.co2Pct - 12) - 4 * Math.max(gas.co2Pct - 18, 0),
        reasons: [gas.co2Pct <= 10 ? 'drier transfer, less slag' : 'digs in well, wide range of settings'],
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
export function wireWords(filler: FillerCode, diameterMm: number): string {
  return `${fillerOf(filler).name}, ${wireSizeLabel(diameterMm)}`;
}
