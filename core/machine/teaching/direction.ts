/**
 * Which way a dial really runs: both readings while nobody has tried, short tests that find out, and what their result changes.
 * Every test is made on scrap with helmet and gloves, or with nothing that feeds or burns; none asks for a look into a nozzle.
 */
import { amount, bare, hazard, type Phrase, message } from '../../base/messages/index.ts';
import { success, failure, type Outcome } from '../../base/outcome/index.ts';
import type { Dial, DirectionEvidence, Machine, TriggerMode } from '../description/machine.ts';
import type { Program } from '../../setting/program/program.ts';
import { quantityFacts, type DialQuantity } from '../description/quantities.ts';
import { quantityText } from '../description/quantity-words.ts';
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
  const plain = message('machine.caution.direction-unknown', {
    dial: dial.label,
    reached: quantityText(quantity, reached),
    value: quantityText(quantity, other),
  });
  if (quantity !== 'beatHighSharePercent' || !slowBeat) return message('machine.caution.test-direction', { plain });
  const { highFeedMPerMin: high, lowFeedMPerMin: low } = slowBeat;
  const mean = (share: number) => (share * high + (100 - share) * low) / 100;
  return message('machine.caution.test-direction-mean-feed', {
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
    unclear: message('machine.test.no-difference'),
  });
  const { label } = dial;
  switch (quantity) {
    case 'stiffness':
      return {
        title: message('machine.test.stiffness.title', { label }),
        minutes: 2,
        safety: onScrap,
        steps: [
          message('machine.test.stiffness.middle', { label, length: amount('shortLength', 60) }),
          message('machine.test.stiffness.upper-end', { label }),
          message('machine.test.stiffness.lower-end', { label }),
        ],
        question: message('machine.test.stiffness.question', { label }),
        answers: pair(message('machine.test.stiffness.narrower'), message('machine.test.stiffness.wider')),
      };
    case 'trimMm':
      return {
        title: message('machine.test.stiffness.title', { label }),
        minutes: 2,
        safety: onScrap,
        steps: [
          message('machine.test.trim.neutral', { length: amount('shortLength', 60), label }),
          message('machine.test.trim.quarter-up'),
          message('machine.test.trim.quarter-down'),
        ],
        question: message('machine.test.trim.question'),
        answers: pair(message('machine.test.trim.longer'), message('machine.test.trim.shorter')),
      };
    case 'beatHighSharePercent':
      return {
        title: message('machine.test.share.title', { label }),
        minutes: 2,
        safety: onScrap,
        steps: [
          message('machine.test.share.levels-far-apart'),
          message('machine.test.share.weld', { label, length: amount('shortLength', 100) }),
          message('machine.test.share.look'),
        ],
        question: message('machine.test.share.question', { label }),
        answers: pair(message('machine.test.share.is-high'), message('machine.test.share.is-low')),
      };
    case 'runInFeedMPerMin':
      return {
        title: message('machine.test.run-in.title', { label }),
        minutes: 2,
        safety: onScrap,
        steps: [
          message('machine.test.run-in.upper-end', { label, length: amount('shortLength', 10) }),
          message('machine.test.run-in.lower-end'),
        ],
        question: message('machine.test.run-in.question'),
        answers: pair(message('machine.test.run-in.faster'), message('machine.test.run-in.slower')),
      };
    case 'burnBackMs':
      return {
        title: message('machine.test.burn-back.title', { label }),
        minutes: 2,
        safety: hazard('machine.test.burn-back.power-off', { onScrap }),
        steps: [
          message('machine.test.burn-back.upper-end', { label, length: amount('shortLength', 20) }),
          message('machine.test.burn-back.lower-end'),
        ],
        question: message('machine.test.burn-back.question'),
        answers: pair('shorter', 'longer'),
      };
    default:
      return {
        title: message('machine.test.other.title', { label }),
        minutes: 2,
        safety: onScrap,
        steps: [message('machine.test.other.weld', { length: amount('shortLength', 60), label })],
        question: message('machine.test.other.question', { quantity: quantityFacts(quantity).name }),
        answers: pair(quantityFacts(quantity).more, quantityFacts(quantity).less),
      };
  }
}

/** The plain latching mode under test: what a machine does on each press, found without feeding or burning anything. */
export function triggerTestFor(mode: TriggerMode): DirectionTest {
  return {
    title: message('machine.test.trigger.title', { mode: mode.label }),
    minutes: 2,
    safety: withoutFeed,
    steps: [
      message('machine.test.trigger.hold'),
      message('machine.test.trigger.release'),
      message('machine.test.trigger.hold-again'),
      message('machine.test.trigger.release-again'),
    ],
    question: message('machine.test.trigger.question'),
    answers: {
      asDescribed: message('machine.test.trigger.as-drawn'),
      reversed: message('machine.test.trigger.different'),
      unclear: message('machine.cannot-tell'),
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
      message: message('machine.error.no-dial', { machine: machine.name, dialId }),
      got: dialId,
    });
  }
  const turned = mirrored(dial.scale);
  if (!turned) {
    return failure({
      path: 'dialId',
      code: 'nothing-to-turn',
      message: message('machine.error.no-direction', { dial: dial.label }),
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
