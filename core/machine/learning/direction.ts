/**
 * Which way a dial really runs: both readings while nobody has tried, short tests that find out, and what their result changes.
 * Every test is made on scrap with helmet and gloves, or with nothing that feeds or burns; none asks for a look into a nozzle.
 */
import { success, failure, type Outcome } from '../../outcome/index.ts';
import type { Dial, DirectionEvidence, Machine, TriggerMode } from '../description/machine.ts';
import type { Program } from '../program.ts';
import { quantityFacts, quantityText, type DialQuantity } from '../description/quantities.ts';
import { isNumeric, mirrored, quantityAt, quantityOf } from '../description/scales.ts';

export interface BothReadings {
  /** What the same value would give if the dial ran the other way. */
  readonly otherQuantity: number;
  readonly consequence: string;
}

/** The other reading of a dial value; undefined where a scale has no sense to turn. */
export function bothReadings(dial: Dial, value: number, reached: number, program: Program): BothReadings | undefined {
  const turned = mirrored(dial.scale);
  if (!turned) return undefined;
  const quantity = quantityOf(turned);
  const other = quantityAt(turned, value, { fieldVPerMm: 1, reached: () => undefined });
  if (other === undefined) return undefined;
  // Volts against the line turn round as a whole, whatever a volt is in millimetres.
  const otherQuantity = turned.kind === 'line-offset' ? -reached : other;
  if (Math.abs(otherQuantity - reached) < quantityFacts(quantity).noticed) return undefined;
  return { otherQuantity, consequence: consequenceOf(dial, quantity, reached, otherQuantity, program) };
}

function consequenceOf(
  dial: Dial,
  quantity: DialQuantity,
  reached: number,
  other: number,
  { slowBeat }: Program,
): string {
  const plain = `Nobody has tried which way ${dial.label} runs: this sets ${quantityText(quantity, reached)}, or ${quantityText(quantity, other)} if it runs the other way`;
  if (quantity !== 'beatHighSharePercent' || !slowBeat) return `${plain}. Test it before you trust it.`;
  const { highFeedMPerMin: high, lowFeedMPerMin: low } = slowBeat;
  const mean = (share: number) => ((share * high + (100 - share) * low) / 100).toFixed(1);
  return `${plain}: a mean feed of ${mean(reached)} or ${mean(other)} m/min. Test it before you trust it.`;
}

export interface DirectionTest {
  readonly title: string;
  readonly minutes: number;
  readonly safety: string;
  readonly steps: readonly string[];
  readonly question: string;
  /** What was seen when the dial runs as described, when it runs the other way, and when it cannot be told. */
  readonly answers: { readonly asDescribed: string; readonly reversed: string; readonly unclear: string };
}

const onScrap =
  'On scrap of the same metal: helmet, gloves, ears and skin covered, extraction on, others behind the screen. Never look into the nozzle.';
const withoutFeed =
  'Pressure arm lifted so that no wire feeds, wire end clear of metal, gun aimed at the bench and away from people, gas may flow. Wire can still be live: gloves on.';

