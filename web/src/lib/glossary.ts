/** What words mean here, once: plain meanings, and what a word hides on other panels and what to ask instead. */

export interface Meaning {
  readonly word: string;
  readonly means: string;
  /** What the same word may stand for elsewhere. */
  readonly hides?: string;
  /** What to ask, so that nobody talks past another. */
  readonly ask?: string;
}

export const glossary: readonly Meaning[] = [
  {
    word: 'arc length',
    means: 'from the underside of the drop to the plate while the arc burns, in mm; what trim moves',
  },
  { word: 'background', means: 'the low current between two pulses; it keeps the arc alight and melts little' },
  {
    word: 'band',
    means:
      'what a figure lies between, with the model’s own error and the spread of repeated runs; a figure without one is not a prediction',
  },
  {
    word: 'burn-back',
    means: 'the source stays on for some milliseconds after the drive has stopped, so that the wire does not freeze in',
    hides: 'a time (more is shorter wire) or a length (more is longer)',
    ask: 'what is left on the wire',
  },
  {
    word: 'chart line',
    means: 'the number on a machine for one wire in one gas; the rest of its dials count from there',
  },
  { word: 'crackle', means: 'the arc touches now and then: short, sharp, with spatter; the arc is too short' },
  { word: 'crater', means: 'the hollow where the arc stops; filled at a lower level, or it cracks' },
  { word: 'drag, push', means: 'the gun leans so that the wire points back at the bead (drag) or ahead of it (push)' },
  {
    word: 'duty, balance',
    means: 'here: minutes of arc in ten that a machine bears at a current',
    hides: 'share of time at high, rating plate, or alternating current',
    ask: 'which of the three',
  },
  { word: 'fast pulse', means: 'tens to hundreds a second; each one is meant to throw one drop' },
  { word: 'flutter', means: 'the arc wanders and hums low: too long, a wide wet bead' },
  {
    word: 'frequency',
    means: 'pulses or beats a second; always said with fast or slow',
    hides: 'tens to hundreds a second (fast), or a few (slow)',
    ask: 'fast or slow',
  },
  {
    word: 'heat',
    means: 'here always one of: power in kW, heat per length in kJ/mm, or the plate’s temperature',
    hides: 'volts, amperes, energy, trim or plate temperature',
    ask: 'power, energy per mm or plate temperature',
  },
  { word: 'hum', means: 'one drop a pulse and no touch: the even tone a pulsed arc is set for' },
  { word: 'leads', means: 'cable, gun and clamp together; their mΩ take volts from the arc, more as they age' },
  { word: 'leg', means: 'side of the largest triangle that fits into a fillet; the throat is 0.7 of it' },
  {
    word: 'peak',
    means: 'the high current of a pulse; strong enough to pinch a drop off',
    hides: 'the fast pulse, or high and low of the slow beat',
    ask: 'fast or slow',
  },
  {
    word: 'program, job, channel',
    means: 'here a program is the physics of a weld, whatever a machine stores it in',
    hides: 'a line of the chart, or a memory',
    ask: 'chart line or slot',
  },
  {
    word: 'pulse',
    means:
      'the current goes up and down between two levels that are chosen, so that drops fly over as in spray, at a mean current that would be too low for spray, without touching the pool. Some call any up and down of current a pulse, or the ripple of double pulse alone',
    hides: 'the fast pulse, the slow beat, or stitch welding',
    ask: 'how many a second',
  },
  { word: 'ripple', means: 'one scale of the bead; the slow beat sets how far apart they lie' },
  { word: 'run-in', means: 'the slow feed until the arc lights' },
  { word: 'short', means: 'wire and pool touch: wanted in dip transfer, a fault in pulse and spray' },
  {
    word: 'show-through',
    means: 'how far the bead reaches through the plate: nothing, sound, a line at the back, or a hole',
  },
  { word: 'slot', means: 'one memory of a machine: what was set can be had back, if nobody stored over it' },
  {
    word: 'slow beat',
    means: 'a few swings a second of the whole level, high and low; gives ripples and cools the pool between them',
  },
  { word: 'soft to stiff', means: 'how fast the source answers: soft is fluid and quiet, stiff is hard and narrow' },
  {
    word: 'start level',
    means: 'level until the seam is warm, in percent of main',
    hides: 'percent of main, or amperes that stay when main is changed',
    ask: 'percent or absolute',
  },
  {
    word: 'stick-out',
    means: 'contact tip to plate while welding',
    hides: 'wire to arc, wire cut before the start, tip to plate, wire left after the stop',
    ask: 'one of the four lengths',
  },
  {
    word: 'thickness',
    means: 'of each part by itself, in mm',
    hides: 'one sheet or the sum of both; on a display only a label of the feed',
    ask: 'which sheet, in mm',
  },
  { word: 'trim', means: 'arc length against the machine’s own line, in mm: longer is up, shorter is down' },
  { word: 'window', means: 'how far a dial may be moved before the arc leaves the good zone' },
];

/** Entries whose word or meaning holds everything that was typed. */
export function lookUp(typed: string): readonly Meaning[] {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  const holds = ({ word, means, hides = '', ask = '' }: Meaning) => {
    const text = `${word} ${means} ${hides} ${ask}`.toLowerCase();
    return words.every((one) => text.includes(one));
  };
  return glossary.filter(holds).sort((a, b) => Number(startsWith(b, words)) - Number(startsWith(a, words)));
}

function startsWith({ word }: Meaning, [first = '']: readonly string[]): boolean {
  return first !== '' && word.startsWith(first);
}
