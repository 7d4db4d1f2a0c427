/** The sum behind every figure of a plan, in one line each. The formulas' constants are metric, so these lines are too. */
import { absent, amount, bare, inSentence, type Phrase, message, sum } from '../../base/messages/index.ts';
import { trueFlowFactor, type FillerFamily } from '../../metal/consumables/index.ts';
import { migEfficiency } from '../heat-input/index.ts';
import { dipMelting } from '../../metal/melting/index.ts';
import { gasTimesOf, type PlanFigures, type Workings } from './figures.ts';
import { figureKinds } from './figure-kinds.ts';
import type { PlanInput } from './input.ts';
import { isFluidWire, jointRule, thinnerMm, type JointRule } from './joints.ts';
import { convexity } from '../bead/index.ts';
import { dipVolts } from './mode-model.ts';
import { flowRule, slagSPerM, stickOutSum, weaveRule } from './practice.ts';
import { sizeRule } from './wishes.ts';
import { feedMmPerS, travelSeconds, thousandth } from '../../base/units/convert.ts';

export type Because = Readonly<Partial<Record<keyof PlanFigures, Phrase>>>;

/** Every line with its result, so that it adds up in either system of units. */
export function becauseLines(input: PlanInput, workings: Workings): Because {
  const { figures } = workings;
  return Object.fromEntries(
    Object.entries(linesOf(input, workings)).map(([key, line]) => {
      const figure = key as keyof PlanFigures;
      const value = figures[figure];
      return [key, sum(line, value === null ? undefined : amount(figureKinds[figure], value))];
    }),
  );
}

function linesOf(input: PlanInput, workings: Workings): Because {
  const { figures: f, wire, model, point } = workings;
  const { extensionMm } = model;
  const { pulse } = point;
  const metal = message('plan.yield', {
    wireFeed: amount('wireFeed', f.wireFeedMPerMin, 2),
    area: amount('area', wire.areaMm2, 3),
    yield: wire.yield,
  });
  const wireRate = feedMmPerS(f.wireFeedMPerMin) * wire.areaMm2;
  return {
    thicknessMm: workings.wanted.thickness.because,
    proposedFeedMPerMin: feedLine(workings),
    wireFeedMPerMin:
      input.wireFeedMPerMin === undefined
        ? feedLine(workings)
        : message('plan.you-set', {
            proposed: feedLine(workings),
            wireFeed: amount('wireFeed', f.wireFeedMPerMin, 2),
          }),
    ...(pulse
      ? {
          frequencyHz: message('plan.because.drop-frequency', {
            wireRate: amount('metalRate', wireRate, 1),
            dropFactor: amount('plain', pulse.dropFactor, 2),
            dropsPerPulse:
              pulse.dropsPerPulse > 1.35
                ? message('plan.drops.streaming', { dropsPerPulse: amount('plain', pulse.dropsPerPulse, 1) })
                : message('plan.one-a-pulse'),
          }),
          backgroundCurrentA: message('plan.because.background-current', {
            peakCurrent: amount('current', pulse.peakCurrentA, 0),
            peakTime: amount('pulseTime', pulse.peakTimeMs, 2),
          }),
        }
      : {}),
    meanCurrentA: currentLine(workings),
    rmsCurrentA: pulse
      ? message('plan.because.rms-of-pulse')
      : input.mode === 'dip'
        ? message('plan.because.rms-of-dip', { formFactor: dipMelting.formFactor })
        : message('plan.because.rms-steady'),
    voltageV:
      input.mode === 'dip'
        ? message('plan.because.dip-voltage', {
            base: amount('voltage', dipVolts.baseV, 1),
            perAmpere: dipVolts.perAmpere,
            meanCurrent: amount('current', f.meanCurrentA, 0),
            co2: wire.co2Share > 0 ? amount('plain', wire.co2Share, 2) : absent,
            co2Volts: amount('voltage', dipVolts.co2V, 1),
            helium: wire.heliumPct > 0 ? wire.heliumPct : absent,
            heliumVolts: dipVolts.perHeliumPct,
            error: amount('voltage', dipVolts.errorV, 1),
          })
        : message('plan.because.voltage', {
            v0V: amount('voltage', wire.v0V, 1),
            eVPer: amount('voltsPerLength', wire.eVPerMm, 3),
            arcLength: amount('shortLength', f.arcLengthMm, 2),
            raOhm: amount('plain', wire.raOhm * 1000, 0),
            extension: amount('plain', wire.extensionOhmPerMm * extensionMm * 1000, 1),
            meanCurrent: amount('current', f.meanCurrentA, 0),
          }),
    machineVoltageV: message('plan.machine-volts-sum', {
      voltage: amount('voltage', f.voltageV, 1),
      meanCurrent: amount('current', f.meanCurrentA, 0),
      circuit: amount('resistance', input.site.circuitMOhm),
    }),
    meanPowerW: pulse
      ? message('plan.because.true-power', {
          product: amount('kilowatts', thousandth(point.productPowerW), 2),
          above: amount('percent', 100 * (point.powerW / point.productPowerW - 1), 0),
        })
      : message('plan.because.power-without-pulses', {
          voltage: amount('voltage', f.voltageV, 1),
          meanCurrent: amount('current', f.meanCurrentA, 0),
        }),
    arcLengthMm: arcLine(input, workings),
    trimMm: message('plan.because.trim', {
      arcLength: amount('shortLength', f.arcLengthMm, 2),
      line: amount('shortLength', model.arc.lineMm),
    }),
    ctwdMm: stickOutLine(input, workings),
    gasFlowLPerMin: flowLine(input, f.gasFlowLPerMin),
    travelMmPerMin: message('plan.wished', {
      metal,
      area: amount('area', f.areaMm2, 1),
      travelBecause: workings.wanted.travelBecause,
    }),
    legMm: legLine(input, workings),
    areaMm2: areaLine(workings),
    totalAreaMm2: areaLine(workings),
    weaveMm:
      f.weaveMm > 0
        ? message('plan.weave-sum', {
            width: amount('shortLength', f.weaveWidthMm, 1),
            less: amount('shortLength', weaveRule.lessMm),
            most: amount('shortLength', weaveRule.mostMm),
          })
        : message('plan.straight'),
    slagSeconds:
      f.slagSeconds > 0
        ? message('plan.because.slag', { slagSPerM: amount('phaseTime', slagSPerM) })
        : message('plan.slag.none'),
    heatInputKjPerMm: message('plan.because.heat-input', {
      migEfficiency,
      meanPower: amount('watts', f.meanPowerW, 0),
      travel: amount('travel', f.travelMmPerMin, 0),
    }),
    depositionKgPerH: message('plan.because.deposition', { metal, density: amount('density', wire.densityKgPerM3) }),
    arcSeconds: secondsLine(input, workings),
    gasLitres: message('plan.because.gas-used', {
      gas: amount('gasFlow', f.gasFlowLPerMin * trueFlowFactor(input.gas), 1),
      arcSeconds: amount('phaseTime', f.arcSeconds, 1),
      flowBefore: bare('phaseTime', gasTimesOf(input, f.thicknessMm).preGasS),
      flowAfter: amount('phaseTime', gasTimesOf(input, f.thicknessMm).postGasS),
      passes: f.passes,
    }),
    wireGrams: wireLine(input, workings),
  };
}

