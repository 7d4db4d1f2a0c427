/** The `heat` question: arc energy and heat input, cooling time, carbon equivalent, preheat and interpass ceiling. */
import { amount, type Phrase, message, sum, absent } from '../../base/messages/index.ts';
import type { MaterialGroup } from '../../metal/consumables/index.ts';
import { failure, rangeIssues, success, type Issue, type Outcome } from '../../base/outcome/index.ts';
import { coolingTime, type WeldShape } from './cooling.ts';
import { arcEnergyKjPerMm } from './heat-input.ts';
import { carbonEquivalentCet, compositionLimits, preheatAdviceC, preheatFromMm, type Composition } from './preheat.ts';

export interface HeatInput {
  readonly voltageV: number;
  readonly currentA: number;
  /** Mean of instantaneous u i; left out, volts times amps stands in for it. */
  readonly powerW?: number | undefined;
  readonly travelMmPerMin: number;
  readonly efficiency: number;
  readonly thicknessMm: number;
  readonly preheatC: number;
  readonly shape: WeldShape;
  readonly materialGroup?: MaterialGroup | undefined;
  readonly hydrogenMlPer100G?: number | undefined;
  readonly composition?: Composition | undefined;
}

export interface HeatResult {
  readonly arcEnergyKjPerMm: number;
  readonly heatInputKjPerMm: number;
  /** By volts times amps, for comparison. */
  readonly productArcEnergyKjPerMm: number;
  /** Steel only. */
  readonly t85S?: number;
  readonly t85Regime?: 'thick' | 'thin';
  readonly t85BandS?: readonly [number, number];
  readonly carbonEquivalentCet?: number;
  readonly preheatAdviceC?: number;
  readonly interpassCeilingC?: readonly [number, number];
  readonly because: Phrase;
}

/** Interpass ceilings unless a procedure says otherwise, °C: rules of practice. */
const interpass: Partial<Record<MaterialGroup, readonly [number, number]>> = {
  stainless: [150, 150],
  aluminium: [100, 120],
};

export function heat(input: HeatInput): Outcome<HeatResult> {
  const { voltageV, currentA, powerW, travelMmPerMin, efficiency, thicknessMm, preheatC, composition } = input;
  const issues: Issue[] = [
    ...rangeIssues({ currentA, travelMmPerMin, thicknessMm, plateC: preheatC }).map((issue) =>
      issue.path === 'plateC' ? { ...issue, path: 'preheatC' } : issue,
    ),
    ...limited('voltageV', voltageV, 5, 60, 'V'),
    ...limited('efficiency', efficiency, 0.3, 1, ''),
    ...(powerW === undefined ? [] : limited('powerW', powerW, 50, 40_000, 'W')),
    ...(input.hydrogenMlPer100G === undefined
      ? []
      : limited('hydrogenMlPer100G', input.hydrogenMlPer100G, 0.5, 20, 'mL/100 g')),
  ];
  for (const [element, share] of Object.entries(composition ?? {}) as [keyof Composition, number | undefined][]) {
    const [min, max] = compositionLimits[element];
    if (share !== undefined) issues.push(...limited(`composition.${element}`, share, min, max, '%'));
  }
  const group = input.materialGroup ?? 'steel';
  const isSteel = group === 'steel' || group === 'galvanised';
  if (composition && !isSteel) {
    issues.push({
      path: 'composition',
      code: 'steel-only',
      message: message('heat.error.carbon-equivalent-metal', { group }),
      got: group,
      hint: message('heat.hint.leave-composition-out'),
    });
  }
  if (issues.length > 0) return failure(...issues);

  const energy = arcEnergyKjPerMm(powerW ?? voltageV * currentA, travelMmPerMin);
  const heatInputKjPerMm = efficiency * energy;
  const ceiling = interpass[group];
  const cooling = isSteel ? coolingTime(heatInputKjPerMm, thicknessMm, preheatC, input.shape) : undefined;
  const cet = composition && carbonEquivalentCet(composition);
  const advice =
    cet !== undefined && thicknessMm >= preheatFromMm
      ? preheatAdviceC(cet, thicknessMm, input.hydrogenMlPer100G ?? 5, heatInputKjPerMm)
      : undefined;
  return success({
    arcEnergyKjPerMm: energy,
    heatInputKjPerMm,
    productArcEnergyKjPerMm: arcEnergyKjPerMm(voltageV * currentA, travelMmPerMin),
    ...(cooling ? { t85S: cooling.t85S, t85Regime: cooling.regime, t85BandS: cooling.bandS } : {}),
    ...(cet === undefined ? {} : { carbonEquivalentCet: cet }),
    ...(advice === undefined ? {} : { preheatAdviceC: advice }),
    ...(ceiling ? { interpassCeilingC: ceiling } : {}),
    because: sum(
      message('heat.because.heat-input', {
        current: amount('watts', powerW ?? voltageV * currentA, 0),
        measured: powerW === undefined ? 'other' : 'yes',
        travel: amount('travel', travelMmPerMin),
        efficiency,
      }),
    ),
  });
}

function limited(path: string, value: number, min: number, max: number, unit: string): Issue[] {
  if (Number.isFinite(value) && value >= min && value <= max) return [];
  return [
    {
      path,
      code: 'out-of-range',
      message: message('heat.error.out-of-range', { path, min, max, unit: unit === '' ? absent : unit, value }),
      limit: [min, max],
      got: value,
    },
  ];
}
