/** What words mean here, once: plain meanings, and what a word hides on other panels and what to ask instead. */
import { terms } from '@fox-tempo/words';
import { t } from './words.ts';

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
    word: t('view.lib.arc-length'),
    means: t('view.lib.from-the-underside-of-the'),
  },
  {
    word: t('view.lib.band'),
    means: t('view.lib.what-a-figure-lies-between'),
  },
  {
    word: t('view.lib.burn-back'),
    means: t('view.lib.the-source-stays-on-for'),
    hides: t('view.lib.a-time-more-is-shorter'),
    ask: t('view.lib.what-is-left-on-the'),
  },
  {
    word: t('view.term.chart-line'),
    means: t('view.lib.the-number-on-a-machine'),
  },
  { word: t('view.lib.crackle'), means: t('view.lib.the-arc-touches-now-and') },
  { word: t('view.lib.crater'), means: t('view.lib.the-hollow-where-the-arc') },
  { word: t('view.lib.drag-push'), means: t('view.lib.the-gun-leans-so-that') },
  {
    word: t('view.lib.duty-balance'),
    means: t('view.lib.here-minutes-of-arc-in'),
    hides: t('view.lib.share-of-time-at-high'),
    ask: t('view.lib.which-of-the-three'),
  },
  { word: t('view.lib.flutter'), means: t('view.lib.the-arc-wanders-and-hums') },
  {
    word: t('view.lib.frequency'),
    means: t('view.lib.pulses-or-beats-a-second'),
    hides: t('view.lib.tens-to-hundreds-a-second-2'),
    ask: t('view.lib.fast-or-slow'),
  },
  {
    word: t('view.lib.heat'),
    means: t('view.lib.here-always-one-of-power'),
    hides: t('view.lib.volts-amperes-energy-trim-or'),
    ask: t('view.lib.power-energy-per-mm-or'),
  },
  { word: t('view.lib.hum'), means: t('view.lib.one-drop-a-pulse-and') },
  { word: t('view.lib.leads'), means: t('view.lib.cable-gun-and-clamp-together') },
  { word: t('view.lib.leg'), means: t('view.lib.side-of-the-largest-triangle') },
  {
    word: t('view.lib.peak'),
    means: t('view.lib.the-high-current-of-a'),
    hides: t('view.lib.the-fast-pulse-or-high'),
    ask: t('view.lib.fast-or-slow'),
  },
  {
    word: t('view.lib.program-job-channel'),
    means: t('view.lib.here-a-program-is-the'),
    hides: t('view.lib.a-line-of-the-chart'),
    ask: t('view.lib.chart-line-or-slot'),
  },
  {
    word: t('view.lib.pulse'),
    means: t('view.lib.the-current-goes-up-and'),
    hides: t('view.lib.the-fast-pulse-the-slow'),
    ask: t('view.lib.how-many-a-second'),
  },
  { word: t('view.lib.ripple'), means: t('view.lib.one-scale-of-the-bead') },
  { word: t('view.lib.run-in'), means: t('view.lib.the-slow-feed-until-the') },
  { word: t('view.lib.short'), means: t('view.lib.wire-and-pool-touch-wanted') },
  {
    word: t('view.lib.show-through'),
    means: t('view.lib.how-far-the-bead-reaches'),
  },
  { word: t('view.lib.slot'), means: t('view.lib.one-memory-of-a-machine') },
  {
    word: t('view.term.start-level'),
    means: t('view.lib.level-until-the-seam-is'),
    hides: t('view.lib.percent-of-main-or-amperes'),
    ask: t('view.lib.percent-or-absolute'),
  },
  {
    word: t('view.bench.stick-out-2'),
    means: t('view.lib.contact-tip-to-plate-while'),
    hides: t('view.lib.wire-to-arc-wire-cut'),
    ask: t('view.lib.one-of-the-four-lengths'),
  },
  {
    word: t('view.lib.thickness'),
    means: t('view.lib.of-each-part-by-itself'),
    hides: t('view.lib.one-sheet-or-the-sum'),
    ask: t('view.lib.which-sheet-in-mm'),
  },
  { word: t('view.lib.window'), means: t('view.lib.how-far-a-dial-may') },
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
