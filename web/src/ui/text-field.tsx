import { chakra } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Field, inputLook } from './field.tsx';

export interface TextFieldProps {
  readonly label: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly onBlur?: () => void;
  readonly hint?: ReactNode;
  readonly error?: string | undefined;
  readonly maxLength?: number;
  /** Shows dots instead of what is typed. */
  readonly secret?: boolean;
  /** A day, by the platform's own calendar. */
  readonly type?: 'text' | 'date';
}

export function TextField({
  label,
  value,
  onChange,
  onBlur,
  hint,
  error,
  maxLength = 80,
  secret = false,
  type = 'text',
}: TextFieldProps) {
  return (
    <Field label={label} hint={hint} error={error}>
      {({ id, describedBy, invalid }) => (
        <chakra.input
          id={id}
          type={secret ? 'password' : type}
          {...inputLook}
          value={value}
          maxLength={maxLength}
          autoComplete={secret ? 'new-password' : 'off'}
          aria-describedby={describedBy}
          aria-invalid={invalid}
          onChange={(event) => onChange(event.target.value)}
          onBlur={onBlur}
        />
      )}
    </Field>
  );
}
