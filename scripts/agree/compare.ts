/** Holds every view against the one answer: a figure that differs by more than it is rounded where it is shown is a disagreement. */
import { english } from '@fox-tempo/words/english';
import type { Case } from './cases.ts';
import { figures, type FigureName } from './figures.ts';
import { views } from './views.ts';

export interface Disagreement {
  readonly view: string;
  readonly figure: FigureName;
  readonly says: string;
  readonly truth: string;
  readonly where: string;
}

export interface Agreement {
  readonly compared: number;
  readonly disagreements: readonly Disagreement[];
}

/** Half of the last digit that is shown, and a hair for what rounding twice does. */
const withinRounding = (digits: number) => 0.5 * 10 ** -digits * 1.02;

export function compare(cases: Iterable<Case>): Agreement {
  let compared = 0;
  const disagreements: Disagreement[] = [];
  for (const one of cases) {
    const truths = Object.fromEntries(
      (Object.keys(figures) as FigureName[]).map((figure) => [figure, figures[figure].truth(one.truth, one)]),
    ) as Record<FigureName, number | null>;
    for (const { name, figures: asked, text } of views) {
      const shown = asked?.(one);
      for (const [figure, says] of Object.entries(shown ?? {}) as [FigureName, number | null][]) {
        const truth = truths[figure];
        compared += 1;
        const agrees =
          says === null || truth === null
            ? says === truth
            : Math.abs(says - truth) <= withinRounding(figures[figure].digits);
        if (!agrees)
          disagreements.push({ view: name, figure, says: String(says), truth: String(truth), where: one.name });
      }
      const printed = text?.of(one);
      if (text === undefined || printed === undefined) continue;
      for (const figure of text.holds) {
        const truth = truths[figure];
        if (truth === null) continue;
        compared += 1;
        const { of, digits } = figures[figure];
        // A unit may stand in a field of its own beside its figure.
        const { text: number } = english.show(truth, of, digits);
        if (!printed.includes(number))
          disagreements.push({ view: name, figure, says: 'not in its text', truth: number, where: one.name });
      }
    }
  }
  return { compared, disagreements };
}
