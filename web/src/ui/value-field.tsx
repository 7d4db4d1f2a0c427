/** A quantity field for forms outside the seam sheet: keeps what was half typed, says at the field what is wrong, hands over only what makes sense. */
import { absent } from '@fox-tempo/core/base/messages';
import { t, format, formatIf, formatForInput } from '../lib/words.ts';
import { parseQuantity, quantity, type GaugedMetal, type QuantityName } from '@fox-tempo/core/base/units';
import { useState, type ReactNode } from 'react';
import { useSettings } from '../session/settings.ts';
import { useKeptText } from './kept-text.ts';
import { QuantityField } from './quantity-field.tsx';

export interface ValueFieldProps {
  readonly label: string;
  readonly of: QuantityName;
  readonly value: number | null;
  readonly onValue: (value: number | null) => void;
  /** Where half-typed text is kept; unique on the device. */
  readonly keep: string;
  readonly range?: readonly [number, number];
  readonly step?: number;
  /** May be empty; what makes no sense then counts as empty, unless the field follows. */
  readonly optional?: boolean;
  /** Whose table "14 ga" is read from. */
  readonly metal?: GaugedMetal | undefined;
  readonly whole?: boolean;
  /** The value is also moved from elsewhere (a slider, a map); what could not be taken is then dropped. */
  readonly follows?: boolean;
  readonly placeholder?: string;
  readonly hint?: ReactNode;
  /** What the server or the core found wrong. */
  readonly error?: string | undefined;
}

export function ValueField({
  label,
  of,
  value,
  onValue,
  keep,
  range,
  step = 1,
  optional = false,
  metal,
  whole = false,
  follows = false,
  placeholder,
  hint,
  error,
}: ValueFieldProps) {
  const units = useSettings((state) => state.units);
  const [text, keepText] = useKeptText(keep);
  const [issue, setIssue] = useState<string | null>(() => (text === null ? null : check(text).message));

  const [seen, setSeen] = useState(value);
  if (value !== seen) {
    setSeen(value);
    if (follows && text !== null) {
      keepText(null);
      setIssue(null);
    }
  }

  function check(typed: string): { value: number | null; message: string | null } {
    if (typed.trim() === '') {
      return optional ? { value: null, message: null } : { value: null, message: t('view.ui.error-empty', { label }) };
    }
    const read = parseQuantity(typed, of, {
      system: units,
      name: label,
      path: keep,
      ...(metal === undefined ? {} : { metal }),
    });
    if (!read.ok)
      return { value: null, message: format(formatIf(read.issues[0]?.message) ?? t('view.ui.error-not-a-number')) };
    if (whole && !Number.isInteger(read.value))
      return { value: null, message: t('view.ui.error-not-whole', { label }) };
    if (range && (read.value < range[0] || read.value > range[1])) {
      const unit = quantity(of).metric.label;
      return {
        value: null,
        message: t('view.ui.error-range', {
          label,
          least: range[0],
          most: range[1],
          unit: unit === '' ? absent : unit,
          value: Number(read.value.toFixed(3)),
        }),
      };
    }
    return { value: read.value, message: null };
  }

  function take(typed: string) {
    const found = check(typed);
    setIssue(found.message);
    if (found.message === null) {
      keepText(null);
      onValue(found.value);
    } else {
      keepText(typed);
      // A form that is sent later must not send the figure from before what stands there now.
      if (optional && !follows && value !== null) onValue(null);
    }
  }

  return (
    <QuantityField
      label={label}
      of={of}
      value={value}
      text={text ?? undefined}
      step={step}
      {...(placeholder === undefined ? {} : { placeholder })}
      hint={hint}
      error={issue ?? error}
      onText={take}
      onValue={(next) => take(formatForInput(next, of, units))}
    />
  );
}
