/** Hazards and cautions of a plan, where they arise. */
import { Box } from '@chakra-ui/react';
import type { Plan } from '@fox-tempo/core/plan';
import { Notice } from '../../ui/notice.tsx';

export function Cautions({ plan }: { readonly plan: Plan }) {
  if (plan.warnings.length === 0) return null;
  return (
    <Box as="section" aria-label="Hazards and cautions" display="grid" gap="1.5">
      {plan.warnings.map((warning) => (
        <Notice key={warning.code} level={warning.level}>
          {warning.message}
        </Notice>
      ))}
    </Box>
  );
}
