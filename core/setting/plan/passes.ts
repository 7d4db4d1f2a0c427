/** Several passes of one seam: kind, metal, setting, where each lies and where the gun points. Layers and angles are rules of practice. */
import { message, type Phrase } from '../../base/messages/index.ts';
import { filletLegMm, throatMm } from '../bead/index.ts';
import type { PlanInput } from './input.ts';
import { jointRule, thinnerMm } from './joints.ts';
import { bevelHeightMm, grooveOf, isGroove, topWidthMm, type EdgeGroove } from './preparation.ts';

/**
 * Share of the fill's current that a root is run with. An open one has to hold itself over its gap: procedure sheets give it 110 to 140 A where
 * they fill with 200 to 230; on backing, or with the faces closed, it only has to be a little colder. Assumed from such sheets.
 */
export function rootCurrentShare({ preparation, gapMm }: PlanInput['seam']): number {
  const isOpen = (preparation?.backing ?? 'none') === 'none' && gapMm >= openFromMm;
  return isOpen ? 0.6 : 0.88;
}
/** Less than this is closed by the first drops, mm; assumed. */
const openFromMm = 1;
/** A layer wider than this is laid in two beads side by side, mm; assumed. */
const twoBeadsFromMm = 13;

export type PassKind = 'single' | 'root' | 'fill' | 'cap';

/** Where a pass lies in a groove: heights over the bottom of the plate and the share of the layer's width it takes. */
export interface PassPlace {
  readonly layer: number;
  readonly side: 'top' | 'bottom';
  readonly fromMm: number;
  readonly toMm: number;
  /** Across the layer, 0 left to 1 right. */
  readonly leftShare: number;
  readonly rightShare: number;
}

/** What a kind of pass is run with. */
export interface PassSetting {
  readonly wireFeedMPerMin: number;
  readonly meanCurrentA: number;
  readonly voltageV: number;
  readonly travelMmPerMin: number;
}

export interface Pass extends PassSetting {
  readonly pass: number;
  readonly kind: PassKind;
  readonly areaMm2: number;
  /** Metal laid up to and with this pass. */
  readonly totalAfterMm2: number;
  /** Leg reached after this pass; null where the joint has none. */
  readonly legAfterMm: number | null;
  readonly throatAfterMm: number | null;
  readonly gun: Phrase;
  /** Null in fillets, whose passes are drawn by their legs. */
  readonly place: PassPlace | null;
}

const filletGun = [message('plan.gun.fillet-root'), message('plan.gun.lower-toe'), message('plan.gun.upper-toe')];

export function passTable(
  { seam }: PlanInput,
  passes: number,
  passAreaMm2: number,
  settingOf: (kind: PassKind) => PassSetting,
): Pass[] {
  const isFillet = jointRule(seam.joint).isFillet;
  const isPrepared = isGroove(seam.preparation);
  const groove =
    isPrepared && seam.preparation ? grooveOf(seam.preparation, thinnerMm(seam.thicknessesMm), seam.gapMm) : undefined;
  const places = groove ? placesOf(groove, passes, passAreaMm2) : [];
  return Array.from({ length: passes }, (_, index) => {
    const totalAfterMm2 = (index + 1) * passAreaMm2;
    const legAfterMm = isFillet ? filletLegMm(totalAfterMm2, seam.gapMm) : null;
    const place = places[index] ?? null;
    const kind = passes === 1 ? 'single' : isPrepared ? grooveKind(index, passes, place, places) : 'fill';
    return {
      pass: index + 1,
      kind,
      areaMm2: passAreaMm2,
      totalAfterMm2,
      ...settingOf(kind),
      legAfterMm,
      throatAfterMm: legAfterMm === null ? null : throatMm(legAfterMm),
      gun: isFillet
        ? index === 0
          ? (filletGun[0] ?? '')
          : (filletGun[1 + ((index + 1) % 2)] ?? '')
        : gunInGroove(kind, place),
      place,
    };
  });
}

function grooveKind(index: number, passes: number, place: PassPlace | null, places: readonly PassPlace[]): PassKind {
  if (index === 0) return 'root';
  if (index === passes - 1) return 'cap';
  const isTopLayer = place !== null && !places.some((other) => other.side === place.side && other.layer > place.layer);
  return isTopLayer ? 'cap' : 'fill';
}

function gunInGroove(kind: PassKind, place: PassPlace | null): Phrase {
  if (place && place.rightShare - place.leftShare < 1) {
    return message('plan.gun.flank', {
      leftShare: place.leftShare === 0 ? message('plan.left') : message('plan.right'),
    });
  }
  return kind === 'root' ? message('plan.gun.root') : message('plan.gun.joint');
}

/** Passes stacked in layers from the root; a double V is filled side by side, the second side after the first two. */
function placesOf(groove: EdgeGroove, passes: number, passAreaMm2: number): PassPlace[] {
  if (groove.sides === 2) {
    const below = Math.floor(passes / 2);
    const top = stack(groove, passes - below, passAreaMm2, 'top');
    const bottom = stack(groove, below, passAreaMm2, 'bottom');
    // One side, then the other, so that the plate draws back.
    return top.flatMap((place, index) => [place, ...(bottom[index] ? [bottom[index]] : [])]);
  }
  return stack(groove, passes, passAreaMm2, 'top');
}

function stack(groove: EdgeGroove, passes: number, passAreaMm2: number, side: 'top' | 'bottom'): PassPlace[] {
  const places: PassPlace[] = [];
  let filledMm2 = 0;
  for (let layer = 1; places.length < passes; layer++) {
    const fromMm = heightOf(groove, filledMm2);
    const left = passes - places.length;
    const isWide = widthAt(groove, fromMm) > twoBeadsFromMm && left >= 2 && layer > 1;
    const beads = isWide ? 2 : 1;
    filledMm2 += beads * passAreaMm2;
    const toMm = heightOf(groove, filledMm2);
    for (let bead = 0; bead < beads; bead++) {
      places.push({ layer, side, fromMm, toMm, leftShare: bead / beads, rightShare: (bead + 1) / beads });
    }
  }
  return places;
}

/** Height over the root that an area fills, mm: the parallel part first, then the widening one, then over the plate. */
function heightOf(groove: EdgeGroove, areaMm2: number): number {
  const { gapMm, widening } = groove;
  const parallelMm = groove.rootFaceMm / groove.sides;
  const parallel = gapMm * parallelMm;
  if (areaMm2 <= parallel && gapMm > 0) return areaMm2 / gapMm;
  const rest = areaMm2 - parallel;
  const bevel = bevelHeightMm(groove);
  const whole = gapMm * bevel + (widening * bevel * bevel) / 2;
  if (rest >= whole) return parallelMm + bevel + (rest - whole) / topWidthMm(groove);
  return parallelMm + (-gapMm + Math.sqrt(gapMm * gapMm + 2 * widening * rest)) / widening;
}

function widthAt(groove: EdgeGroove, heightMm: number): number {
  const over = Math.min(Math.max(heightMm - groove.rootFaceMm / groove.sides, 0), bevelHeightMm(groove));
  return groove.gapMm + groove.widening * over;
}
