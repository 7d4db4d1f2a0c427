/** What a filler means for the finished part and for the feeder, in plain words. Rules of practice; a procedure for the part comes first. */
import { message, amount, type Phrase } from '../../base/messages/index.ts';
import type { FillerCode } from '../../metal/consumables/index.ts';

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
  strength: message('wire-choice.suits.304'),
  colour: message('wire-choice.colour.as-plate'),
  softness: 0,
  cracking: message('wire-choice.cracking.ferrite', { limit: amount('temperature', 150) }),
  leaves: message('wire-choice.after.heat-tint'),
};

export const fillerFacts: Readonly<Record<FillerCode, FillerFacts>> = {
  'steel-solid': {
    strength: message('wire-choice.suits.plain-steel'),
    colour: message('wire-choice.as-the-plate'),
    softness: 0,
    cracking: message('wire-choice.cracking.clean-plate'),
    leaves: message('wire-choice.after.silicate'),
  },
  'stainless-solid': stainless308,
  'stainless-308l': stainless308,
  'stainless-309l': {
    ...stainless308,
    strength: message('wire-choice.suits.dissimilar'),
  },
  'stainless-316l': {
    ...stainless308,
    strength: message('wire-choice.suits.316'),
  },
  'aluminium-4043': {
    strength: message('wire-choice.strength.alsi5'),
    colour: message('wire-choice.colour.anodised'),
    softness: 3,
    cracking: message('wire-choice.cracking.alsi5'),
    leaves: message('wire-choice.after.little-soot'),
  },
  'aluminium-5356': {
    strength: message('wire-choice.strength.almg5', { limit: amount('temperature', 65) }),
    colour: message('wire-choice.matches-after-anodising'),
    softness: 2,
    cracking: message('wire-choice.cracking.almg5'),
    leaves: message('wire-choice.after.soot'),
  },
  cusi3: {
    strength: message('wire-choice.strength.brazed'),
    colour: message('wire-choice.colour.copper'),
    softness: 2,
    cracking: message('wire-choice.cracking.brazed'),
    leaves: message('wire-choice.after.zinc'),
  },
  'steel-metal-cored': {
    strength: message('wire-choice.matches-structural-steel'),
    colour: message('wire-choice.as-the-plate'),
    softness: 1,
    cracking: message('wire-choice.cracking.clean-plate'),
    leaves: message('wire-choice.after.metal-cored'),
  },
  'steel-flux-cored': {
    strength: message('wire-choice.matches-structural-steel'),
    colour: message('wire-choice.colour.flux-cored'),
    softness: 1,
    cracking: message('wire-choice.cracking.flux-cored'),
    leaves: message('wire-choice.after.flux-cored'),
  },
  'steel-self-shielded': {
    strength: message('wire-choice.suits.self-shielded'),
    colour: message('wire-choice.colour.self-shielded'),
    softness: 1,
    cracking: message('wire-choice.cracking.thin-steel'),
    leaves: message('wire-choice.after.self-shielded'),
  },
};

/** Feed stiffness in a word, for the picture of a filler. */
export const softnessWords = [
  message('wire-choice.feeding.steel'),
  message('wire-choice.feeding.stainless'),
  message('wire-choice.feeding.almg5'),
  message('wire-choice.feeding.alsi5'),
  message('wire-choice.limp-spool-gun'),
] as const;
