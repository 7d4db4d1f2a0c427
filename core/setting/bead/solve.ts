/** The `bead` question: of feed, travel and leg any two give the third. */
import { amount, type Phrase, message, sum } from '../../base/messages/index.ts';
import { wireInGas } from '../../metal/arc/index.ts';
import { fillerOf, type FillerCode } from '../../metal/consumables/index.ts';
import { depositionKgPerH } from '../../metal/melting/index.ts';
import { failure, rangeIssues, success, type Outcome } from '../../base/outcome/index.ts';
import { filletAreaMm2, filletLegMm, throatMm } from './area.ts';
import { areaForTravel, feedForArea, travelForArea } from './travel.ts';

export interface BeadInput {
  readonly filler: FillerCode;
  readonly diameterMm: number;
  /** All but one of these three. */
  readonly wireFeedMPerMin?: number | undefined;
  readonly travelMmPerMin?: number | undefined;
  readonly legMm?: number | undefined;
}

export interface BeadResult {
  readonly wireFeedMPerMin: number;
  readonly travelMmPerMin: number;
  readonly legMm: number;
  readonly areaMm2: number;
  readonly throatMm: number;
  readonly depositionKgPerH: number;
  readonly because: Phrase;
}

/** Solves the missing one of feed (m/min), travel (mm/min) and fillet leg (mm). Issues: ranges, `two-of-three`, and a solved value out of its range. */
export function bead({ filler, diameterMm, wireFeedMPerMin, travelMmPerMin, legMm }: BeadInput): Outcome<BeadResult> {
  const issues = rangeIssues({ diameterMm, wireFeedMPerMin, travelMmPerMin, legMm });
  const given = [wireFeedMPerMin, travelMmPerMin, legMm].filter((value) => value !== undefined).length;
  if (given !== 2) {
    issues.push({
      path: 'legMm',
      code: 'two-of-three',
      message: message('bead.error.two-of-three', { given }),
      limit: 2,
      got: given,
    });
  }
  if (issues.length > 0) return failure(...issues);
  const wire = wireInGas(filler, fillerOf(filler).shielding === 'self' ? 'none' : 'I1', diameterMm);
  const feed = wireFeedMPerMin ?? feedForArea(wire, travelMmPerMin ?? 0, filletAreaMm2(legMm ?? 0));
  const travel = travelMmPerMin ?? travelForArea(wire, feed, filletAreaMm2(legMm ?? 0));
  const areaMm2 = areaForTravel(wire, feed, travel);
  const leg = legMm ?? filletLegMm(areaMm2);
  const solved = rangeIssues({ wireFeedMPerMin: feed, travelMmPerMin: travel, legMm: leg });
  if (solved.length > 0) {
    return failure(
      ...solved.map((issue) => ({
        ...issue,
        code: 'no-solution' as const,
        message: message('bead.error.third-out-of-range', { message: issue.message }),
      })),
    );
  }
  return success({
    wireFeedMPerMin: feed,
    travelMmPerMin: travel,
    legMm: leg,
    areaMm2,
    throatMm: throatMm(leg),
    depositionKgPerH: depositionKgPerH(wire, feed),
    because: sum(
      message('bead.because.leg', {
        feed: amount('wireFeed', feed, 2),
        wireArea: amount('area', wire.areaMm2, 3),
        yield: wire.yield,
        travel: amount('travel', travel, 0),
        beadArea: amount('area', areaMm2, 1),
      }),
    ),
  });
}
