/**
 * Which way a dial really runs: both readings while nobody has tried, short tests that find out, and what their result changes.
 * Every test is made on scrap with helmet and gloves, or with nothing that feeds or burns; none asks for a look into a nozzle.
 */
import { amount, bare, hazard, type Phrase, say } from '../../said/index.ts';
import { success, failure, type Outcome } from '../../outcome/index.ts';
import type { Dial, DirectionEvidence, Machine, TriggerMode } from '../description/machine.ts';
import type { Program } from '../program.ts';
import { quantityFacts, quantityText, type DialQuantity } from '../description/quantities.ts';
import { isNumeric, mirrored, quantityAt, quantityOf } from '../description/scales.ts';

export interface BothReadings {
  /** What the same value would give if the dial ran the other way. */
  readonly otherQuantity: number;
  readonly consequence: Phrase;
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
): Phrase {
  const plain = say('machine.nobody-has-tried-which-way', {
    dial: dial.label,
    reached: quantityText(quantity, reached),
    value: quantityText(quantity, other),
  });
  if (quantity !== 'beatHighSharePercent' || !slowBeat) return say('machine.test-it-before-you-trust', { plain });
  const { highFeedMPerMin: high, lowFeedMPerMin: low } = slowBeat;
  const mean = (share: number) => (share * high + (100 - share) * low) / 100;
  return say('machine.a-mean-feed-of-or', {
    plain,
    reached: bare('wireFeed', mean(reached), 1),
    value: amount('wireFeed', mean(other), 1),
  });
}

export interface DirectionTest {
  readonly title: Phrase;
  readonly minutes: number;
  readonly safety: Phrase;
  readonly steps: readonly Phrase[];
  readonly question: Phrase;
  /** What was seen when the dial runs as described, when it runs the other way, and when it cannot be told. */
  readonly answers: { readonly asDescribed: Phrase; readonly reversed: Phrase; readonly unclear: Phrase };
}

const onScrap = hazard('machine.on-scrap-of-the-same');
const withoutFeed = hazard('machine.pressure-arm-lifted-so-that');

/** The test for a dial; undefined for dials whose sense a label settles. */
export function directionTestFor(dial: Dial): DirectionTest | undefined {
  if (!isNumeric(dial.scale) || !mirrored(dial.scale)) return undefined;
  const quantity = quantityOf(dial.scale);
  // What is said of turning up follows from how the dial is described now.
  const up =
    dial.scale.kind === 'linear'
      ? dial.scale.quantityPerUnit > 0
      : dial.scale.kind === 'line-offset' && dial.scale.voltsPerUnit > 0;
  const pair = (more: Phrase, less: Phrase) => ({
    asDescribed: up ? more : less,
    reversed: up ? less : more,
    unclear: say('machine.no-difference-or-not-sure'),
  });
  const { label } = dial;
  switch (quantity) {
    case 'stiffness':
      return {
        title: say('machine.three-beads-for', { label }),
        minutes: 2,
        safety: onScrap,
        steps: [
          say('machine.set-to-its-middle-and', { label, short60: amount('shortLength', 60) }),
          say('machine.set-to-its-upper-end', { label }),
          say('machine.set-to-its-lower-end', { label }),
        ],
        question: say('machine.against-the-middle-one-the', { label }),
        answers: pair(say('machine.narrower-crisper-more-spatter'), say('machine.wider-softer-wetter-less-spatter')),
      };
    case 'trimMm':
      return {
        title: say('machine.three-beads-for', { label }),
        minutes: 2,
        safety: onScrap,
        steps: [
          say('machine.run-with-at-its-neutral', { short60: amount('shortLength', 60), label }),
          say('machine.a-quarter-of-its-travel'),
          say('machine.a-quarter-down-listen-for'),
        ],
        question: say('machine.turned-up-the-arc'),
        answers: pair(say('machine.grows-longer-wider-flatter-quieter'), say('machine.grows-shorter-it-begins-to')),
      };
    case 'beatHighSharePercent':
      return {
        title: say('machine.a-slow-bead-for', { label }),
        minutes: 2,
        safety: onScrap,
        steps: [
          say('machine.set-the-slow-rate-to'),
          say('machine.set-to-80-run-at', { label, short100: amount('shortLength', 100) }),
          say('machine.look-at-the-ripples-long'),
        ],
        question: say('machine.with-at-80-most-of', { label }),
        answers: pair(say('machine.wide-and-hot-the-share'), say('machine.narrow-and-cold-the-share')),
      };
    case 'runInFeedMPerMin':
      return {
        title: say('machine.short-beads-for', { label }),
        minutes: 2,
        safety: onScrap,
        steps: [
          say('machine.set-to-its-upper-end-2', { label, short10: amount('shortLength', 10) }),
          say('machine.set-it-to-its-lower'),
        ],
        question: say('machine.with-the-upper-end-the'),
        answers: pair(say('machine.faster-it-pushes-and-stutters'), say('machine.slower-the-arc-lights-softly')),
      };
    case 'burnBackMs':
      return {
        title: say('machine.two-stops-for', { label }),
        minutes: 2,
        safety: hazard('machine.power-off-before-you-bring', { onScrap }),
        steps: [
          say('machine.set-near-its-upper-end', { label, short20: amount('shortLength', 20) }),
          say('machine.the-same-near-its-lower'),
        ],
        question: say('machine.with-the-upper-end-the-2'),
        answers: pair('shorter', 'longer'),
      };
    default:
      return {
        title: say('machine.two-settings-of', { label }),
        minutes: 2,
        safety: onScrap,
        steps: [say('machine.run-with-low-then-with', { short60: amount('shortLength', 60), label })],
        question: say('machine.turned-up-the-is', { quantity: quantityFacts(quantity).name }),
        answers: pair(quantityFacts(quantity).more, quantityFacts(quantity).less),
      };
  }
}

/** The plain latching mode under test: what a machine does on each press, found without feeding or burning anything. */
export function triggerTestFor(mode: TriggerMode): DirectionTest {
  return {
    title: say('machine.what-does', { mode: mode.label }),
    minutes: 2,
    safety: withoutFeed,
    steps: [
      say('machine.press-and-hold-for-two'),
      say('machine.release-does-the-drive-go'),
      say('machine.press-and-hold-again-for'),
      say('machine.release-what-stops-drive-or'),
    ],
    question: say('machine.press-by-press-it'),
    answers: {
      asDescribed: say('machine.does-what-the-drawing-shows'),
      reversed: say('machine.does-something-else-correct-the'),
      unclear: say('machine.cannot-tell'),
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
      message: say('machine.has-no-dial-2', { machine: machine.name, dialId }),
      got: dialId,
    });
  }
  const turned = mirrored(dial.scale);
  if (!turned) {
    return failure({
      path: 'dialId',
      code: 'nothing-to-turn',
      message: say('machine.has-no-sense-that-could', { dial: dial.label }),
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
