/** What a welder sees and hears on a trial, in shop words, with the number a standard gives it and the side it is looked for on. */
import { message, type Said } from '../../base/messages/index.ts';

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
  'pores-row': symptom('front', message('judge.pores-in-a-row'), '2014'),
  'pores-start': symptom('start', message('judge.pores-at-the-start'), '2013'),
  wormholes: symptom('front', message('judge.wormholes'), '2016'),
  'crater-crack': symptom('end', message('judge.crater-crack'), '104'),
  'centre-crack': symptom('front', message('judge.centre-crack'), '1011'),
  'undercut-upper': symptom('front', message('judge.undercut-upper'), '5011'),
  'undercut-lower': symptom('front', message('judge.undercut-lower'), '5011'),
  'legs-unequal': symptom('front', message('judge.legs-unequal'), '512'),
  'bead-high': symptom('front', message('judge.bead-high'), '503'),
  'bead-flat-wide': symptom('front', message('judge.bead-flat')),
  'cold-lap': symptom('front', message('judge.cold-lap'), '506'),
  'no-root-fusion': symptom('back', message('judge.root-open'), '4013'),
  'printed-through': symptom('back', message('judge.printed-through'), '504'),
  sag: symptom('back', message('judge.sag'), '509'),
  hole: symptom('back', message('judge.hole'), '510'),
  'spatter-fine': symptom('front', message('judge.spatter-fine'), '602'),
  'spatter-coarse': symptom('front', message('judge.spatter-coarse'), '602'),
  hiss: symptom('heard', message('judge.hiss')),
  popping: symptom('heard', message('judge.popping')),
  soot: symptom('front', message('judge.soot-black')),
  'oxide-grey': symptom('front', message('judge.oxide-grey'), '613'),
  tint: symptom('front', message('judge.tint-blue'), '610'),
  'uneven-ripples': symptom('front', message('judge.ripples-uneven'), '514'),
  'wire-stuck': symptom('end', message('judge.wire-stuck')),
  'wire-ball': symptom('end', message('judge.ball-on-wire')),
  'wire-long': symptom('end', message('judge.long-wire')),
  'stubbing-start': symptom('start', message('judge.start-stubs')),
  'exploding-start': symptom('start', message('judge.start-explodes')),
  'arc-wanders': symptom('heard', message('judge.arc-wanders')),
  crackle: symptom('heard', message('judge.crackle')),
  flutter: symptom('heard', message('judge.flutter')),
  'frying-rough': symptom('heard', message('judge.frying-rough')),
  slipping: symptom('heard', message('judge.feeding-jerks')),
  'tip-burnt': symptom('end', message('judge.tip-burnt')),
} as const satisfies Record<string, Symptom>;

export type SymptomCode = keyof typeof symptoms;
export const symptomCodes = Object.keys(symptoms) as SymptomCode[];

/** Symptoms of one side. */
export function symptomsOn(side: Side): SymptomCode[] {
  return symptomCodes.filter((code) => symptoms[code].side === side);
}
