/** The head of every view of a seam: where it belongs, what it is, its acts, and the order of work on it. */
import { Box } from '@chakra-ui/react';
import type { SeamResource } from '@fox-tempo/contract';
import type { ReactNode } from 'react';
import { PageHead } from '../../ui/page-head.tsx';
import { SeamSteps } from './seam-steps.tsx';

export interface SeamHeadProps {
  readonly seam: SeamResource;
  readonly title: string;
  readonly line: ReactNode;
  readonly children?: ReactNode;
}

export function SeamHead({ seam, title, line, children }: SeamHeadProps) {
  return (
    <>
      <PageHead
        title={title}
        line={line}
        trail={[
          { name: 'Seams', to: '/seams' },
          { name: seam.partName, to: `/seams?${new URLSearchParams({ part: seam.partName }).toString()}` },
        ]}
      >
        {children}
      </PageHead>
      <Box px="3" pt="1">
        <SeamSteps seamId={seam.id} />
      </Box>
    </>
  );
}
