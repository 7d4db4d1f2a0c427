/**
 * The content of a welding procedure sheet: joint, consumables, setting and technique, with the range of every variable that a window was tested for.
 * Content: as in ISO 15609-1; processes by ISO 4063. It describes a setting; it qualifies nothing.
 */
import { fillerOf, gasName, materialOf, parseGas, wireSizeLabel, type Filler } from '../../metal/consumables/index.ts';
import { arcOf } from '../../machine/dials/index.ts';
import { type Program } from '../../setting/program/index.ts';
import {
  gunWords,
  isGroove,
  jointRule,
  modeName,
  positionName,
  preparationKinds,
  type Plan,
  type Seam,
  coldPlateC,
} from '../../setting/plan/index.ts';
import { amount, bare, hazard, joined, type Phrase, type Said, message } from '../../base/messages/index.ts';
import { neededSetup } from '../../machine/setup/index.ts';
import type { QuantityName } from '../../base/units/index.ts';
import { usualSpread, type Range, type Window } from '../window/index.ts';

export interface ProcedureRow {
  readonly label: Said;
  readonly value: Phrase;
  /** Null: as stated, without a range. */
  readonly range: Phrase | null;
  /** A change of it beyond its range makes another procedure. */
  readonly isEssential: boolean;
}

export interface ProcedureSection {
  readonly title: Said;
  readonly rows: readonly ProcedureRow[];
}

export interface ProcedureInput {
  readonly seam: Seam;
  readonly program: Program;
  readonly plan: Plan;
  /** Of this program on this machine; undefined: the setting stands as a point. */
  readonly window?: Window | undefined;
}

/** Number of the process by ISO 4063. Brazing wires do not melt the base metal: their number is that of arc brazing with a gas-shielded wire. */
export function processNumber({ code, family, construction, shielding }: Filler, gas: string): string {
  if (family === 'copper-silicon') return '973';
  if (shielding === 'self') return '114';
  const mixed = parseGas(gas);
  const isActive = mixed.ok && mixed.value.co2Pct + mixed.value.o2Pct > 0;
  if (construction === 'cored') return code === 'steel-metal-cored' ? '138' : isActive ? '136' : '132';
  return isActive ? '135' : '131';
}

export function procedureSheet(input: ProcedureInput): ProcedureSection[] {
  return [jointPart(input), consumablesPart(input), settingPart(input), techniquePart(input)];
}

const row = (label: Said, value: Phrase | null, range: Phrase | null = null, isEssential = true): ProcedureRow[] =>
  value === null ? [] : [{ label, value, range, isEssential }];
const one = (kind: QuantityName, value: number, digits?: number): Said => joined([amount(kind, value, digits)]);
const between = (kind: QuantityName, [from, to]: Range, digits?: number): Said =>
  message('procedure.range-line', { from: bare(kind, from, digits), to: amount(kind, to, digits) });

function jointPart({ seam, program, plan }: ProcedureInput): ProcedureSection {
  const filler = fillerOf(program.filler);
  const { isFillet } = jointRule(seam.joint);
  const { preparation } = seam;
  return {
    title: message('procedure.joint-and-preparation'),
    rows: [
      ...row(
        message('procedure.process'),
        message('procedure.process-line', { number: processNumber(filler, program.gas), mode: modeName(program.mode) }),
      ),
      ...row(
        message('procedure.joint'),
        message('procedure.joint-line', {
          joint: jointRule(seam.joint).name,
          weld: isFillet ? message('procedure.fillet-weld') : message('procedure.butt-weld'),
        }),
      ),
      ...row(message('procedure.position'), positionName(seam.position, seam.joint)),
      ...row(message('procedure.metal'), materialOf(seam.materialGroup).name),
      ...row(
        message('procedure.thickness'),
        joined(
          seam.thicknessesMm.map((mm) => amount('thickness', mm)),
          ' + ',
        ),
      ),
      ...row(
        message('procedure.preparation'),
        preparation && isGroove(preparation)
          ? message('procedure.preparation-line', {
              kind: preparationKinds.find(({ kind }) => kind === preparation.kind)?.name ?? preparation.kind,
              angle: amount('angle', preparation.angleDeg ?? 0, 0),
            })
          : isFillet
            ? null
            : message('plan.square'),
      ),
      ...row(message('procedure.gap'), one('thickness', seam.gapMm)),
      ...row(message('procedure.leg'), isFillet && plan.legMm !== null ? one('shortLength', plan.legMm, 1) : null),
      ...row(message('procedure.passes'), String(plan.passes)),
    ],
  };
}

function consumablesPart({ program }: ProcedureInput): ProcedureSection {
  const filler = fillerOf(program.filler);
  return {
    title: message('procedure.filler-and-shielding'),
    rows: [
      ...row(message('procedure.filler'), joined([filler.name, filler.classes], ', ')),
      ...row(message('procedure.wire-size'), wireSizeLabel(program.diameterMm)),
      ...row(
        message('procedure.gas'),
        program.gas === 'none'
          ? gasName(program.gas)
          : message('procedure.gas-line', { name: gasName(program.gas), code: program.gas }),
      ),
      ...row(
        message('procedure.gas-flow'),
        program.gas === 'none' ? null : one('gasFlow', program.gasFlowLPerMin, 0),
        null,
        false,
      ),
    ],
  };
}

