/** Which coupons settle a new setting, the fewest first: what each is expected to tell, in bits. */
import { amount, message, type Said } from '../../base/messages/index.ts';

export type PlanItemKind = 'sweep' | 'point' | 'grid' | 'other-beat' | 'start-and-stop' | 'confirm';

export interface PlanItem {
  readonly kind: PlanItemKind;
  readonly coupons: number;
  /** Expected gain of all its coupons together, bits. */
  readonly bits: number;
  readonly why: Said;
  /** It is welded only when the one before it fails. */
  readonly onlyIfFailed: boolean;
}

/** Three in a row: a setting that fails one weld in three passes them by luck in 30 % of cases. */
export const passesInARow = 3;

/** Source: entropy of a normal of `trimSdMm` cut into steps of `stepMm`, in bits; a pass or fail tells at most one. */
export function trialPlan({
  trimSdMm,
  stepMm,
  hasOtherBeat = false,
}: {
  readonly trimSdMm: number;
  readonly stepMm: number;
  /** Single and double pulse are both open for this seam. */
  readonly hasOtherBeat?: boolean;
}): PlanItem[] {
  const sweepBits = Math.max(Math.log2((trimSdMm * Math.sqrt(2 * Math.PI * Math.E)) / stepMm), 0);
  // A bead says yes or no about the step it is welded at; as much as that step is in doubt.
  const inBand = Math.min(stepMm / (trimSdMm * Math.sqrt(2 * Math.PI)), 0.9);
  const pointBits = -inBand * Math.log2(inBand) - (1 - inBand) * Math.log2(1 - inBand);
  const sweep: PlanItem = {
    kind: 'sweep',
    coupons: 1,
    bits: sweepBits,
    why: message('trials.why-sweep', {
      sd: amount('shortLength', trimSdMm, 1),
      step: amount('shortLength', stepMm, 1),
    }),
    onlyIfFailed: false,
  };
  return [
    // Where the line is known to a step, the plate is better spent on the point itself.
    ...(sweepBits > pointBits ? [sweep] : []),
    { kind: 'point', coupons: 1, bits: pointBits, why: message('trials.why-point'), onlyIfFailed: false },
    { kind: 'grid', coupons: 4, bits: 4 * pointBits, why: message('trials.why-grid'), onlyIfFailed: true },
    ...(hasOtherBeat
      ? [
          {
            kind: 'other-beat',
            coupons: 1,
            bits: 1,
            why: message('trials.plan.other-pulse-why'),
            onlyIfFailed: false,
          } as const,
        ]
      : []),
    { kind: 'start-and-stop', coupons: 1, bits: 1, why: message('trials.plan.start-stop-why'), onlyIfFailed: false },
    {
      kind: 'confirm',
      coupons: passesInARow - 1,
      bits: 0,
      why: message('trials.why-confirm', { count: passesInARow }),
      onlyIfFailed: false,
    },
  ];
}

/** How many of the newest trials passed one after the other; the newest first. */
export function passesInRow(verdicts: readonly ('pass' | 'fail' | 'open')[]): number {
  const first = verdicts.findIndex((verdict) => verdict !== 'pass');
  return first === -1 ? verdicts.length : first;
}
