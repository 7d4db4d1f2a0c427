/** Plain tables: quiet heads, a rule under each row, figures in the tabular face. Scrolls sideways in its own box where it must. */
import { Box, type BoxProps } from '@chakra-ui/react';
import type { ReactNode } from 'react';

export function Table({
  label,
  children,
  ...rest
}: { readonly label: string; readonly children: ReactNode } & Omit<BoxProps, 'children'>) {
  return (
    <Box overflowX="auto" tabIndex={0} role="group" aria-label={label} {...rest}>
      <Box asChild width="100%" fontSize="small" css={{ borderCollapse: 'collapse' }}>
        <table>{children}</table>
      </Box>
    </Box>
  );
}

/** Heads begin with a capital, wherever their word stands otherwise. */
export const capital = { '&::first-letter': { textTransform: 'uppercase' } } as const;

export function Heads({
  names,
  right = [],
}: {
  readonly names: readonly string[];
  readonly right?: readonly string[];
}) {
  return (
    <thead>
      <tr>
        {names.map((name, at) => (
          <Box
            asChild
            key={`${name}${at}`}
            textAlign={right.includes(name) ? 'right' : 'left'}
            textStyle="label"
            color="quiet"
            fontWeight={500}
            py="1"
            pe="3"
            borderBottomWidth="1px"
            borderColor="line"
            verticalAlign="bottom"
            css={capital}
          >
            {name === '' ? <td /> : <th scope="col">{name}</th>}
          </Box>
        ))}
      </tr>
    </thead>
  );
}

export interface CellProps extends BoxProps {
  /** Head of its row. */
  readonly head?: boolean;
  readonly figure?: boolean;
  /** Beside an act as high as a glove, instead of at the top of the row. */
  readonly middle?: boolean;
}

export function Cell({ head = false, figure = false, middle = false, children, ...rest }: CellProps) {
  return (
    <Box
      asChild
      py="1.5"
      pe="3"
      borderBottomWidth="1px"
      borderColor="line"
      verticalAlign={middle ? 'middle' : 'top'}
      textAlign={figure ? 'right' : 'left'}
      fontWeight={head ? 600 : 400}
      {...(head ? { css: capital } : {})}
      {...(figure ? { textStyle: 'figure', whiteSpace: 'nowrap' } : {})}
      {...rest}
    >
      {head ? <th scope="row">{children}</th> : <td>{children}</td>}
    </Box>
  );
}
