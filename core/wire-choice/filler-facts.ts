/** What a filler means for the finished part and for the feeder, in plain words. Rules of practice; a procedure for the part comes first. */
import { say, amount, type Phrase } from '../said/index.ts';
import type { FillerCode } from '../consumables/index.ts';

export interface FillerFacts {
  readonly strength: Phrase;
  /** Colour beside the base metal, bare and after anodising where that matters. */
  readonly colour: Phrase;
  /** How the wire takes being pushed: 0 stiff and easy .. 4 soft and touchy. */
  readonly softness: 0 | 1 | 2 | 3 | 4;
  readonly cracking: Phrase;
  readonly leaves: Phrase;
}

const stainless308: FillerFacts = {
  strength: say('wire-choice.matches-304-and-304l'),
  colour: say('wire-choice.as-the-plate-tints-with'),
  softness: 0,
  cracking: say('wire-choice.little-risk-while-some-ferrite', { temperature150: amount('temperature', 150) }),
  leaves: say('wire-choice.heat-tint-to-pickle-or'),
};

export const fillerFacts: Readonly<Record<FillerCode, FillerFacts>> = {
  'steel-solid': {
    strength: say('wire-choice.matches-plain-and-structural-steel'),
    colour: say('wire-choice.as-the-plate'),
    softness: 0,
    cracking: say('wire-choice.little-risk-on-clean-plate'),
    leaves: say('wire-choice.small-islands-of-glass-no'),
  },
  'stainless-solid': stainless308,
  'stainless-308l': stainless308,
  'stainless-309l': {
    ...stainless308,
    strength: say('wire-choice.bears-the-mixing-of-stainless'),
  },
  'stainless-316l': {
    ...stainless308,
    strength: say('wire-choice.matches-316-and-316l-keeps'),
  },
  'aluminium-4043': {
    strength: say('wire-choice.weaker-than-almg5-enough-for'),
    colour: say('wire-choice.turns-dark-grey-when-anodised'),
    softness: 3,
    cracking: say('wire-choice.resists-hot-cracking-on-6xxx'),
    leaves: say('wire-choice.little-soot-wets-well'),
  },
  'aluminium-5356': {
    strength: say('wire-choice.stronger-than-alsi5-not-for', { temperature65: amount('temperature', 65) }),
    colour: say('wire-choice.matches-after-anodising'),
    softness: 2,
    cracking: say('wire-choice.good-on-5xxx-on-6xxx'),
    leaves: say('wire-choice.black-soot-to-brush-off'),
  },
  cusi3: {
    strength: say('wire-choice.a-brazed-seam-strength-comes'),
    colour: say('wire-choice.copper-red-beside-steel'),
    softness: 2,
    cracking: say('wire-choice.cracks-steel-that-is-melted'),
    leaves: say('wire-choice.zinc-stays-beside-the-seam'),
  },
  'steel-metal-cored': {
    strength: say('wire-choice.matches-structural-steel'),
    colour: say('wire-choice.as-the-plate'),
    softness: 1,
    cracking: say('wire-choice.little-risk-on-clean-plate'),
    leaves: say('wire-choice.almost-no-slag-more-metal'),
  },
  'steel-flux-cored': {
    strength: say('wire-choice.matches-structural-steel'),
    colour: say('wire-choice.as-the-plate-under-slag'),
    softness: 1,
    cracking: say('wire-choice.little-risk-keep-the-wire'),
    leaves: say('wire-choice.slag-to-chip-after-each'),
  },
  'steel-self-shielded': {
    strength: say('wire-choice.for-plain-steel-often-single'),
    colour: say('wire-choice.as-the-plate-under-slag-2'),
    softness: 1,
    cracking: say('wire-choice.little-risk-on-thin-steel'),
    leaves: say('wire-choice.slag-spatter-and-much-smoke'),
  },
};

/** Feed stiffness in a word, for the picture of a filler. */
export const softnessWords = [
  say('wire-choice.stiff-feeds-through-any-liner'),
  say('wire-choice.firm-kinks-when-bent-hard'),
  say('wire-choice.soft-smooth-liner-u-grooves'),
  say('wire-choice.very-soft-short-gun-or'),
  say('wire-choice.limp-spool-gun'),
] as const;
