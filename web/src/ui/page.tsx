/** A page under an address: its head with its acts, and what it shows, which the skip link leads to. */
import type { BoxProps } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Main } from './main.tsx';
import { PageHead, type PageHeadProps } from './page-head.tsx';

interface PageProps extends Omit<PageHeadProps, 'children'>, Omit<BoxProps, 'title'> {
  /** At the right of the head. */
  readonly acts?: ReactNode;
}

export function Page({ title, line, trail, acts, children, ...main }: PageProps) {
  return (
    <>
      <PageHead title={title} line={line} {...(trail ? { trail } : {})}>
        {acts}
      </PageHead>
      <Main {...main}>{children}</Main>
    </>
  );
}
