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
  const plain = say('machine.caution.direction-unknown', {
    dial: dial.label,
    reached: quantityText(quantity, reached),
    value: quantityText(quantity, other),
  });
  if (quantity !== 'beatHighSharePercent' || !slowBeat) return say('machine.caution.test-direction', { plain });
  const { highFeedMPerMin: high, lowFeedMPerMin: low } = slowBeat;
  const mean = (share: number) => (share * high + (100 - share) * low) / 100;
  return say('machine.caution.test-direction-mean-feed', {
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

const onScrap = hazard('machine.test.before-welding');
const withoutFeed = hazard('machine.test.before-feeding');

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
    unclear: say('machine.test.no-difference'),
  });
  const { label } = dial;
  switch (quantity) {
    case 'stiffness':
      return {
        title: say('machine.test.stiffness.title', { label }),
        minutes: 2,
        safety: onScrap,
        steps: [
          say('machine.test.stiffness.middle', { label, length: amount('shortLength', 60) }),
          say('machine.test.stiffness.upper-end', { label }),
          say('machine.test.stiffness.lower-end', { label }),
        ],
        question: say('machine.test.stiffness.question', { label }),
        answers: pair(say('machine.test.stiffness.narrower'), say('machine.test.stiffness.wider')),
      };
    case 'trimMm':
      return {
        title: say('machine.test.stiffness.title', { label }),
        minutes: 2,
        safety: onScrap,
        steps: [
          say('machine.test.trim.neutral', { length: amount('shortLength', 60), label }),
          say('machine.test.trim.quarter-up'),
          say('machine.test.trim.quarter-down'),
        ],
        question: say('machine.test.trim.question'),
        answers: pair(say('machine.test.trim.longer'), say('machine.test.trim.shorter')),
      };
    case 'beatHighSharePercent':
      return {
        title: say('machine.test.share.title', { label }),
        minutes: 2,
        safety: onScrap,
        steps: [
          say('machine.test.share.levels-far-apart'),
          say('machine.test.share.weld', { label, length: amount('shortLength', 100) }),
          say('machine.test.share.look'),
        ],
        question: say('machine.test.share.question', { label }),
        answers: pair(say('machine.test.share.is-high'), say('machine.test.share.is-low')),
      };
    case 'runInFeedMPerMin':
      return {
        title: say('machine.test.run-in.title', { label }),
        minutes: 2,
        safety: onScrap,
        steps: [
          say('machine.test.run-in.upper-end', { label, length: amount('shortLength', 10) }),
          say('machine.test.run-in.lower-end'),
        ],
        question: say('machine.test.run-in.question'),
        answers: pair(say('machine.test.run-in.faster'), say('machine.test.run-in.slower')),
      };
    case 'burnBackMs':
      return {
        title: say('machine.test.burn-back.title', { label }),
        minutes: 2,
        safety: hazard('machine.test.burn-back.power-off', { onScrap }),
        steps: [
          say('machine.test.burn-back.upper-end', { label, length: amount('shortLength', 20) }),
          say('machine.test.burn-back.lower-end'),
        ],
        question: say('machine.test.burn-back.question'),
        answers: pair('shorter', 'longer'),
      };
    default:
      return {
        title: say('machine.test.other.title', { label }),
        minutes: 2,
        safety: onScrap,
        steps: [say('machine.test.other.weld', { length: amount('shortLength', 60), label })],
        question: say('machine.test.other.question', { quantity: quantityFacts(quantity).name }),
        answers: pair(quantityFacts(quantity).more, quantityFacts(quantity).less),
      };
  }
}

/** The plain latching mode under test: what a machine does on each press, found without feeding or burning anything. */
export function triggerTestFor(mode: TriggerMode): DirectionTest {
  return {
    title: say('machine.test.trigger.title', { mode: mode.label }),
    minutes: 2,
    safety: withoutFeed,
    steps: [
      say('machine.test.trigger.hold'),
      say('machine.test.trigger.release'),
      say('machine.test.trigger.hold-again'),
      say('machine.test.trigger.release-again'),
    ],
    question: say('machine.test.trigger.question'),
    answers: {
      asDescribed: say('machine.test.trigger.as-drawn'),
      reversed: say('machine.test.trigger.different'),
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
      message: say('machine.error.no-dial', { machine: machine.name, dialId }),
      got: dialId,
    });
  }
  const turned = mirrored(dial.scale);
  if (!turned) {
    return failure({
      path: 'dialId',
      code: 'nothing-to-turn',
      message: say('machine.error.no-direction', { dial: dial.label }),
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
