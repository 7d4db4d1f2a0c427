/**
 * Corrects a wire in its gas on one machine by what was seen there: two or more points of feed and mean current (and volts, where known).
 * Least squares on the melting relation and the arc's voltage, with the table as prior: what the points do not settle stays where the table has it.
 */
import { message, amount, type Phrase } from '../../base/messages/index.ts';
import { arcElectrical, pulseLineMm, wireInGas } from '../../metal/arc/index.ts';
import { fillerOf, type FillerCode } from '../../metal/consumables/index.ts';
import { failure, rangeIssues, success, type Issue, type Outcome } from '../../base/outcome/index.ts';
import { MM_PER_S_PER_M_PER_MIN } from '../../base/units/factors.ts';

export interface ObservedPoint {
  readonly wireFeedMPerMin: number;
  readonly meanCurrentA: number;
  readonly ctwdMm: number;
  /** In pulse; left out, the current is taken as steady. */
  readonly rmsCurrentA?: number | undefined;
  /** At the contact tip. */
  readonly voltageV?: number | undefined;
  /** Left out: the line of the wire. */
  readonly arcLengthMm?: number | undefined;
}

export interface CalibrationInput {
  readonly filler: FillerCode;
  readonly gas: string;
  readonly diameterMm: number;
  readonly points: readonly ObservedPoint[];
}

export interface CalibrationResidual {
  readonly wireFeedMPerMin: number;
  /** Current that the corrected model expects at this feed, A. */
  readonly fittedCurrentA: number;
  /** Observed less fitted, A. */
  readonly residualA: number;
  /** Observed less fitted, V; absent where no volts were given. */
  readonly residualV?: number;
}

export interface Calibration {
  readonly kA: number;
  readonly kB: number;
  /** Factors on the table's constants. */
  readonly kAFactor: number;
  readonly kBFactor: number;
  /** V added to the arc. */
  readonly arcVoltageV: number;
  readonly residuals: readonly CalibrationResidual[];
  readonly rmsResidualA: number;
  readonly verdict: 'plausible' | 'doubtful';
  readonly because: Phrase;
}

/** How well a panel's current and a timed feed are known, relative; and its volts. Assumed. */
const observationError = { relative: 0.03, voltsV: 0.5 } as const;
const priorVoltsV = 1;
/** The extension term is known less well than the arc term. */
const kBPriorShare = 1.5;

