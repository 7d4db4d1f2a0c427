/** What a filler means for the finished part and for the feeder, in plain words. Rules of practice; a procedure for the part comes first. */
import type { FillerCode } from '../consumables/index.ts';

export interface FillerFacts {
  readonly strength: string;
  /** Colour beside the base metal, bare and after anodising where that matters. */
  readonly colour: string;
  /** How the wire takes being pushed: 0 stiff and easy .. 4 soft and touchy. */
  readonly softness: 0 | 1 | 2 | 3 | 4;
  readonly cracking: string;
  readonly leaves: string;
}

const stainless308: FillerFacts = {
  strength: 'matches 304 and 304L',
  colour: 'as the plate, tints with heat',
  softness: 0,
  cracking: 'little risk while some ferrite stays; keep interpass below 150 °C',
  leaves: 'heat tint to pickle or brush',
};

export const fillerFacts: Readonly<Record<FillerCode, FillerFacts>> = {
  'steel-solid': {
    strength: 'matches plain and structural steel',
    colour: 'as the plate',
    softness: 0,
    cracking: 'little risk on clean plate',
    leaves: 'small islands of glass, no slag',
  },
  'stainless-solid': stainless308,
  'stainless-308l': stainless308,
  'stainless-309l': {
    ...stainless308,
    strength: 'bears the mixing of stainless with plain steel; on stainless alone richer than it needs to be',
  },
  'stainless-316l': {
    ...stainless308,
    strength: 'matches 316 and 316L, keeps their molybdenum against pitting',
  },
  'aluminium-4043': {
    strength: 'weaker than AlMg5, enough for most sheet work',
    colour: 'turns dark grey when anodised',
    softness: 3,
    cracking: 'resists hot cracking on 6xxx; brittle phase on plate with much magnesium',
    leaves: 'little soot, wets well',
  },
  'aluminium-5356': {
    strength: 'stronger than AlSi5; not for parts that stay above 65 °C',
    colour: 'matches after anodising',
    softness: 2,
    cracking: 'good on 5xxx; on 6xxx only with enough of it in the seam',
    leaves: 'black soot to brush off',
  },
  cusi3: {
    strength: 'a brazed seam: strength comes from the overlap',
    colour: 'copper red beside steel',
    softness: 2,
    cracking: 'cracks steel that is melted into or under stress when hot',
    leaves: 'zinc stays beside the seam',
  },
  'steel-metal-cored': {
    strength: 'matches structural steel',
    colour: 'as the plate',
    softness: 1,
    cracking: 'little risk on clean plate',
    leaves: 'almost no slag, more metal an hour',
  },
  'steel-flux-cored': {
    strength: 'matches structural steel',
    colour: 'as the plate under slag',
    softness: 1,
    cracking: 'little risk; keep the wire dry',
    leaves: 'slag to chip after each pass: eye protection',
  },
  'steel-self-shielded': {
    strength: 'for plain steel, often single pass only: read its label',
    colour: 'as the plate under slag and smoke',
    softness: 1,
    cracking: 'little risk on thin steel',
    leaves: 'slag, spatter and much smoke; works in wind',
  },
};

/** Feed stiffness in a word, for the picture of a filler. */
export const softnessWords = [
  'stiff: feeds through any liner',
  'firm, kinks when bent hard',
  'soft: smooth liner, U grooves, little tension',
  'very soft: short gun or push-pull',
  'limp: spool gun',
] as const;