function stickOutLine({ mode, diameterMm, gas }: PlanInput, { figures: f, model: { extensionMm } }: Workings): Phrase {
  const { baseMm, perMm, fromMm, heldMm, more } = stickOutSum(mode, diameterMm, gas);
  return message('plan.because.ctwd', {
    base: amount('shortLength', baseMm, 1),
    slope: perMm,
    diameter: bare('shortLength', diameterMm),
    from: amount('shortLength', fromMm),
    held: heldMm === null ? absent : amount('shortLength', heldMm),
    why: more?.why ?? 'other',
    more: amount('shortLength', more?.mm ?? 0),
    ctwd: amount('shortLength', f.ctwdMm, 1),
    extension: amount('shortLength', extensionMm, 1),
    arcLength: amount('shortLength', f.arcLengthMm, 1),
    tipRecess:
      f.tipRecessMm === 0
        ? message('plan.tip.flush')
        : message('plan.inside-the-nozzle', { tipRecess: amount('shortLength', f.tipRecessMm) }),
  });
}

function flowLine({ mode, diameterMm, gas }: PlanInput, flowLPerMin: number): Phrase {
  if (flowLPerMin === 0) return message('plan.gas.self-shielding');
  return message('plan.gas-flow-sum', {
    base: amount('gasFlow', flowRule.at08),
    slope: flowRule.perMm,
    diameter: bare('shortLength', diameterMm),
    from: bare('shortLength', flowRule.fromMm),
    more: mode === 'spray' || mode === 'cored' ? amount('gasFlow', flowRule.sprayOrCored) : absent,
    flow: amount('gasFlow', flowLPerMin, 0),
    gas: trueFlowFactor(gas) > 1 ? amount('gasFlow', flowLPerMin * trueFlowFactor(gas), 0) : absent,
  });
}

function secondsLine({ seam }: PlanInput, { figures: f, root }: Workings): Phrase {
  const length = amount('shortLength', seam.lengthMm, 0);
  const travel = amount('travel', f.travelMmPerMin, 0);
  return root
    ? message('plan.seconds-with-root', {
        length,
        root: amount('travel', root.travelMmPerMin, 0),
        fills: f.passes - 1,
        travel,
      })
    : message('plan.because.arc-time', { length, passes: f.passes, travel });
}

