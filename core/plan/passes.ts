/** Several passes of one seam: what each lays, and where the gun points. Angles are rules of practice. */
import { filletLegMm, throatMm } from '../bead/index.ts';
import { jointRule, type Joint } from './joints.ts';

export interface Pass {
  readonly pass: number;
  readonly areaMm2: number;
  /** Leg reached after this pass; null where the joint has none. */
  readonly legAfterMm: number | null;
  readonly throatAfterMm: number | null;
  readonly gun: string;
}

const filletGun = [
  '45° between the plates, into the root',
  '55 to 60° from the lower plate, on the lower toe of the first',
  '30 to 40° from the lower plate, on the upper toe',
];

export function passTable(joint: Joint, passes: number, passAreaMm2: number, gapMm: number): Pass[] {
  const isFillet = jointRule(joint).isFillet;
  return Array.from({ length: passes }, (_, index) => {
    const legAfterMm = isFillet ? filletLegMm((index + 1) * passAreaMm2, gapMm) : null;
    return {
      pass: index + 1,
      areaMm2: passAreaMm2,
      legAfterMm,
      throatAfterMm: legAfterMm === null ? null : throatMm(legAfterMm),
      gun: isFillet
        ? index === 0
          ? (filletGun[0] ?? '')
          : (filletGun[1 + ((index + 1) % 2)] ?? '')
        : 'straight on the joint, pushed 10 to 15°',
    };
  });
}
