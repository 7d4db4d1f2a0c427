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
  strength: say('wire-choice.suits.304'),
  colour: say('wire-choice.colour.as-plate'),
  softness: 0,
  cracking: say('wire-choice.cracking.ferrite', { limit: amount('temperature', 150) }),
  leaves: say('wire-choice.after.heat-tint'),
};

export const fillerFacts: Readonly<Record<FillerCode, FillerFacts>> = {
  'steel-solid': {
    strength: say('wire-choice.suits.plain-steel'),
    colour: say('wire-choice.as-the-plate'),
    softness: 0,
    cracking: say('wire-choice.cracking.clean-plate'),
    leaves: say('wire-choice.after.silicate'),
  },
  'stainless-solid': stainless308,
  'stainless-308l': stainless308,
  'stainless-309l': {
    ...stainless308,
    strength: say('wire-choice.suits.dissimilar'),
  },
  'stainless-316l': {
    ...stainless308,
    strength: say('wire-choice.suits.316'),
  },
  'aluminium-4043': {
    strength: say('wire-choice.strength.alsi5'),
    colour: say('wire-choice.colour.anodised'),
    softness: 3,
    cracking: say('wire-choice.cracking.alsi5'),
    leaves: say('wire-choice.after.little-soot'),
  },
  'aluminium-5356': {
    strength: say('wire-choice.strength.almg5', { limit: amount('temperature', 65) }),
    colour: say('wire-choice.matches-after-anodising'),
    softness: 2,
    cracking: say('wire-choice.cracking.almg5'),
    leaves: say('wire-choice.after.soot'),
  },
  cusi3: {
    strength: say('wire-choice.strength.brazed'),
    colour: say('wire-choice.colour.copper'),
    softness: 2,
    cracking: say('wire-choice.cracking.brazed'),
    leaves: say('wire-choice.after.zinc'),
  },
  'steel-metal-cored': {
    strength: say('wire-choice.matches-structural-steel'),
    colour: say('wire-choice.as-the-plate'),
    softness: 1,
    cracking: say('wire-choice.cracking.clean-plate'),
    leaves: say('wire-choice.after.metal-cored'),
  },
  'steel-flux-cored': {
    strength: say('wire-choice.matches-structural-steel'),
    colour: say('wire-choice.colour.flux-cored'),
    softness: 1,
    cracking: say('wire-choice.cracking.flux-cored'),
    leaves: say('wire-choice.after.flux-cored'),
  },
  'steel-self-shielded': {
    strength: say('wire-choice.suits.self-shielded'),
    colour: say('wire-choice.colour.self-shielded'),
    softness: 1,
    cracking: say('wire-choice.cracking.thin-steel'),
    leaves: say('wire-choice.after.self-shielded'),
  },
};

/** Feed stiffness in a word, for the picture of a filler. */
export const softnessWords = [
  say('wire-choice.feeding.steel'),
  say('wire-choice.feeding.stainless'),
  say('wire-choice.feeding.almg5'),
  say('wire-choice.feeding.alsi5'),
  say('wire-choice.limp-spool-gun'),
] as const;
