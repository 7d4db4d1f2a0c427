/** The steps from an empty shop to its first logged weld, as they stand. */
import { Box } from '@chakra-ui/react';
import { Link } from 'react-router';
import { t } from '../../lib/words.ts';
import { Panel } from '../../ui/panel.tsx';
import type { Step } from './use-shop-start.ts';

export function ShopStart({ steps }: { readonly steps: readonly Step[] }) {
  const next = steps.find(({ isDone }) => !isDone);
  return (
    <Panel gridColumn="1 / -1" title={t('view.tour.from-empty-to-the-first-weld')} py="2">
      <Box
        as="ol"
        listStyleType="none"
        display="grid"
        gap="2"
        gridTemplateColumns={{ base: '1fr', md: 'repeat(auto-fit, minmax(150px, 1fr))' }}
      >
        {steps.map((step) => (
          <Box
            as="li"
            key={step.name}
            aria-current={step === next ? 'step' : undefined}
            borderTopWidth="3px"
            borderColor={step === next ? 'accent' : step.isDone ? 'spruce' : 'line'}
            pt="1.5"
          >
            <Box asChild fontWeight={650} fontSize="14px" minHeight="44px" display="inline-flex" alignItems="center">
              <Link to={step.to}>
                {step.isDone ? '● ' : step === next ? '→ ' : '○ '}
                {step.name}
                {step.isDone && (
                  <Box as="span" srOnly>
                    {t('view.tour.done')}
                  </Box>
                )}
              </Link>
            </Box>
            {step === next && (
              <Box color="quiet" fontSize="13px" lineHeight="1.3">
                {step.why}
              </Box>
            )}
          </Box>
        ))}
      </Box>
    </Panel>
  );
}