export function calibrate(input: CalibrationInput): Outcome<Calibration> {
  const { filler: code, gas, diameterMm, points } = input;
  const issues: Issue[] = rangeIssues({ diameterMm });
  if (points.length < 2) {
    issues.push({
      path: 'points',
      code: 'too-few-points',
      message: message('calibration.error.too-few-points', { points: points.length }),
      limit: 2,
      got: points.length,
    });
  }
  points.forEach((point, index) => {
    const { wireFeedMPerMin, meanCurrentA, ctwdMm, rmsCurrentA, arcLengthMm, voltageV } = point;
    issues.push(...rangeIssues({ wireFeedMPerMin, ctwdMm, arcLengthMm }, `points.${index}.`));
    issues.push(
      ...rangeIssues({ currentA: meanCurrentA }).map((issue) => ({ ...issue, path: `points.${index}.meanCurrentA` })),
    );
    if (rmsCurrentA !== undefined && !(rmsCurrentA >= meanCurrentA && rmsCurrentA < 700)) {
      issues.push({
        path: `points.${index}.rmsCurrentA`,
        code: 'rms-below-mean',
        message: message('calibration.error.rms-below-mean', {
          rmsCurrent: amount('current', rmsCurrentA),
          meanCurrent: amount('current', meanCurrentA),
        }),
        got: rmsCurrentA,
      });
    }
    if (voltageV !== undefined && !(voltageV >= 8 && voltageV <= 50)) {
      issues.push({
        path: `points.${index}.voltageV`,
        code: 'out-of-range',
        message: message('calibration.error.voltage-limits', { voltage: voltageV }),
        limit: [8, 50],
        got: voltageV,
      });
    }
  });
  if (issues.length > 0) return failure(...issues);

  const filler = fillerOf(code);
  const wire = wireInGas(code, gas, diameterMm);
  const lineMm = pulseLineMm(wire.family, diameterMm);
  const rows = points.map((point) => {
    const arcMm = point.arcLengthMm ?? lineMm;
    const extensionMm = Math.max(point.ctwdMm - arcMm, 3);
    const rms = point.rmsCurrentA ?? point.meanCurrentA;
    const rate = point.wireFeedMPerMin * MM_PER_S_PER_M_PER_MIN;
    return {
      point,
      rate,
      // Shares of the feed that the table's arc and extension terms melt.
      arcShare: (wire.arcMeltMmPerAs * point.meanCurrentA) / rate,
      extensionShare: (wire.extensionMeltPerA2s * extensionMm * rms * rms) / rate,
      expectedV: arcElectrical(wire, point.meanCurrentA, rms, arcMm, extensionMm, 0).meanVoltageV,
    };
  });
  const sigma = filler.meltingError;
  const volts = rows.flatMap((row) => (row.point.voltageV === undefined ? [] : [row.point.voltageV - row.expectedV]));

  const [arcOff, extensionOff] = meltingOffs(rows, sigma);
  // The volts stand in no other equation: a mean, weighed against the table's own error.
  const voltsWeight = 1 / observationError.voltsV ** 2;
  const arcVoltageV =
    (voltsWeight * volts.reduce((sum, offV) => sum + offV, 0)) / (volts.length * voltsWeight + 1 / priorVoltsV ** 2);

  const residuals = rows.map(({ point, arcShare, extensionShare, expectedV }): CalibrationResidual => {
    const melted = arcShare * (1 + arcOff) + extensionShare * (1 + extensionOff);
    // Near the point a share too much melted is current too high, by the slope of the relation.
    const slope = arcShare * (1 + arcOff) + 2 * extensionShare * (1 + extensionOff);
    const residualA = (point.meanCurrentA * (melted - 1)) / slope;
    return {
      wireFeedMPerMin: point.wireFeedMPerMin,
      fittedCurrentA: point.meanCurrentA - residualA,
      residualA,
      ...(point.voltageV === undefined ? {} : { residualV: point.voltageV - expectedV - arcVoltageV }),
    };
  });
  const worst = residuals.reduce((a, b) =>
    Math.abs(b.residualA / b.fittedCurrentA) > Math.abs(a.residualA / a.fittedCurrentA) ? b : a,
  );
  const worstShare = Math.abs(worst.residualA / worst.fittedCurrentA);
  const isFar =
    Math.abs(arcOff) > 1.8 * sigma || Math.abs(extensionOff) > 1.8 * kBPriorShare * sigma || Math.abs(arcVoltageV) > 4;
  const isScattered = worstShare > 2 * observationError.relative;
  return success({
    kA: filler.kA * (1 + arcOff),
    kB: filler.kB * (1 + extensionOff),
    kAFactor: 1 + arcOff,
    kBFactor: 1 + extensionOff,
    arcVoltageV,
    residuals,
    rmsResidualA: Math.sqrt(residuals.reduce((sum, row) => sum + row.residualA ** 2, 0) / residuals.length),
    verdict: isFar || isScattered ? 'doubtful' : 'plausible',
    because: isScattered
      ? message('calibration.because.point-misses', {
          wireFeed: amount('wireFeed', worst.wireFeedMPerMin),
          residual: amount('current', worst.residualA, 0),
          worstShare: amount('percent', 100 * worstShare, 0),
        })
      : isFar
        ? message('calibration.because.large-correction', {
            arcOff: amount('percent', 100 * arcOff, 0),
            extensionOff: amount('percent', 100 * extensionOff, 0),
            arcVoltage: amount('voltage', arcVoltageV, 1),
          })
        : message('calibration.because.points-fit', {
            worstShare: amount('percent', 100 * worstShare, 1),
            arcOff: amount('percent', 100 * arcOff, 1),
            extensionOff: amount('percent', 100 * extensionOff, 1),
            arcVoltage: amount('voltage', arcVoltageV, 1),
          }),
  });
}

/**
 * Relative corrections of the arc's and the extension's melting, by least squares in closed form: every point says that its two shares
 * of the feed are the whole of it, every prior that its correction is nought, each scaled by its own error.
 */
function meltingOffs(
  rows: readonly { readonly arcShare: number; readonly extensionShare: number }[],
  sigma: number,
): readonly [arc: number, extension: number] {
  const weight = 1 / observationError.relative ** 2;
  let arc2 = 1 / sigma ** 2;
  let extension2 = 1 / (kBPriorShare * sigma) ** 2;
  let both = 0;
  let arcMiss = 0;
  let extensionMiss = 0;
  for (const { arcShare, extensionShare } of rows) {
    const miss = 1 - arcShare - extensionShare;
    arc2 += weight * arcShare ** 2;
    extension2 += weight * extensionShare ** 2;
    both += weight * arcShare * extensionShare;
    arcMiss += weight * arcShare * miss;
    extensionMiss += weight * extensionShare * miss;
  }
  // The priors keep this above nought whatever the points say.
  const determinant = arc2 * extension2 - both ** 2;
  return [
    (arcMiss * extension2 - extensionMiss * both) / determinant,
    (extensionMiss * arc2 - arcMiss * both) / determinant,
  ];
}
