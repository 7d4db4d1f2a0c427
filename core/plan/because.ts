/** The sum behind every figure of a plan, in one line each. The formulas' constants are metric, so these lines are too. */
import { migEfficiency } from '../heat/index.ts';
import type { PlanFigures, Workings } from './figures.ts';
import type { PlanInput } from './input.ts';
import { jointArea, jointRule, thicknessThatCounts } from './joints.ts';
import { positionFactor, positionName } from './positions.ts';
import {
  flowAfterS,
  flowBeforeS,
  gapFactor,
  materialFactor,
  referenceCurrentA,
  singlePassLimitMm,
} from './practice.ts';

export type Because = Readonly<Partial<Record<keyof PlanFigures, string>>>;

export function becauseLines(input: PlanInput, workings: Workings): Because {
  const { seam } = input;
  const { figures: f, wire, model, point } = workings;
  const { extensionMm } = model;
  const { pulse } = point;
  const metal = `${fixed(f.wireFeedMPerMin, 2)} m/min × ${fixed(wire.areaMm2, 3)} mm² × yield ${wire.yield}`;
  const wireRate = (f.wireFeedMPerMin * 1000 * wire.areaMm2) / 60;
  return {
    thicknessMm: thicknessThatCounts(seam.joint, seam.thicknessesMm).because,
    proposedFeedMPerMin: feedLine(input, workings),
    wireFeedMPerMin:
      feedLine(input, workings) +
      (input.wireFeedMPerMin === undefined ? '' : `; you set ${fixed(f.wireFeedMPerMin, 2)} m/min`),
    ...(pulse
      ? {
          frequencyHz: `${fixed(wireRate, 1)} mm³/s of wire in drops of ${fixed(pulse.dropFactor, 2)} wire diameters, one a pulse`,
          backgroundCurrentA: `what melts the rest of the wire between peaks of ${fixed(pulse.peakCurrentA, 0)} A × ${fixed(pulse.peakTimeMs, 2)} ms`,
        }
      : {}),
    meanCurrentA: currentLine(workings),
    rmsCurrentA: pulse
      ? 'root of the mean square over one pulse with its flanks; it heats the free wire and the machine'
      : 'taken as the mean: this mode is planned with a steady current',
    voltageV:
      input.mode === 'dip'
        ? `13.5 V + 0.036 × ${fixed(f.meanCurrentA, 0)} A${wire.co2Share > 0 ? ` + 2.5 V × ${fixed(wire.co2Share, 2)} (CO₂)` : ''}; a rule of practice, ±1.5 V`
        : `${fixed(wire.v0V, 1)} V + ${fixed(wire.eVPerMm, 3)} V/mm × ${fixed(f.arcLengthMm, 2)} mm + ` +
          `(${fixed(wire.raOhm * 1000, 0)} + ${fixed(wire.extensionOhmPerMm * extensionMm * 1000, 1)}) mΩ × ${fixed(f.meanCurrentA, 0)} A, at the contact tip`,
    machineVoltageV: `${fixed(f.voltageV, 1)} V at the tip plus leads, gun and return clamp`,
    meanPowerW: pulse
      ? `mean of volts × amps at every instant; the two displayed means multiply to ${fixed(point.productPowerW / 1000, 2)} kW, ` +
        `the truth is ${fixed(100 * (point.powerW / point.productPowerW - 1), 0)} % above that`
      : `${fixed(f.voltageV, 1)} V × ${fixed(f.meanCurrentA, 0)} A; without pulses the product is near the truth`,
    arcLengthMm: arcLine(input, workings),
    trimMm: `${fixed(f.arcLengthMm, 2)} mm less the line of ${model.arc.lineMm} mm`,
    ctwdMm:
      `${input.mode === 'dip' ? 'dip: 10 mm to 1.0 mm wire, 12 above' : '15 mm at 0.8 mm wire to 20 mm at 1.6'}: ${fixed(extensionMm, 1)} mm of wire and ` +
      `${fixed(f.arcLengthMm, 1)} mm of arc; tip ${f.tipRecessMm === 0 ? 'flush with the nozzle' : `${f.tipRecessMm} mm inside the nozzle`}`,
    gasFlowLPerMin:
      f.gasFlowLPerMin === 0
        ? 'this wire shields itself'
        : `${input.mode} on ${wire.family}: ${fixed(model.flow.range[0], 1)} to ${fixed(model.flow.range[1], 1)} L/min, more with the wire; measured at the nozzle`,
    travelMmPerMin: workings.travelFollowsSize ? `${metal} / ${fixed(f.areaMm2, 1)} mm²` : 'your own pace',
    legMm: legLine(input, workings, metal),
    areaMm2: areaLine(input, workings),
    heatInputKjPerMm: `${migEfficiency} × ${fixed(f.meanPowerW, 0)} W × 60 / ${fixed(f.travelMmPerMin, 0)} mm/min / 1000`,
    depositionKgPerH: `${metal} × ${wire.densityKgPerM3} kg/m³`,
    arcSeconds: `${fixed(seam.lengthMm, 0)} mm${f.passes > 1 ? ` × ${f.passes} passes` : ''} at ${fixed(f.travelMmPerMin, 0)} mm/min`,
    gasLitres: `${f.gasFlowLPerMin} L/min for ${fixed(f.arcSeconds, 0)} s and ${flowBeforeS} + ${flowAfterS} s before and after${f.passes > 1 ? ' each pass' : ''}`,
    wireGrams: `${fixed(f.wireFeedMPerMin, 2)} m/min for ${fixed(f.arcSeconds, 0)} s; starts, craters and cut ends come on top`,
  };
}

