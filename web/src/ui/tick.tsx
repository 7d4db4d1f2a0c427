/** A tick box with its words, large enough for a glove. */
import { Box, chakra } from '@chakra-ui/react';
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
        <chakra.input
          type="checkbox"
          checked={checked}
          onChange={(event) => onChange(event.target.checked)}
          width="22px"
          height="22px"
          flexShrink={0}
          accentColor="var(--chakra-colors-spruce)"
        />
        <Box as="span" minWidth={0} fontSize="text" {...(checked ? { color: 'quiet' } : {})}>
          {children}
        </Box>
      </label>
    </Box>
  );
}
