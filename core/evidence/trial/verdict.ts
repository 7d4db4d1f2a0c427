/** A record held against its limits, line by line. */
import { throatMm } from '../../setting/bead/index.ts';
import { amount, message, type Said } from '../../base/messages/index.ts';
import type { AcceptanceLimits, QualityLevel } from './limits.ts';
import type { Looked, SymptomAnswer } from './record.ts';
import { symptoms, type SymptomCode } from './symptoms.ts';

export type LineVerdict = 'pass' | 'fail' | 'open';

export interface VerdictLine {
  readonly line: VerdictLineCode;
  readonly verdict: LineVerdict;
  /** The limit, and what was found. */
  readonly words: Said;
}

export type VerdictLineCode =
  | 'legs'
  | 'leg-difference'
  | 'throat'
  | 'height'
  | 'undercut'
  | 'back'
  | 'spatter'
  | 'pores'
  | 'never'
  | 'lap'
  | 'root-fusion';

export interface TrialVerdict {
  /** `open` where a line that counts was not looked at. */
  readonly verdict: LineVerdict;
  readonly lines: readonly VerdictLine[];
  /** Nobody broke or cut it: what has not fused cannot be seen. */
  readonly byEyeOnly: boolean;
}

/** Depth a look of this severity stands for where nobody measured, mm (assumed). */
const undercutOf = { 1: 0.2, 2: 0.5, 3: 1 } as const;
/** Worst severity of pores a level lets pass. Source: ISO 5817, 2017: none, small, larger. */
const poresOf: Readonly<Record<QualityLevel, number>> = { B: 0, C: 1, D: 2 };
/** Severity of a lap a level lets pass. Source: ISO 5817, 506: none, none, short. */
const lapOf: Readonly<Record<QualityLevel, number>> = { B: 0, C: 0, D: 1 };

const never: readonly SymptomCode[] = ['crater-crack', 'centre-crack', 'hole', 'wormholes'];
const pores: readonly SymptomCode[] = ['pores-row', 'pores-start'];
const undercuts: readonly SymptomCode[] = ['undercut-upper', 'undercut-lower'];

export function trialVerdict(limits: AcceptanceLimits, found: Looked): TrialVerdict {
  const { measured = {}, tests = [] } = found;
  const lines: VerdictLine[] = [];
  /** What was not measured is not waited for where the seam is not critical. */
  const isWaited = limits.isCritical;
  const line = (code: VerdictLineCode, verdict: LineVerdict, words: Said) => {
    lines.push({ line: code, verdict, words });
  };
  const seen = (codes: readonly SymptomCode[]) => worstOf(codes, found.symptoms);
  const none = seen(never);
  line('never', none.isOpen && none.severity === 0 ? 'open' : passes(none.severity === 0), lookedWords(none));
  const porous = seen(pores);
  line('pores', verdictOf(porous, poresOf[limits.level]), lookedWords(porous));
  const lap = seen(['cold-lap']);
  line('lap', verdictOf(lap, lapOf[limits.level]), lookedWords(lap));
  const undercut = seen(undercuts);
  const depth = measured.undercutMm ?? depthOf(undercut);
  line(
    'undercut',
    depth === null ? 'open' : passes(depth <= limits.undercutMm),
    depth === null
      ? message('trials.undercut-not-looked', { most: mm(limits.undercutMm) })
      : message('trials.verdict.undercut', { depth: mm(depth), most: mm(limits.undercutMm) }),
  );
  line('back', ...backLine(limits, found));
  if (limits.legMm) legLines(limits, measured, isWaited, line);
  if (limits.heightMm !== null) {
    const height = measured.heightMm;
    const look = seen(['bead-high']);
    if (height !== undefined)
      line(
        'height',
        passes(height <= limits.heightMm),
        message('trials.verdict.height', { found: mm(height), most: mm(limits.heightMm) }),
      );
    else line('height', verdictOf(look, 1), lookedWords(look));
  }
  const grade = measured.spatter ?? gradeOf(found.symptoms);
  if (grade !== null || isWaited)
    line(
      'spatter',
      grade === null ? 'open' : passes(grade <= limits.spatter),
      grade === null
        ? message('trials.spatter-not-looked', { most: limits.spatter })
        : message('trials.verdict.spatter', { found: grade, most: limits.spatter }),
    );
  const proof = tests.filter(({ kind }) => kind !== 'bend' || limits.rootFusion);
  if (limits.rootFusion || tests.length > 0) {
    const failed = proof.some(({ result }) => result === 'fail');
    line(
      'root-fusion',
      failed ? 'fail' : proof.length > 0 ? 'pass' : 'open',
      failed
        ? message('trials.root-test-failed')
        : proof.length > 0
          ? message('trials.root-test-passed')
          : message('trials.verdict.root-not-proved'),
    );
  }
  const isFailed = lines.some(({ verdict }) => verdict === 'fail');
  // A root that was not cut open lets a trial pass by eye; it is the issue that waits for the proof.
  const isOpen = lines.some((one) => one.verdict === 'open' && one.line !== 'root-fusion');
  return {
    verdict: isFailed ? 'fail' : isOpen ? 'open' : 'pass',
    lines,
    byEyeOnly: proof.length === 0,
  };
}

type AddLine = (code: VerdictLineCode, verdict: LineVerdict, words: Said) => void;

