/** What a welder sees and hears on a trial, in shop words, with the number a standard gives it and the side it is looked for on. */
import { say, type Said } from '../said/index.ts';

/** Where one looks: four taps of "looked at: clean" set exactly one side to no. */
export const sides = ['front', 'back', 'start', 'end', 'heard'] as const;
export type Side = (typeof sides)[number];

export interface Symptom {
  readonly name: Said;
  readonly side: Side;
  /** Reference number of ISO 6520-1 where the standard has one. */
  readonly iso6520?: string;
  /** Chance that somebody notes it without any of the causes; assumed. */
  readonly leak: number;
}

const symptom = (side: Side, leak: number, name: Said, iso6520?: string): Symptom => ({
  name,
  side,
  leak,
  ...(iso6520 === undefined ? {} : { iso6520 }),
});

/** Source of the numbers: ISO 6520-1. Leaks are assumed: what is easily imagined gets more than what leaves no doubt. */
export const symptoms = {
  'pores-row': symptom('front', 0.02, say('judge.pores-in-a-row'), '2014'),
  'pores-start': symptom('start', 0.03, say('judge.pores-at-the-start'), '2013'),
  wormholes: symptom('front', 0.01, say('judge.wormholes'), '2016'),
  'crater-crack': symptom('end', 0.03, say('judge.crater-crack'), '104'),
  'centre-crack': symptom('front', 0.01, say('judge.centre-crack'), '1011'),
  'undercut-upper': symptom('front', 0.04, say('judge.undercut-upper'), '5011'),
  'undercut-lower': symptom('front', 0.02, say('judge.undercut-lower'), '5011'),
  'legs-unequal': symptom('front', 0.06, say('judge.legs-unequal'), '512'),
  'bead-high': symptom('front', 0.04, say('judge.bead-high'), '503'),
  'bead-flat-wide': symptom('front', 0.05, say('judge.bead-flat')),
  'cold-lap': symptom('front', 0.02, say('judge.cold-lap'), '506'),
  'no-root-fusion': symptom('back', 0.03, say('judge.root-open'), '4013'),
  'printed-through': symptom('back', 0.03, say('judge.printed-through'), '504'),
  sag: symptom('back', 0.02, say('judge.sag'), '509'),
  hole: symptom('back', 0.01, say('judge.hole'), '510'),
  'spatter-fine': symptom('front', 0.06, say('judge.spatter-fine'), '602'),
  'spatter-coarse': symptom('front', 0.03, say('judge.spatter-coarse'), '602'),
  hiss: symptom('heard', 0.03, say('judge.hiss')),
  popping: symptom('heard', 0.03, say('judge.popping')),
  soot: symptom('front', 0.04, say('judge.soot-black')),
  'oxide-grey': symptom('front', 0.03, say('judge.oxide-grey'), '613'),
  tint: symptom('front', 0.04, say('judge.tint-blue'), '610'),
  'uneven-ripples': symptom('front', 0.06, say('judge.ripples-uneven'), '514'),
  'wire-stuck': symptom('end', 0.02, say('judge.wire-stuck')),
  'wire-ball': symptom('end', 0.04, say('judge.ball-on-wire')),
  'wire-long': symptom('end', 0.04, say('judge.long-wire')),
  'stubbing-start': symptom('start', 0.03, say('judge.start-stubs')),
  'exploding-start': symptom('start', 0.03, say('judge.start-explodes')),
  'arc-wanders': symptom('heard', 0.03, say('judge.arc-wanders')),
  crackle: symptom('heard', 0.03, say('judge.crackle')),
  flutter: symptom('heard', 0.03, say('judge.flutter')),
  'frying-rough': symptom('heard', 0.04, say('judge.frying-rough')),
  slipping: symptom('heard', 0.02, say('judge.feeding-jerks')),
  'tip-burnt': symptom('end', 0.02, say('judge.tip-burnt')),
} as const satisfies Record<string, Symptom>;

export type SymptomCode = keyof typeof symptoms;
export const symptomCodes = Object.keys(symptoms) as SymptomCode[];
