/** The sum behind every figure of a plan, in one line each. The formulas' constants are metric, so these lines are too. */
import { trueFlowFactor } from '../consumption/index.ts';
import { migEfficiency } from '../heat/index.ts';
import { dipMelting } from '../melting/index.ts';
import type { PlanFigures, Workings } from './figures.ts';
import type { PlanInput } from './input.ts';
import { jointRule } from './joints.ts';
import { flowAfterS, flowBeforeS, slagSPerM } from './practice.ts';

export type Because = Readonly<Partial<Record<keyof PlanFigures, string>>>;

export function becauseLines(input: PlanInput, workings: Workings): Because {
  const { seam } = input;
  const { figures: f, wire, model, point } = workings;
  const { extensionMm } = model;
  const { pulse } = point;
  const metal = `${fixed(f.wireFeedMPerMin, 2)} m/min × ${fixed(wire.areaMm2, 3)} mm² × yield ${wire.yield}`;
  const wireRate = (f.wireFeedMPerMin * 1000 * wire.areaMm2) / 60;
  return {
    thicknessMm: workings.wanted.thickness.because,
    proposedFeedMPerMin: feedLine(workings),
    wireFeedMPerMin:
      feedLine(workings) +
      (input.wireFeedMPerMin === undefined ? '' : `; you set ${fixed(f.wireFeedMPerMin, 2)} m/min`),
    ...(pulse
      ? {
          frequencyHz: `${fixed(wireRate, 1)} mm³/s of wire in drops of ${fixed(pulse.dropFactor, 2)} wire diameters, ${pulse.dropsPerPulse > 1.35 ? `${fixed(pulse.dropsPerPulse, 1)} a pulse: it streams` : 'one a pulse'}`,
          backgroundCurrentA: `what melts the rest of the wire between peaks of ${fixed(pulse.peakCurrentA, 0)} A × ${fixed(pulse.peakTimeMs, 2)} ms`,
        }
      : {}),
    meanCurrentA: currentLine(workings),
    rmsCurrentA: pulse
      ? 'root of the mean square over one pulse with its flanks; it heats the free wire and the machine'
      : input.mode === 'dip'
        ? `${dipMelting.formFactor} × the mean: every short surges`
        : 'taken as the mean: this mode is planned with a steady current',
    voltageV:
      input.mode === 'dip'
        ? `13.5 V + 0.036 × ${fixed(f.meanCurrentA, 0)} A${wire.co2Share > 0 ? ` + 2.5 V × ${fixed(wire.co2Share, 2)} (CO₂)` : ''}${wire.heliumPct > 0 ? ` + 0.03 V × ${wire.heliumPct} % helium` : ''}; a rule of practice, ±1.5 V`
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
      `${input.mode === 'dip' ? 'dip: 10 mm at 0.8 mm wire, 1 more per 0.1 mm' : 'rises with the wire, held at 16 or 17 mm'}${input.mode === 'spray' || input.mode === 'cored' ? ', 2 more here' : ''}: ${fixed(extensionMm, 1)} mm of wire and ` +
      `${fixed(f.arcLengthMm, 1)} mm of arc; tip ${f.tipRecessMm === 0 ? 'flush with the nozzle' : `${f.tipRecessMm} mm inside the nozzle`}`,
    gasFlowLPerMin:
      f.gasFlowLPerMin === 0
        ? 'this wire shields itself'
        : `12 L/min at 0.8 mm wire and 10 more per mm${input.mode === 'spray' || input.mode === 'cored' ? ', 1 more here' : ''}; as an argon gauge reads it` +
          (trueFlowFactor(input.gas) > 1
            ? `, the lighter gas really runs ${fixed(f.gasFlowLPerMin * trueFlowFactor(input.gas), 0)} L/min`
            : ''),
    travelMmPerMin: `${metal} / ${fixed(f.areaMm2, 1)} mm²; wished ${workings.wanted.travelBecause}`,
    legMm: legLine(input, workings),
    areaMm2: areaLine(workings),
    totalAreaMm2: areaLine(workings),
    weaveMm:
      f.weaveMm > 0 ? 'going up the hand holds the pool on a shelf: the width less 2 mm, at most 12' : 'straight',
    slagSeconds: f.slagSeconds > 0 ? `${slagSPerM} s for each metre of each pass, assumed` : 'this wire makes no slag',
    heatInputKjPerMm: `${migEfficiency} × ${fixed(f.meanPowerW, 0)} W × 60 / ${fixed(f.travelMmPerMin, 0)} mm/min / 1000`,
    depositionKgPerH: `${metal} × ${wire.densityKgPerM3} kg/m³`,
    arcSeconds: `${fixed(seam.lengthMm, 0)} mm${f.passes > 1 ? ` × ${f.passes} passes` : ''} at ${fixed(f.travelMmPerMin, 0)} mm/min`,
    gasLitres: `${fixed(f.gasFlowLPerMin * trueFlowFactor(input.gas), 1)} L/min for ${fixed(f.arcSeconds, 0)} s and ${flowBeforeS} + ${flowAfterS} s before and after${f.passes > 1 ? ' each pass' : ''}`,
    wireGrams: `${fixed(f.wireFeedMPerMin, 2)} m/min for ${fixed(f.arcSeconds, 0)} s; starts, craters and cut ends come on top`,
  };
}

