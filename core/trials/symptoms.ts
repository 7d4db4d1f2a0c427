/** What a welder sees and hears on a trial, in shop words, with the number a standard gives it and the side it is looked for on. */
import { say, type Said } from '../said/index.ts';

/** Where one looks: a tap of "looked at: clean" sets exactly one side to no. */
export const sides = ['front', 'back', 'start', 'end', 'heard'] as const;
export type Side = (typeof sides)[number];

export interface Symptom {
  readonly name: Said;
  readonly side: Side;
  /** Reference number of ISO 6520-1 where the standard has one. */
  readonly iso6520?: string;
}

const symptom = (side: Side, name: Said, iso6520?: string): Symptom => ({
  name,
  side,
  ...(iso6520 === undefined ? {} : { iso6520 }),
});

/** Source of the numbers: ISO 6520-1. */
export const symptoms = {
  'pores-row': symptom('front', say('judge.pores-in-a-row'), '2014'),
  'pores-start': symptom('start', say('judge.pores-at-the-start'), '2013'),
  wormholes: symptom('front', say('judge.wormholes'), '2016'),
  'crater-crack': symptom('end', say('judge.crater-crack'), '104'),
  'centre-crack': symptom('front', say('judge.centre-crack'), '1011'),
  'undercut-upper': symptom('front', say('judge.undercut-upper'), '5011'),
  'undercut-lower': symptom('front', say('judge.undercut-lower'), '5011'),
  'legs-unequal': symptom('front', say('judge.legs-unequal'), '512'),
  'bead-high': symptom('front', say('judge.bead-high'), '503'),
  'bead-flat-wide': symptom('front', say('judge.bead-flat')),
  'cold-lap': symptom('front', say('judge.cold-lap'), '506'),
  'no-root-fusion': symptom('back', say('judge.root-open'), '4013'),
  'printed-through': symptom('back', say('judge.printed-through'), '504'),
  sag: symptom('back', say('judge.sag'), '509'),
  hole: symptom('back', say('judge.hole'), '510'),
  'spatter-fine': symptom('front', say('judge.spatter-fine'), '602'),
  'spatter-coarse': symptom('front', say('judge.spatter-coarse'), '602'),
  hiss: symptom('heard', say('judge.hiss')),
  popping: symptom('heard', say('judge.popping')),
  soot: symptom('front', say('judge.soot-black')),
  'oxide-grey': symptom('front', say('judge.oxide-grey'), '613'),
  tint: symptom('front', say('judge.tint-blue'), '610'),
  'uneven-ripples': symptom('front', say('judge.ripples-uneven'), '514'),
  'wire-stuck': symptom('end', say('judge.wire-stuck')),
  'wire-ball': symptom('end', say('judge.ball-on-wire')),
  'wire-long': symptom('end', say('judge.long-wire')),
  'stubbing-start': symptom('start', say('judge.start-stubs')),
  'exploding-start': symptom('start', say('judge.start-explodes')),
  'arc-wanders': symptom('heard', say('judge.arc-wanders')),
  crackle: symptom('heard', say('judge.crackle')),
  flutter: symptom('heard', say('judge.flutter')),
  'frying-rough': symptom('heard', say('judge.frying-rough')),
  slipping: symptom('heard', say('judge.feeding-jerks')),
  'tip-burnt': symptom('end', say('judge.tip-burnt')),
} as const satisfies Record<string, Symptom>;

export type SymptomCode = keyof typeof symptoms;
export const symptomCodes = Object.keys(symptoms) as SymptomCode[];

/** Symptoms of one side. */
export function symptomsOn(side: Side): SymptomCode[] {
  return symptomCodes.filter((code) => symptoms[code].side === side);
}
