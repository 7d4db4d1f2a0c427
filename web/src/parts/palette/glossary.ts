/** What words mean here, once: plain meanings, and what a word hides on other panels and what to ask instead. */
import { terms } from '@fox-tempo/words';
import { t } from '../../lib/words.ts';

export interface Meaning {
  readonly word: string;
  readonly means: string;
  /** What the same word may stand for elsewhere. */
  readonly hides?: string;
  /** What to ask, so that nobody talks past another. */
  readonly ask?: string;
  /** The standard that names it. */
  readonly standard?: string;
}

const traps: readonly Meaning[] = [
  {
    word: t('view.glossary.arc-length'),
    means: t('view.glossary.means.arc-length'),
  },
  {
    word: t('view.glossary.band'),
    means: t('view.glossary.means.band'),
  },
  {
    word: t('view.glossary.burn-back'),
    means: t('view.glossary.means.burn-back'),
    hides: t('view.glossary.hides.burn-back'),
    ask: t('view.glossary.ask.burn-back'),
  },
  {
    word: t('view.term.chart-line'),
    means: t('view.glossary.means.chart-line'),
  },
  { word: t('view.glossary.crackle'), means: t('view.glossary.means.crackle') },
  { word: t('view.glossary.crater'), means: t('view.glossary.means.crater') },
  { word: t('view.glossary.drag-push'), means: t('view.glossary.means.drag') },
  {
    word: t('view.glossary.duty-balance'),
    means: t('view.glossary.means.duty-cycle'),
    hides: t('view.glossary.hides.duty-cycle'),
    ask: t('view.glossary.ask.which-of-three'),
  },
  { word: t('view.glossary.flutter'), means: t('view.glossary.means.flutter') },
  {
    word: t('view.glossary.frequency'),
    means: t('view.glossary.means.frequency'),
    hides: t('view.glossary.hides.frequency'),
    ask: t('view.glossary.fast-or-slow'),
  },
  {
    word: t('view.glossary.heat'),
    means: t('view.glossary.means.heat'),
    hides: t('view.glossary.hides.heat'),
    ask: t('view.glossary.ask.heat'),
  },
  { word: t('view.glossary.hum'), means: t('view.glossary.means.hum') },
  { word: t('view.glossary.leads'), means: t('view.glossary.means.leads') },
  { word: t('view.glossary.leg'), means: t('view.glossary.means.leg') },
  {
    word: t('view.glossary.peak'),
    means: t('view.glossary.means.peak'),
    hides: t('view.glossary.hides.peak'),
    ask: t('view.glossary.fast-or-slow'),
  },
  {
    word: t('view.glossary.program-job-channel'),
    means: t('view.glossary.means.program'),
    hides: t('view.glossary.hides.program'),
    ask: t('view.glossary.ask.program'),
  },
  {
    word: t('view.glossary.pulse'),
    means: t('view.glossary.means.pulse'),
    hides: t('view.glossary.hides.pulse'),
    ask: t('view.glossary.ask.pulse'),
  },
  { word: t('view.glossary.ripple'), means: t('view.glossary.means.ripple') },
  { word: t('view.glossary.run-in'), means: t('view.glossary.means.run-in') },
  { word: t('view.glossary.short'), means: t('view.glossary.means.short-circuit') },
  {
    word: t('view.glossary.show-through'),
    means: t('view.glossary.means.show-through'),
  },
  { word: t('view.glossary.slot'), means: t('view.glossary.means.slot') },
  {
    word: t('view.term.start-level'),
    means: t('view.glossary.means.start-level'),
    hides: t('view.glossary.hides.start-level'),
    ask: t('view.glossary.percent-or-absolute'),
  },
  {
    word: t('view.simulator.axis.ctwd'),
    means: t('view.glossary.means.ctwd'),
    hides: t('view.glossary.hides.ctwd'),
    ask: t('view.glossary.ask.ctwd'),
  },
  {
    word: t('view.glossary.thickness'),
    means: t('view.glossary.means.thickness'),
    hides: t('view.glossary.hides.thickness'),
    ask: t('view.glossary.ask.thickness'),
  },
  { word: t('view.glossary.window'), means: t('view.glossary.means.window') },
];

/** The terms of the trade, and beside them the words that hide something elsewhere. */
export const glossary: readonly Meaning[] = [
  ...traps,
  ...terms.map(({ id, standard }) => ({
    word: t(`view.term.${id}`),
    means: t(`view.term.${id}-means`),
    ...(standard === '' ? {} : { standard }),
  })),
].sort((a, b) => a.word.localeCompare(b.word));

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