function currentLine({ figures, wire, model, point: { pulse } }: Workings): string {
  const glowing = `melts as much as is fed, with ${fixed(model.extensionMm, 1)} mm of wire glowing`;
  return pulse
    ? `${fixed(pulse.backgroundCurrentA, 0)} A + (${fixed(pulse.peakCurrentA, 0)} − ${fixed(pulse.backgroundCurrentA, 0)}) A × ${fixed(pulse.peakTimeMs, 2)} ms × ${fixed(pulse.frequencyHz, 0)} Hz; ${glowing}`
    : `arc ${fixed(wire.arcMeltMmPerAs, 3)} mm/(A s) × ${fixed(figures.meanCurrentA, 0)} A and the glowing wire; ${glowing}`;
}

function feedLine({ figures, wanted }: Workings): string {
  const { currentBecause, travelBecause } = wanted;
  return (
    `current wished: ${currentBecause}; pace wished: ${travelBecause}; size wished: ${fixed(wanted.areaMm2, 1)} mm². ` +
    `${fixed(figures.proposedFeedMPerMin, 2)} m/min bends the three least`
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
    case 'intent':
      return `you asked for an arc of ${range}; ${line}`;
    case 'joint': {
      const joint = jointRule(input.seam.joint);
      return `${joint.name.toLowerCase()} wants it ${joint.arcIntent}: ${range}; ${line}`;
    }
  }
}

function areaLine({ figures, wanted }: Workings): string {
  const asked = `${wanted.areaBecause} = ${fixed(wanted.totalAreaMm2, 1)} mm²${wanted.passes > 1 ? `, in ${wanted.passes} passes` : ''}`;
  return Math.abs(wanted.areaMm2 - figures.areaMm2) < 0.005 * wanted.areaMm2
    ? asked
    : `${asked}; ${fixed(figures.areaMm2, 1)} mm² is what feed and pace lay`;
}

function legLine({ seam }: PlanInput, { figures, wanted }: Workings): string {
  if (figures.legMm === null) return 'this joint has no leg';
  const wished =
    seam.legMm === undefined
      ? `2.35 × t^0.48 of the thinner part wishes ${fixed(wanted.legMm ?? 0, 1)} mm`
      : `${fixed(seam.legMm, 1)} mm asked for`;
  const gap = seam.gapMm > 0 ? ` − gap ${fixed(seam.gapMm, 1)}` : '';
  return `${wished}; √(2 × ${fixed(figures.totalAreaMm2, 1)} mm² / 1.10)${gap}`;
}

export function fixed(value: number, digits: number): string {
  return String(Number(value.toFixed(digits)));
}