function backLine(
  { back, backMm }: AcceptanceLimits,
  { symptoms: seen, measured = {} }: Looked,
): readonly [LineVerdict, Said] {
  const through = seen['printed-through']?.answer;
  const sag = worstOf(['sag'], seen);
  const root = worstOf(['no-root-fusion'], seen);
  const out = measured.backMm;
  if (root.severity > 0) return ['fail', lookedWords(root)];
  if (back === 'none') {
    if (through === 'yes' || sag.severity > 0) return ['fail', message('trials.back-came-through')];
    return [
      through === 'no' ? 'pass' : 'open',
      through === 'no' ? message('trials.back-clean') : message('trials.back-not-looked'),
    ];
  }
  if (out !== undefined && backMm !== null && out > backMm)
    return ['fail', message('trials.verdict.back', { found: mm(out), most: mm(backMm) })];
  if (sag.severity > 1) return ['fail', lookedWords(sag)];
  if (back === 'through') {
    if (through === 'no') return ['fail', message('trials.back-not-through')];
    return [
      through === 'yes' ? 'pass' : 'open',
      through === 'yes' ? message('trials.back-through') : message('trials.back-not-looked'),
    ];
  }
  const isLooked = through !== undefined || seen.sag !== undefined;
  return [isLooked ? 'pass' : 'open', isLooked ? message('trials.back-in-limits') : message('trials.back-not-looked')];
}

function legLines(
  { legMm, legDifferenceMm, throatMm: leastThroat }: AcceptanceLimits,
  { legsMm, gauge, throatMm: throat }: NonNullable<Looked['measured']>,
  isWaited: boolean,
  line: AddLine,
): void {
  if (!legMm) return;
  const least = mm(legMm.least);
  if (legsMm) {
    const ok = legsMm.every((leg) => leg >= legMm.least && (legMm.most === null || leg <= legMm.most));
    const found = { first: mm(legsMm[0]), second: mm(legsMm[1]) };
    line(
      'legs',
      passes(ok),
      legMm.most === null
        ? message('trials.verdict.legs-at-least', { ...found, least })
        : message('trials.verdict.legs-between', { ...found, least, most: mm(legMm.most) }),
    );
    if (legDifferenceMm !== null) {
      const apart = Math.abs(legsMm[0] - legsMm[1]);
      line(
        'leg-difference',
        passes(apart <= legDifferenceMm),
        message('trials.legs-apart', { found: mm(apart), most: mm(legDifferenceMm) }),
      );
    }
  } else if (gauge !== undefined) {
    line(
      'legs',
      passes(gauge === 'fits'),
      gauge === 'fits'
        ? message('trials.gauge-fits')
        : gauge === 'small'
          ? message('trials.gauge-small')
          : message('trials.gauge-large'),
    );
  } else if (isWaited) line('legs', 'open', message('trials.legs-not-measured', { least }));
  const made = throat ?? (legsMm && throatMm(Math.min(...legsMm)));
  if (leastThroat !== null && made !== undefined)
    line(
      'throat',
      passes(made >= leastThroat),
      message('trials.verdict.throat', { found: mm(made), least: mm(leastThroat) }),
    );
}

interface Worst {
  readonly severity: number;
  /** One of them was not looked for. */
  readonly isOpen: boolean;
  readonly code: SymptomCode | null;
}

function worstOf(codes: readonly SymptomCode[], seen: Looked['symptoms']): Worst {
  let worst: Worst = { severity: 0, isOpen: false, code: null };
  for (const code of codes) {
    const answer: SymptomAnswer | undefined = seen[code];
    if (!answer) worst = { ...worst, isOpen: true };
    // A yes without a severity is taken for plain.
    else if (answer.answer === 'yes' && (answer.severity ?? 2) > worst.severity)
      worst = { ...worst, severity: answer.severity ?? 2, code };
  }
  return worst;
}

function verdictOf({ severity, isOpen }: Worst, most: number): LineVerdict {
  if (severity > most) return 'fail';
  return isOpen ? 'open' : 'pass';
}

function depthOf({ severity, isOpen }: Worst): number | null {
  if (severity > 0) return undercutOf[severity as 1 | 2 | 3];
  return isOpen ? null : 0;
}

/** Grains as a symptom stand for a patch that nobody counted. */
function gradeOf(seen: Looked['symptoms']): number | null {
  const { severity, isOpen } = worstOf(['spatter-fine', 'spatter-coarse'], seen);
  if (severity > 0) return severity + 1;
  return isOpen ? null : 0;
}

/** How bad a symptom is, in words. */
export const severityNames = {
  1: message('trials.slight'),
  2: message('trials.plain'),
  3: message('trials.bad'),
} as const;

function lookedWords({ severity, isOpen, code }: Worst): Said {
  if (code !== null)
    return message('trials.seen', { symptom: symptoms[code].name, severity: severityNames[severity as 1 | 2 | 3] });
  return isOpen ? message('trials.verdict.not-looked-at') : message('trials.looked-at-clean');
}

function passes(ok: boolean): LineVerdict {
  return ok ? 'pass' : 'fail';
}

function mm(value: number) {
  return amount('shortLength', value, 1);
}

export const lineNames: Readonly<Record<VerdictLineCode, Said>> = {
  legs: message('trials.line-legs'),
  'leg-difference': message('trials.line-leg-difference'),
  throat: message('trials.line-throat'),
  height: message('trials.line-height'),
  undercut: message('trials.line-undercut'),
  back: message('trials.line-back'),
  spatter: message('trials.line-spatter'),
  pores: message('trials.line-pores'),
  never: message('trials.line-never'),
  lap: message('trials.line-lap'),
  'root-fusion': message('trials.line-root-fusion'),
};
