/**
 * A number with a unit, typed the way people say it: "5/32 in", "14 ga", "2,5", "380 ipm", "2 + 0.5". The other system stands beside it.
 * While somebody types, the text is theirs; once it is left and makes sense, it is shown in the chosen unit. Arrow keys step.
 */
import { formatWithUnit, formatForInput } from '../lib/words.ts';
import { Box, chakra } from '@chakra-ui/react';
import { quantity, type QuantityName } from '@fox-tempo/core/base/units';
import { useState, type KeyboardEvent, type ReactNode } from 'react';
import { useSettings } from '../session/settings.ts';
import { Field, inputLook } from './field.tsx';

export interface QuantityFieldProps {
  readonly label: string;
  readonly of: QuantityName;
  /** Stored value; null when the field may be empty and is. */
  readonly value: number | null;
  /** What was typed and could not be taken yet, kept so that nothing half-typed is lost. */
  readonly text: string | undefined;
  /** Step of the arrow keys, in stored units. */
  readonly step: number;
  readonly placeholder?: string;
  readonly error?: string | undefined;
  readonly hint?: ReactNode;
  /** Called with every keystroke; the caller parses and keeps the text while it makes no sense. */
  readonly onText: (text: string) => void;
  /** Called by the arrow keys with a stored value. */
  readonly onValue: (value: number) => void;
}

export function QuantityField({
  label,
  of,
  value,
  text,
  step,
  placeholder,
  error,
  hint,
  onText,
  onValue,
}: QuantityFieldProps) {
  const units = useSettings((state) => state.units);
  const [typing, setTyping] = useState<string | null>(null);
  const unit = quantity(of)[units];
  const rested = text ?? (value === null ? '' : formatForInput(value, of, units));
  const other = units === 'metric' ? 'us' : 'metric';
  const otherUnit = quantity(of)[other];
  const showsOther = value !== null && value !== 0 && error === undefined && otherUnit.label !== unit.label;

  function onKeyDown(event: KeyboardEvent<HTMLInputElement>) {
    const direction = event.key === 'ArrowUp' ? 1 : event.key === 'ArrowDown' ? -1 : 0;
    if (direction === 0 || value === null) return;
    event.preventDefault();
    setTyping(null);
    // Rounded to the step's own grid, so that 2.5000001 never appears.
    const size = event.shiftKey ? step * 10 : step;
    onValue(Number((Math.round((value + direction * size) / step) * step).toFixed(6)));
  }

  return (
    <Field
      label={`${label}${unit.label === '' ? '' : `, ${unit.label}`}`}
      error={error}
      hint={hint ?? (showsOther && value !== null ? formatWithUnit(value, of, other) : undefined)}
    >
      {({ id, describedBy, invalid }) => (
        <Box position="relative">
          <chakra.input
            id={id}
            {...inputLook}
            fontFamily="mono"
            fontWeight={500}
            inputMode="text"
            autoComplete="off"
            value={typing ?? rested}
            placeholder={placeholder}
            _placeholder={{ color: 'quiet', opacity: 1 }}
            aria-describedby={describedBy}
            aria-invalid={invalid}
            onFocus={(event) => event.target.select()}
            onChange={(event) => {
              setTyping(event.target.value);
              onText(event.target.value);
            }}
            onBlur={() => setTyping(null)}
            onKeyDown={onKeyDown}
          />
        </Box>
      )}
    </Field>
  );
}
