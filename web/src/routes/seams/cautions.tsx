/** Hazards and cautions of a plan, where they arise. */
import { t, format } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import type { Plan } from '@fox-tempo/core/setting/plan';
import { HazardText } from '../../ui/hazard-text.tsx';
import { Notice } from '../../ui/notice.tsx';

export function Cautions({ plan }: { readonly plan: Plan }) {
  if (plan.warnings.length === 0) return null;
  return (
    <Box as="section" aria-label={t('view.seams.hazards-and-cautions')} display="grid" gap="1.5">
      {plan.warnings.map((warning) => (
        <Notice key={format(warning.code)} level={warning.level}>
          <HazardText said={warning.message} />
        </Notice>
      ))}
    </Box>
  );
}
