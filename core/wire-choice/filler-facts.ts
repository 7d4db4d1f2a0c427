/** What a filler means for the finished part and for the feeder, in plain words. Rules of practice; a procedure for the part comes first. */
import type { FillerCode } from '../consumables/index.ts';

export interface FillerFacts {
  readonly strength: string;
  /** Colour beside the base metal, bare and after anodising where that matters. */
  readonly colour: string;
  /** 0 stiff and easy .. 4 soft and touchy. */
  readonly softness: 0 | 1 | 2 | 3 | 4;
  readonly cracking: string;
  readonly leaves: string;
}

export const fillerFacts: Readonly<Record<FillerCode, FillerFacts>> = {
  'steel-solid': {
    strength: 'matches plain and structural steel',
    colour: 'as the plate',
    softness: 0,
    cracking: 'little risk on clean plate',
    leaves: 'small islands of glass, no slag',
  },
  'stainless-solid': {
    strength: 'matches 304 and 304L; take the 316L or 309L type where the plate asks for it',
    colour: 'as the plate, tints with heat',
    softness: 0,
    cracking: 'little risk while some ferrite stays; keep interpass below 150 °C',
    leaves: 'heat tint to pickle or brush',
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
