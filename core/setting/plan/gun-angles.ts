/** Where the gun points: work angle in the joint, travel angle along it, plus pushes and minus drags. Rules of practice, starts for trials. */
import { message, amount, joined, type Said } from '../../base/messages/index.ts';
import { fillerOf, type FillerCode } from '../../metal/consumables/index.ts';
import { jointRule, type Joint } from './joints.ts';

export interface GunAngles {
  /** From the lower or first plate, °. */
  readonly workDeg: number;
  /** Off upright along the seam, °: plus pushes, minus drags. */
  readonly travelDeg: number;
}

export const gunRanges = { workDeg: [10, 170], travelDeg: [-45, 45] } as const;

export function usualGun(joint: Joint, thicknessesMm: readonly [number, number], filler: FillerCode): GunAngles {
  const [first, second] = thicknessesMm;
  const { shielding, family } = fillerOf(filler);
  const isDragged = shielding === 'self' || filler === 'steel-flux-cored';
  // In a fillet the arc looks a little more at the thicker plate.
  const workDeg = jointRule(joint).isFillet ? (second > 1.4 * first ? 40 : first > 1.4 * second ? 50 : 45) : 90;
  return { workDeg, travelDeg: isDragged ? -10 : family === 'aluminium' ? 12 : 8 };
}

/** As it is said: "45°, push 12°". */
export function gunWords({ workDeg, travelDeg }: GunAngles): Said {
  const travel = amount('angle', Math.abs(travelDeg), 0);
  const along =
    travelDeg === 0
      ? message('plan.gun-upright')
      : travelDeg > 0
        ? message('plan.gun-push', { travel })
        : message('plan.gun-drag', { travel });
  return joined([amount('angle', workDeg, 0), along], ', ');
}
