/** A choice whose name is told by what stands around it; a reader hears it all the same. */
import { chakra, type HTMLChakraProps } from '@chakra-ui/react';

interface BareSelectProps<T extends string> extends Omit<HTMLChakraProps<'select'>, 'onChange' | 'value'> {
  readonly label: string;
  readonly value: T;
  readonly choices: readonly { readonly value: T; readonly label: string }[];
  readonly onChange: (value: T) => void;
}

export function BareSelect<T extends string>({ label, value, choices, onChange, ...look }: BareSelectProps<T>) {
  return (
    <chakra.select
      aria-label={label}
      value={value}
      onChange={(event) => {
        const chosen = choices.find((one) => one.value === event.target.value);
        if (chosen) onChange(chosen.value);
      }}
      minHeight="44px"
      bg="surface"
      borderWidth="1px"
      borderColor="edge"
      borderRadius="3px"
      fontSize="small"
      fontWeight={600}
      px="1.5"
      {...look}
    >
      {choices.map((one) => (
        <option key={one.value} value={one.value}>
          {one.label}
        </option>
      ))}
    </chakra.select>
  );
}