function settingPart({ program, plan, window }: ProcedureInput): ProcedureSection {
  const ends = window && endsOf(program, plan, window);
  const pulse = plan.pulse;
  return {
    title: message('procedure.setting'),
    rows: [
      ...row(
        message('procedure.feed'),
        one('wireFeed', program.wireFeedMPerMin, 1),
        window?.wireFeedMPerMin ? between('wireFeed', window.wireFeedMPerMin, 2) : null,
      ),
      ...row(
        message('procedure.arc-from-line'),
        one('shortLength', program.trimMm, 1),
        window?.trimMm ? between('shortLength', window.trimMm, 1) : null,
      ),
      ...row(
        message('procedure.current'),
        one('current', plan.meanCurrentA, 0),
        ends ? between('current', ends.currentA, 0) : null,
      ),
      ...row(
        message('procedure.voltage'),
        one('voltage', plan.voltageV, 1),
        ends ? between('voltage', ends.voltageV, 1) : null,
      ),
      ...row(
        message('procedure.polarity'),
        neededSetup(program).polarity === 'electrode-negative'
          ? message('setup.wire-on-minus')
          : message('setup.wire-on-plus'),
      ),
      ...row(
        message('procedure.pulse'),
        pulse &&
          message('procedure.pulse-line', {
            frequency: amount('frequency', pulse.frequencyHz, 0),
            peak: amount('current', pulse.peakCurrentA, 0),
            peakTime: amount('pulseTime', pulse.peakTimeMs, 1),
            base: amount('current', pulse.backgroundCurrentA, 0),
          }),
        null,
        false,
      ),
      ...row(
        message('procedure.travel'),
        one('travel', program.travelMmPerMin, 0),
        ends ? between('travel', ends.travelMmPerMin, 0) : null,
      ),
      ...row(
        message('procedure.heat-input'),
        one('heatInput', plan.heatInputKjPerMm, 2),
        ends ? between('heatInput', ends.heatInputKjPerMm, 2) : null,
      ),
    ],
  };
}

function techniquePart({ seam, program, window }: ProcedureInput): ProcedureSection {
  const [short, long] = usualSpread.ctwdMm;
  const needed = neededSetup(program);
  return {
    title: message('procedure.technique-and-heat'),
    rows: [
      ...row(
        message('procedure.ctwd'),
        one('shortLength', program.ctwdMm, 1),
        window ? between('shortLength', [program.ctwdMm + short, program.ctwdMm + long], 0) : null,
        false,
      ),
      ...row(
        message('procedure.tip'),
        message('procedure.tip-line', {
          tip: wireSizeLabel(needed.tipMm),
          recess: amount('shortLength', needed.recessMm, 0),
        }),
        null,
        false,
      ),
      ...row(message('procedure.gun'), program.gun ? gunWords(program.gun) : null, null, false),
      ...row(message('procedure.bead'), message('procedure.stringer'), null, false),
      ...row(
        message('procedure.surface'),
        seam.materialGroup === 'aluminium'
          ? message('procedure.degreased-and-brushed')
          : seam.materialGroup === 'galvanised'
            ? hazard('procedure.coating')
            : message('procedure.clean-dry-bright'),
      ),
      ...row(
        message('procedure.plate-at-start'),
        one('temperature', seam.plateC ?? coldPlateC, 0),
        message('procedure.not-below'),
      ),
    ],
  };
}

/**
 * What current, volts, travel and heat make of the window's ends: current and volts on the wire's line, travel by the pace it was tested over,
 * heat as power by travel, highest where the feed is highest and the hand slowest.
 */
function endsOf(program: Program, plan: Plan, window: Window) {
  const feeds = window.wireFeedMPerMin ?? [program.wireFeedMPerMin, program.wireFeedMPerMin];
  const trims = window.trimMm ?? [program.trimMm, program.trimMm];
  const [fast, slow] = [1 + usualSpread.pace[1], 1 + usualSpread.pace[0]];
  const at = (feed: number, trimMm: number) => {
    const arc = arcOf(program, program.ctwdMm, trimMm);
    return { currentA: arc.currentAt(feed) ?? plan.meanCurrentA, voltageV: arc.lineVoltsAt(feed) ?? plan.voltageV };
  };
  const here = at(program.wireFeedMPerMin, program.trimMm);
  // The line gives ratios; the plan's own figures stay where they are.
  const corners = feeds.flatMap((feed) => trims.map((trim) => at(feed, trim)));
  const spread = (values: readonly number[]): Range => [Math.min(...values), Math.max(...values)];
  const currents = corners.map(({ currentA }) => (plan.meanCurrentA * currentA) / here.currentA);
  const volts = corners.map(({ voltageV }) => (plan.voltageV * voltageV) / here.voltageV);
  const [least, most] = spread(
    corners.map(({ currentA, voltageV }) => (currentA * voltageV) / (here.currentA * here.voltageV)),
  );
  return {
    currentA: spread(currents),
    voltageV: spread(volts),
    travelMmPerMin: [program.travelMmPerMin * slow, program.travelMmPerMin * fast] as Range,
    heatInputKjPerMm: [(plan.heatInputKjPerMm * least) / fast, (plan.heatInputKjPerMm * most) / slow] as Range,
  };
}
