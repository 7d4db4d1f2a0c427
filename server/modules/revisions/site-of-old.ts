/** The site of a revision that was saved before sites were kept: the thickness rule that gives its program again. */
import type { Revision } from '@fox-tempo/contract';
import { thicknessRules } from '@fox-tempo/core/setting/plan';
import { settingOf, type Site } from '@fox-tempo/core/site';

/** Feeds and travel speeds that agree to this share came from one rule: what is left is the last digits of a solved equation. */
const sameShare = 1e-6;

/** `shop` where no rule gives the program, as after a change of the model. */
export function siteOfOld({ spec, choice, program }: Pick<Revision, 'spec' | 'choice' | 'program'>, shop: Site): Site {
  const candidates = [shop, ...thicknessRules.map(({ rule }) => ({ ...shop, thicknessRule: rule }))];
  const agrees = (one: number, other: number) => Math.abs(one / other - 1) < sameShare;
  return (
    candidates.find((site) => {
      const again = settingOf(spec, choice, site);
      return (
        again.ok &&
        agrees(again.value.program.wireFeedMPerMin, program.wireFeedMPerMin) &&
        agrees(again.value.program.travelMmPerMin, program.travelMmPerMin)
      );
    }) ?? shop
  );
}
