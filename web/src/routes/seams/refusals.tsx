/** Why there is no setting, and the way out where one touch can take it. */
import { amount } from '@fox-tempo/core/base/messages';
import { t, format } from '../../lib/words.ts';
import { Box, Heading } from '@chakra-ui/react';
import { fillerOf, gasOf, wireSizeLabel } from '@fox-tempo/core/metal/consumables';
import type { Issue } from '@fox-tempo/core/base/outcome';
import type { DraftStore } from '../../sheet/draft-store.ts';
import { usualGas, usualWire } from '../../sheet/wire-defaults.ts';
import { Action } from '../../ui/action.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';

export function Refusals({ issues, store }: { readonly issues: readonly Issue[]; readonly store: DraftStore }) {
  const { sheet, edit } = store.getState();
  const remedy = (issue: Issue): { label: string; apply: () => void } | null => {
    if (issue.path === 'gas') {
      const gas = usualGas(sheet.choice.filler);
      return {
        label: t('view.seams.fix.gas', { gas: gasOf(gas).name }),
        apply: () => edit((now) => ({ ...now, choice: { ...now.choice, gas } }), 'remedy'),
      };
    }
    if (issue.path === 'seam.preparation') {
      return {
        label: t('view.seams.fix.v-groove', { gap: amount('shortLength', 2) }),
        apply: () =>
          edit(
            (now) => ({
              ...now,
              spec: { ...now.spec, gapMm: Math.max(now.spec.gapMm, 2), preparation: { kind: 'v' } },
            }),
            'remedy',
          ),
      };
    }
    if (issue.code === 'cored-wire-only-cored') {
      return {
        label: t('view.seams.fix.cored-mode'),
        apply: () => edit((now) => ({ ...now, choice: { ...now.choice, mode: 'cored' } }), 'remedy'),
      };
    }
    if (issue.path === 'filler') {
      const wire = usualWire(sheet.spec.materialGroup, sheet.spec.grade);
      return {
        label: t('view.seams.fix.wire', {
          filler: fillerOf(wire.filler).name,
          diameter: wireSizeLabel(wire.diameterMm),
        }),
        apply: () => edit((now) => ({ ...now, choice: { ...now.choice, ...wire, wireFeedMPerMin: null } }), 'remedy'),
      };
    }
    if (issue.path === 'wireFeedMPerMin') {
      return {
        label: t('view.seams.fix.planned-feed'),
        apply: () => edit((now) => ({ ...now, choice: { ...now.choice, wireFeedMPerMin: null } }), 'remedy'),
      };
    }
    if (issue.path === 'seam.travelMmPerMin') {
      return {
        label: t('view.seams.fix.planned-travel'),
        apply: () => edit((now) => ({ ...now, spec: { ...now.spec, travelMmPerMin: null } }), 'remedy'),
      };
    }
    return null;
  };
  return (
    <Panel>
      <Heading as="h2" textStyle="heading" mb="2">
        {t('view.seams.impossible')}
      </Heading>
      <Box display="grid" gap="2">
        {issues.map((issue) => {
          const way = remedy(issue);
          return (
            <Notice key={`${issue.path} ${issue.code}`} level="refusal" urgent>
              {format(issue.message)}
              {issue.hint !== undefined && <Box mt="1">{format(issue.hint)}</Box>}
              {way && (
                <Action mt="2" onClick={way.apply}>
                  {way.label}
                </Action>
              )}
            </Notice>
          );
        })}
      </Box>
    </Panel>
  );
}
