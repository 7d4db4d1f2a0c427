/** Buttons: one filled accent for the act the view is for, an outlined one for the rest, a quiet one inside rows. All at least 44 px high. */
import { Button, type ButtonProps } from '@chakra-ui/react';

export interface ActionProps extends Omit<ButtonProps, 'variant'> {
  readonly kind?: 'main' | 'plain' | 'quiet';
}

const looks = {
  main: { bg: 'accent', color: 'onAccent', borderColor: 'accent', _hover: { filter: 'brightness(1.08)' } },
  plain: { bg: 'surface', color: 'ink', borderColor: 'edge', _hover: { bg: 'accentSoft' } },
  quiet: { bg: 'transparent', color: 'ink', borderColor: 'transparent', _hover: { bg: 'accentSoft' } },
} as const;

export function Action({ kind = 'plain', ...rest }: ActionProps) {
  return (
    <Button
      type="button"
      unstyled
      display="inline-flex"
      alignItems="center"
      justifyContent="center"
      gap="2"
      minHeight="44px"
      minWidth="44px"
      px="3.5"
      borderWidth="1px"
      borderStyle="solid"
      borderRadius="3px"
      fontWeight={600}
      fontSize="text"
      cursor="pointer"
      whiteSpace="nowrap"
      _disabled={{ opacity: 0.55, cursor: 'not-allowed' }}
      {...looks[kind]}
      {...rest}
    />
  );
}
