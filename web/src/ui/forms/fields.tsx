/** Fields of a record form, joined to it by name: text, choice, date, quantity. What is wrong stands at the field. */
import { chakra } from '@chakra-ui/react';
import { quantity, type QuantityName } from '@fox-tempo/core/base/units';
import type { ReactNode } from 'react';
import { useController, type FieldPath, type FieldValues } from 'react-hook-form';
import { useSettings } from '../../session/settings.ts';
import { ChoiceField, type Choice } from '../choice-field.tsx';
import { Field, inputLook } from '../field.tsx';
import { TextField } from '../text-field.tsx';
import type { RecordForm } from './record-form.ts';

interface OfForm<V extends FieldValues> {
  readonly of: Pick<RecordForm<V, unknown>, 'form' | 'labels'>;
  readonly name: FieldPath<V>;
  readonly hint?: ReactNode;
}

function useField<V extends FieldValues>({ of, name }: OfForm<V>) {
  const { field, fieldState } = useController({ control: of.form.control, name });
  const label = (of.labels as Record<string, string>)[name] ?? name;
  return { field, label, error: fieldState.error?.message };
}

/** What stands in the field; nothing before the form has its values. */
function textOf(value: unknown): string {
  return typeof value === 'string' ? value : '';
}

export function FormText<V extends FieldValues>({
  maxLength,
  secret,
  only,
  ...rest
}: OfForm<V> & {
  readonly maxLength?: number;
  readonly secret?: boolean;
  /** What may be typed. */
  readonly only?: (text: string) => string;
}) {
  const { field, label, error } = useField(rest);
  return (
    <TextField
      label={label}
      value={textOf(field.value)}
      onChange={(text) => field.onChange(only ? only(text) : text)}
      onBlur={field.onBlur}
      error={error}
      hint={rest.hint}
      {...(maxLength === undefined ? {} : { maxLength })}
      {...(secret === undefined ? {} : { secret })}
    />
  );
}

export function FormChoice<V extends FieldValues>({
  choices,
  ...rest
}: OfForm<V> & { readonly choices: readonly Choice<string>[] }) {
  const { field, label, error } = useField(rest);
  return (
    <ChoiceField
      label={label}
      value={textOf(field.value)}
      choices={choices}
      onChange={field.onChange}
      error={error}
      hint={rest.hint}
    />
  );
}

export function FormDate<V extends FieldValues>(rest: OfForm<V>) {
  const { field, label, error } = useField(rest);
  return (
    <Field label={label} error={error} hint={rest.hint}>
      {({ id, describedBy, invalid }) => (
        <chakra.input
          id={id}
          {...inputLook}
          type="date"
          aria-describedby={describedBy}
          aria-invalid={invalid}
          value={textOf(field.value)}
          onChange={(event) => field.onChange(event.target.value)}
          onBlur={field.onBlur}
        />
      )}
    </Field>
  );
}

/** Text that is a quantity; units of either system may be typed. */
export function FormQuantity<V extends FieldValues>({ kind, ...rest }: OfForm<V> & { readonly kind: QuantityName }) {
  const { field, label, error } = useField(rest);
  const units = useSettings((state) => state.units);
  const unit = quantity(kind)[units].label;
  return (
    <TextField
      label={unit === '' ? label : `${label}, ${unit}`}
      value={textOf(field.value)}
      onChange={field.onChange}
      onBlur={field.onBlur}
      error={error}
      hint={rest.hint}
    />
  );
}