function currentLine({ figures, wire, model, point: { pulse } }: Workings): string {
  const glowing = `melts as much as is fed, with ${fixed(model.extensionMm, 1)} mm of wire glowing`;
  return pulse
    ? `${fixed(pulse.backgroundCurrentA, 0)} A + (${fixed(pulse.peakCurrentA, 0)} − ${fixed(pulse.backgroundCurrentA, 0)}) A × ${fixed(pulse.peakTimeMs, 2)} ms × ${fixed(pulse.frequencyHz, 0)} Hz; ${glowing}`
    : `arc ${fixed(wire.arcMeltMmPerAs, 3)} mm/(A s) × ${fixed(figures.meanCurrentA, 0)} A and the glowing wire; ${glowing}`;
}

function feedLine(input: PlanInput, { figures, targetA, reference, proposal }: Workings): string {
  const { seam } = input;
  const joint = jointRule(seam.joint);
  const thicknessMm = Math.min(figures.thicknessMm, singlePassLimitMm);
  const material = materialFactor(seam.materialGroup, input.filler, figures.thicknessMm);
  const gap = gapFactor(seam.gapMm);
  const parts = [
    `52 (${fixed(thicknessMm, 2)}/0.8)^0.70 = ${fixed(referenceCurrentA(figures.thicknessMm), 0)} A${figures.thicknessMm > singlePassLimitMm ? ` (capped at ${singlePassLimitMm} mm)` : ''}`,
    material.because,
    `${joint.name.toLowerCase()} ${joint.currentFactor.toFixed(2)}`,
    ...(gap < 1 ? [`gap ${fixed(gap, 2)}`] : []),
  ];
  const pace =
    seam.travelMmPerMin === undefined
      ? ''
      : `; at your pace of ${fixed(seam.travelMmPerMin, 0)} mm/min ${fixed(proposal.feedMPerMin, 2)} m/min`;
  return (
    `${parts.join(' × ')} → ${fixed(targetA, 0)} A, which melts ${fixed(reference.feedMPerMin, 2)} m/min; ` +
    `${positionName(seam.position, seam.joint)} × ${positionFactor(seam.position, input.mode) ?? 1}${pace}`
  );
}

function arcLine(input: PlanInput, { model: { arc } }: Workings): string {
  const line = `the line of this wire is ${arc.lineMm} mm`;
  const range = `${arc.range[0]} to ${arc.range[1]} mm`;
  switch (arc.why) {
    case 'line':
      return `${line}; moved only by ear`;
    case 'gap':
      return `a gap wants it long, so that the bead wraps: ${range}; ${line}`;
    case 'brazing':
      return `brazing keeps the arc slightly long: ${line}`;
    case 'joint': {
      const joint = jointRule(input.seam.joint);
      return `${joint.name.toLowerCase()} wants it ${joint.arcIntent}: ${range}; ${line}`;
    }
  }
}

function areaLine({ seam }: PlanInput, { figures }: Workings): string {
  const { areaMm2, because } = jointArea(seam.joint, seam.thicknessesMm, seam.gapMm, figures.legMm ?? 0);
  if (figures.passes > 1) return `${because} = ${fixed(areaMm2, 1)} mm², in ${figures.passes} passes`;
  return Math.abs(areaMm2 - figures.areaMm2) < 0.005 * areaMm2
    ? `${because} = ${fixed(areaMm2, 1)} mm²`
    : `feed over your pace; the joint asks for ${because} = ${fixed(areaMm2, 1)} mm²`;
}

function legLine({ seam }: PlanInput, { figures, travelFollowsSize }: Workings, metal: string): string {
  if (figures.legMm === null) return 'this joint has no leg';
  if (travelFollowsSize || figures.passes > 1)
    return seam.legMm === undefined ? 'the thinner plate, at least 3 mm' : 'asked for';
  const gap = seam.gapMm > 0 ? ` − gap ${fixed(seam.gapMm, 1)}` : '';
  return `√(2 × ${fixed(figures.areaMm2, 1)} mm² / 1.10)${gap}; the area is ${metal} over your pace`;
}

export function fixed(value: number, digits: number): string {
  return String(Number(value.toFixed(digits)));
}