/** The test for a dial; undefined for dials whose sense a label settles. */
export function directionTestFor(dial: Dial): DirectionTest | undefined {
  if (!isNumeric(dial.scale) || !mirrored(dial.scale)) return undefined;
  const quantity = quantityOf(dial.scale);
  // What is said of turning up follows from how the dial is described now.
  const up =
    dial.scale.kind === 'linear'
      ? dial.scale.quantityPerUnit > 0
      : dial.scale.kind === 'line-offset' && dial.scale.voltsPerUnit > 0;
  const pair = (more: string, less: string) => ({
    asDescribed: up ? more : less,
    reversed: up ? less : more,
    unclear: 'No difference, or not sure',
  });
  const { label } = dial;
  switch (quantity) {
    case 'stiffness':
      return {
        title: `Three beads for ${label}`,
        minutes: 2,
        safety: onScrap,
        steps: [
          `Set ${label} to its middle and run a bead of 60 mm in dip or short pulse.`,
          `Set ${label} to its upper end, nothing else, and run a second bead beside it.`,
          `Set ${label} to its lower end and run a third. Let all three cool, then look.`,
        ],
        question: `Against the middle one, the bead of the upper end of ${label} is …`,
        answers: pair('narrower, crisper, more spatter', 'wider, softer, wetter, less spatter'),
      };
    case 'trimMm':
      return {
        title: `Three beads for ${label}`,
        minutes: 2,
        safety: onScrap,
        steps: [
          `Run 60 mm with ${label} at its neutral point.`,
          `A quarter of its travel up, same gun, same pace.`,
          `A quarter down. Listen for the first crackle.`,
        ],
        question: `Turned up, the arc …`,
        answers: pair('grows longer: wider, flatter, quieter bead', 'grows shorter: it begins to crackle'),
      };
    case 'beatHighSharePercent':
      return {
        title: `A slow bead for ${label}`,
        minutes: 2,
        safety: onScrap,
        steps: [
          'Set the slow rate to 0.5 Hz and the two levels far apart.',
          `Set ${label} to 80, run 100 mm at an even pace. Let it cool.`,
          'Look at the ripples: long hot stretches, or long cold ones?',
        ],
        question: `With ${label} at 80, most of each ripple is …`,
        answers: pair('wide and hot: the share is time at high', 'narrow and cold: the share is time at low'),
      };
    case 'runInFeedMPerMin':
      return {
        title: `Short beads for ${label}`,
        minutes: 2,
        safety: onScrap,
        steps: [
          `Set ${label} to its upper end, make three starts of 10 mm.`,
          `Set it to its lower end, make three more. Only the jog, which carries no current, may be watched.`,
        ],
        question: 'With the upper end the wire comes …',
        answers: pair('faster: it pushes and stutters', 'slower: the arc lights softly'),
      };
    case 'burnBackMs':
      return {
        title: `Two stops for ${label}`,
        minutes: 2,
        safety: `${onScrap} Power off before you bring a rule to the tip.`,
        steps: [
          `Set ${label} near its upper end, weld 20 mm, stop, switch off, measure the wire from the contact tip.`,
          'The same near its lower end.',
        ],
        question: 'With the upper end the wire left is …',
        answers: pair('shorter', 'longer'),
      };
    default:
      return {
        title: `Two settings of ${label}`,
        minutes: 2,
        safety: onScrap,
        steps: [`Run 60 mm with ${label} low, then 60 mm with it high, nothing else changed.`],
        question: `Turned up, the ${quantityFacts(quantity).name} is …`,
        answers: pair(quantityFacts(quantity).more, quantityFacts(quantity).less),
      };
  }
}

/** The plain latching mode under test: what a machine does on each press, found without feeding or burning anything. */
export function triggerTestFor(mode: TriggerMode): DirectionTest {
  return {
    title: `What ${mode.label} does`,
    minutes: 2,
    safety: withoutFeed,
    steps: [
      'Press and hold for two seconds; listen for the gas valve and the drive.',
      'Release. Does the drive go on?',
      'Press and hold again for two seconds. Does the drive slow down or go on as before?',
      'Release. What stops: drive, or drive and gas?',
    ],
    question: 'Press by press it …',
    answers: {
      asDescribed: 'does what the drawing shows',
      reversed: 'does something else: correct the drawing',
      unclear: 'Cannot tell',
    },
  };
}

/** The machine with a test's result written to the dial: turned round where the test says so. Issues: `unknown-dial`, `nothing-to-turn`. */
export function withDirection(machine: Machine, dialId: string, evidence: DirectionEvidence): Outcome<Machine> {
  const dial = machine.dials.find((one) => one.id === dialId);
  if (!dial) {
    return failure({
      path: 'dialId',
      code: 'unknown-dial',
      message: `${machine.name} has no dial "${dialId}".`,
      got: dialId,
    });
  }
  const turned = mirrored(dial.scale);
  if (!turned) {
    return failure({
      path: 'dialId',
      code: 'nothing-to-turn',
      message: `${dial.label} has no sense that could be reversed.`,
      got: dialId,
    });
  }
  const tested: Dial = {
    ...dial,
    scale: evidence.result === 'reversed' ? turned : dial.scale,
    senseTested: true,
    evidence: [...(dial.evidence ?? []), evidence],
  };
  return success({ ...machine, dials: machine.dials.map((one) => (one.id === dialId ? tested : one)) });
}
