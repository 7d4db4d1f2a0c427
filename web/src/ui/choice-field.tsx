/** A choice from a list, as the platform's own list: it works with gloves, keyboard and screen readers. */
import { Box, chakra } from '@chakra-ui/react';
import type { Phrase } from '@fox-tempo/core/base/messages';
import type { ReactNode } from 'react';
import { format } from '../lib/words.ts';
import { Field, inputLook } from './field.tsx';

export interface Choice<T extends string> {
  readonly value: T;
  readonly label: Phrase;
  readonly disabled?: boolean;
}

export interface ChoiceFieldProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly choices: readonly Choice<T>[];
  readonly onChange: (value: T) => void;
  readonly hint?: ReactNode;
  readonly error?: string | undefined;
}

export function ChoiceField<T extends string>({ label, value, choices, onChange, hint, error }: ChoiceFieldProps<T>) {
  return (
    <Field label={label} hint={hint} error={error}>
      {({ id, describedBy, invalid }) => (
        <Box position="relative">
          <chakra.select
            id={id}
            {...inputLook}
            appearance="none"
            fontSize="text"
            pe="6"
            textOverflow="ellipsis"
            value={value}
            aria-describedby={describedBy}
            aria-invalid={invalid}
            onChange={(event) => onChange(event.target.value as T)}
          >
            {choices.map((choice) => (
              <option key={choice.value} value={choice.value} disabled={choice.disabled}>
                {format(choice.label)}
              </option>
            ))}
          </chakra.select>
          <Box
            as="span"
            position="absolute"
            insetEnd="3"
            top="50%"
            mt="-3px"
            pointerEvents="none"
            color="quiet"
            aria-hidden="true"
          >
            <svg width="10" height="6" viewBox="0 0 10 6">
              <path d="M0 0h10L5 6Z" fill="currentColor" />
            </svg>
          </Box>
        </Box>
      )}
    </Field>
  );
}
