/** The head of every view of a seam: where it belongs, what it is, its acts, and the order of work on it. */
import { t } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import type { SeamResource } from '@fox-tempo/contract';
import { memo, useMemo, type ReactNode } from 'react';
import { PageHead } from '../../ui/page-head.tsx';
import { OffTheList } from './off-the-list.tsx';
import { SeamSteps } from './seam-steps.tsx';

const Steps = memo(SeamSteps);

export interface SeamHeadProps {
  readonly seam: SeamResource;
  readonly title: string;
  readonly line: ReactNode;
  readonly children?: ReactNode;
  /** The view keeps the seam itself: told when it was brought back. */
  readonly onStored?: (seam: SeamResource) => void;
}

export function SeamHead({ seam, title, line, children, onStored }: SeamHeadProps) {
  const { partName } = seam;
  const trail = useMemo(
    () => [
      { name: t('view.app.seams'), to: '/seams' },
      { name: partName, to: `/seams?${new URLSearchParams({ part: partName }).toString()}` },
    ],
    [partName],
  );
  return (
    <>
      <PageHead title={title} line={line} trail={trail}>
        {children}
      </PageHead>
      <OffTheList seam={seam} onBack={onStored} />
      <Box px="3" pt="1">
        <Steps seam={seam} />
      </Box>
    </>
  );
}