function wireLine({ seam }: PlanInput, { figures: f, root, wire }: Workings): Phrase {
  const metal = { area: amount('area', wire.areaMm2, 3), density: amount('density', wire.densityKgPerM3) };
  const wireFeed = amount('wireFeed', f.wireFeedMPerMin, 2);
  if (!root)
    return message('plan.because.wire-used', {
      wireFeed,
      arcSeconds: amount('phaseTime', f.arcSeconds, 1),
      ...metal,
    });
  const rootSeconds = travelSeconds(seam.lengthMm, root.travelMmPerMin);
  return message('plan.wire-with-root', {
    rootFeed: amount('wireFeed', root.wireFeedMPerMin, 2),
    rootSeconds: amount('phaseTime', rootSeconds, 1),
    wireFeed,
    fillSeconds: amount('phaseTime', f.arcSeconds - rootSeconds, 1),
    ...metal,
  });
}

function currentLine({ figures, wire, model, point: { pulse } }: Workings): Phrase {
  const glowing = message('plan.because.current', { extension: amount('shortLength', model.extensionMm, 1) });
  return pulse
    ? message('plan.because.pulse-mean', {
        backgroundCurrent: amount('current', pulse.backgroundCurrentA, 0),
        peakCurrent: amount('plain', pulse.peakCurrentA, 0),
        background: amount('plain', pulse.backgroundCurrentA, 0),
        peakTime: amount('pulseTime', pulse.peakTimeMs, 2),
        frequency: amount('frequency', pulse.frequencyHz, 0),
        glowing,
      })
    : message('plan.because.melting', {
        arcMeltMmPerAs: amount('meltRate', wire.arcMeltMmPerAs, 3),
        meanCurrent: amount('current', figures.meanCurrentA, 0),
        glowing,
      });
}

function feedLine({ figures, wanted }: Workings): Phrase {
  const { currentBecause, travelBecause } = wanted;
  return message('plan.because.feed-from-three', {
    currentBecause,
    travelBecause,
    area: amount('area', wanted.areaMm2, 1),
    proposedFeed: amount('wireFeed', figures.proposedFeedMPerMin, 2),
  });
}

function arcLine(input: PlanInput, { model: { arc } }: Workings): Phrase {
  const line = message('plan.because.synergic-line', { line: amount('shortLength', arc.lineMm) });
  const range = message('plan.range', {
    least: bare('shortLength', arc.range[0]),
    most: amount('shortLength', arc.range[1]),
  });
  switch (arc.why) {
    case 'line':
      return message('plan.because.arc-by-ear', { line });
    case 'gap':
      return message('plan.because.arc-over-gap', { range, line });
    case 'brazing':
      return message('plan.because.arc-brazing', { line });
    case 'intent':
      return message('plan.because.arc-chosen', { range, line });
    case 'joint': {
      const joint = jointRule(input.seam.joint);
      return message('plan.because.arc-usual', {
        name: inSentence(joint.name),
        arcIntent: arcIntentWords[joint.arcIntent],
        range,
        line,
      });
    }
  }
}

function areaLine({ figures, wanted }: Workings): Phrase {
  const asked = message('plan.because.area', {
    areaBecause: wanted.areaBecause,
    totalArea: amount('area', wanted.totalAreaMm2, 1),
    passes: wanted.passes,
  });
  return Math.abs(wanted.areaMm2 - figures.areaMm2) < 0.005 * wanted.areaMm2
    ? asked
    : message('plan.because.area-deposited', { asked, area: amount('area', figures.areaMm2, 1) });
}

function legLine({ seam }: PlanInput, { figures, wanted, wire }: Workings): Phrase {
  if (figures.legMm === null) return message('plan.because.no-leg');
  const wished =
    seam.legMm === undefined
      ? legWishLine(seam, wire.family, wanted.legMm ?? 0)
      : message('plan.because.leg-required', { leg: amount('shortLength', seam.legMm, 1) });
  return message('plan.leg-from-area', {
    wished,
    totalArea: amount('area', figures.totalAreaMm2, 1),
    convexity: 1 + convexity,
    gap: seam.gapMm > 0 ? amount('plain', seam.gapMm, 1) : absent,
  });
}

function legWishLine({ thicknessesMm, position }: PlanInput['seam'], family: FillerFamily, legMm: number): Phrase {
  const { legBaseMm, legExponent, fluidWire, verticalUp } = sizeRule;
  return message('plan.because.usual-leg', {
    base: legBaseMm,
    thickness: bare('shortLength', thinnerMm(thicknessesMm)),
    exponent: legExponent,
    fluid: isFluidWire(family) ? fluidWire : absent,
    up: position === 'PF' ? verticalUp : absent,
    leg: amount('shortLength', legMm, 1),
  });
}

const arcIntentWords: Readonly<Record<JointRule['arcIntent'], Phrase>> = {
  'short, into the root': message('plan.arc-short'),
  normal: message('plan.arc-normal'),
  'long, so that the bead wraps': message('plan.arc-long'),
};
