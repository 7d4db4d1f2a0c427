/** A tick box with its words, large enough for a glove. */
import { Box } from '@chakra-ui/react';
import type { ReactNode } from 'react';

export function Tick({
  checked,
  onChange,
  children,
}: {
  readonly checked: boolean;
  readonly onChange: (checked: boolean) => void;
  readonly children: ReactNode;
}) {
  return (
    <Box
      asChild
      display="flex"
      alignItems="flex-start"
      gap="3"
      minHeight="44px"
      py="2"
      cursor="pointer"
      _hover={{ bg: 'accentSoft' }}
    >
      <label>
        <input type="checkbox" checked={checked} onChange={(event) => onChange(event.target.checked)} />
        <Box as="span" minWidth={0} fontSize="text" {...(checked ? { color: 'quiet' } : {})}>
          {children}
        </Box>
      </label>
    </Box>
  );
}
