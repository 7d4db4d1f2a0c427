/**
 * A form for one record of the shop: what is typed is kept on the device until it is sent, checked by the contract's own shapes field by
 * field, saved on the version it was opened from. Where somebody saved in between, both versions are there and the person decides.
 */
import { saidIssues, format, formatForInput } from '../../lib/words.ts';
import type { Issue, Outcome } from '@fox-tempo/core/base/outcome';
import { type QuantityName, type UnitSystem, parseQuantity } from '@fox-tempo/core/base/units';
import { useEffect, useRef, useState } from 'react';
import {
  useForm,
  type DefaultValues,
  type FieldErrors,
  type FieldValues,
  type Resolver,
  type UseFormReturn,
} from 'react-hook-form';
import { ProblemError } from '../../data/client.ts';
import { keep, recall } from '../../lib/device.ts';
import { settings, useSettings } from '../../session/settings.ts';

export interface RecordFormOptions<V extends FieldValues, Body, D, R> {
  /** Where it is kept on the device; unique. */
  readonly keep: string;
  readonly labels: Readonly<Record<keyof V & string, string>>;
  /** Fields whose text is a quantity: "15 kg" becomes 15, an empty one null. */
  readonly quantities?: Partial<Record<keyof V & string, QuantityName>>;
  /** Never kept on the device. */
  readonly secret?: readonly (keyof V & string)[];
  readonly parse: (value: unknown) => Outcome<Body>;
  /** The record as it is stored, with its version; null for a new one. */
  readonly stored: (D & { readonly version: number }) | null;
  /** What stands in the fields for a stored record, or for a new one. */
  readonly values: (stored: D | null) => V;
  /** `confirmed`: questions of the server that the person has answered with yes. */
  readonly write: (body: Body, basedOn: number, confirmed: readonly string[]) => Promise<R>;
  /** With what the server answered. */
  readonly onSaved: (saved: R) => void | Promise<void>;
}

export interface RecordForm<V extends FieldValues, D> {
  readonly form: UseFormReturn<V>;
  readonly labels: Readonly<Record<keyof V & string, string>>;
  readonly busy: boolean;
  readonly isChanged: boolean;
  /** What is wrong and stands at no field. */
  readonly problem: string | null;
  /** What the server asks before it takes it; null: nothing. */
  readonly question: string | null;
  /** Saves what was asked about, all the same. */
  readonly answerYes: () => Promise<void>;
  readonly answerNo: () => void;
  /** Stored by somebody since this form was opened. */
  readonly conflict: (D & { readonly version: number }) | null;
  /** Saves; a change given with it counts only if it goes through. */
  submit: (change?: Partial<V>) => Promise<void>;
  /** Mine over what is stored now. */
  keepMine: () => Promise<void>;
  /** What is stored now into the fields. */
  takeTheirs: () => void;
  readonly valuesOf: (stored: D) => V;
  /** What was typed is thrown away. */
  leave: () => void;
}

export function useRecordForm<V extends FieldValues, Body, D = never, R = unknown>(
  options: RecordFormOptions<V, Body, D, R>,
): RecordForm<V, D> {
  const { labels, quantities = {}, secret = [], parse, stored, values, write, onSaved } = options;
  const place = `form/${options.keep}`;
  const secretNames = secret.join(' ');
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const [asked, setAsked] = useState<{
    readonly text: string;
    readonly codes: readonly string[];
    readonly change: Partial<V>;
  } | null>(null);
  const [conflict, setConflict] = useState<(D & { readonly version: number }) | null>(null);
  // What was kept began from the version of its day: somebody may have saved since, and is then shown.
  const [basedOn, setBasedOn] = useState(() => keptVersion(recall(place)) ?? stored?.version ?? 0);
  const units = useSettings((state) => state.units);
  const read = (written: V) => bodyFrom(written, quantities, labels, parse);
  const resolver: Resolver<V> = (written) => {
    const outcome = read(written);
    return outcome.ok ? { values: written, errors: {} } : { values: {}, errors: errorsOf<V>(outcome.issues, labels) };
  };
  const [fresh, setFresh] = useState(() => values(stored));
  const [begun] = useState((): V => {
    const kept = recall(place);
    if (typeof kept !== 'object' || kept === null) return fresh;
    const {
      unitsTyped = units,
      basedOn: _version,
      ...typed
    } = kept as Partial<V> & {
      unitsTyped?: UnitSystem;
      basedOn?: number;
    };
    return inUnits({ ...fresh, ...typed }, quantities, unitsTyped, units);
  });
  const [isChanged, setIsChanged] = useState(!isSame(begun, fresh));
  const form = useForm<V>({ mode: 'onChange', resolver, defaultValues: begun as DefaultValues<V> });
  const { subscribe, reset, getValues, setValue, handleSubmit, setError, trigger } = form;
  useEffect(
    () =>
      subscribe({
        formState: { values: true },
        callback: ({ values: now }) => {
          const changed = !isSame(now, fresh);
          setIsChanged(changed);
          const kept: Record<string, unknown> = { ...now, unitsTyped: settings.getState().units, basedOn };
          for (const name of secretNames.split(' ')) Reflect.deleteProperty(kept, name);
          keep(place, changed ? kept : null);
        },
      }),
    [subscribe, place, fresh, secretNames, basedOn],
  );

  const unitsShown = useRef(units);
  useEffect(() => {
    if (units === unitsShown.current) return;
    const before = unitsShown.current;
    setFresh((now) => inUnits(now, quantities, before, units));
    reset(inUnits(getValues(), quantities, before, units));
    unitsShown.current = units;
  }, [units, reset, getValues, quantities]);

  const send = async (version: number, change: Partial<V> = {}, confirmed: readonly string[] = []) => {
    setBusy(true);
    setProblem(null);
    setAsked(null);
    try {
      const outcome = read(getValues());
      if (!outcome.ok) return false;
      const saved = await write(outcome.value, version, confirmed);
      setConflict(null);
      keep(place, null);
      await onSaved(saved);
      return true;
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error;
      const current = error.problem.current as (D & { readonly version: number }) | undefined;
      if (error.kind === 'stale-version' && current) setConflict(current);
      else if (error.kind === 'ask-first')
        setAsked({ text: error.message, codes: (error.problem.issues ?? []).map(({ code }) => code), change });
      else {
        const issues = error.problem.issues ?? [];
        const elsewhere = issues.filter(({ path }) => !(path in labels));
        for (const { path, message } of issues)
          if (path in labels) setError(path as never, { message: format(message) });
        if (issues.length === 0) setProblem(`${format(error.problem.title)}. ${error.message}`);
        else if (elsewhere.length > 0) setProblem(saidIssues(elsewhere));
      }
      return false;
    } finally {
      setBusy(false);
    }
  };

  const submit = async (change: Partial<V> = {}, confirmed: readonly string[] = []) => {
    const before = { ...getValues() };
    for (const [name, value] of Object.entries(change)) setValue(name as never, value as never);
    let wentThrough = false;
    await handleSubmit(async () => {
      wentThrough = await send(basedOn, change, confirmed);
    })();
    if (!wentThrough) for (const name of Object.keys(change)) setValue(name as never, before[name] as never);
  };

  return {
    form,
    labels,
    busy,
    isChanged,
    problem,
    conflict,
    question: asked?.text ?? null,
    answerYes: async () => {
      if (asked) await submit(asked.change, asked.codes);
    },
    answerNo: () => setAsked(null),
    submit: (change) => submit(change),
    keepMine: async () => {
      if (!conflict || !(await trigger())) return;
      setBasedOn(conflict.version);
      await send(conflict.version);
    },
    takeTheirs: () => {
      if (!conflict) return;
      const theirs = values(conflict);
      setFresh(theirs);
      reset(theirs);
      keep(place, null);
      setBasedOn(conflict.version);
      setConflict(null);
    },
    valuesOf: values,
    leave: () => {
      reset(fresh);
      keep(place, null);
    },
  };
}

/** Version that a kept form was begun on; null where none is kept. */
function keptVersion(kept: unknown): number | null {
  const version = (kept as { basedOn?: unknown } | null)?.basedOn;
  return typeof version === 'number' ? version : null;
}

function isSame(one: FieldValues, other: FieldValues): boolean {
  return Object.keys({ ...one, ...other }).every((name) => one[name] === other[name]);
}

/** Texts become quantities, then the contract's shape is asked. */
function bodyFrom<Body>(
  written: FieldValues,
  quantities: Partial<Record<string, QuantityName>>,
  labels: Readonly<Record<string, string>>,
  parse: (value: unknown) => Outcome<Body>,
): Outcome<Body> {
  const body: Record<string, unknown> = { ...written };
  const issues: Issue[] = [];
  for (const [name, of] of Object.entries(quantities)) {
    const text = String(written[name] ?? '').trim();
    if (of === undefined) continue;
    if (text === '') {
      body[name] = null;
      continue;
    }
    const read = parseQuantity(text, of, { system: settings.getState().units, name: labels[name] ?? name, path: name });
    if (read.ok) body[name] = read.value;
    else issues.push(...read.issues);
  }
  return issues.length > 0 ? { ok: false, issues } : parse(body);
}

function errorsOf<V extends FieldValues>(
  issues: readonly Issue[],
  labels: Readonly<Record<string, string>>,
): FieldErrors<V> {
  const errors: Record<string, { type: string; message: string }> = {};
  for (const { path, code, message, hint } of issues) {
    const label = labels[path];
    // The contract calls a field by its own name, the form by its label.
    const words =
      label !== undefined && format(message).startsWith(path) ? label + format(message).slice(path.length) : message;
    errors[label === undefined ? 'root' : path] ??= {
      type: code,
      message: hint === undefined ? format(words) : `${format(words)} ${format(hint)}`,
    };
  }
  return errors as FieldErrors<V>;
}

/** Texts of quantities from one system of units into another; what makes no sense stays as it is. */
function inUnits<V extends FieldValues>(
  written: V,
  quantities: Partial<Record<string, QuantityName>>,
  from: UnitSystem,
  to: UnitSystem,
): V {
  if (from === to) return written;
  const changed: Record<string, unknown> = { ...written };
  for (const [name, of] of Object.entries(quantities)) {
    const text = String(written[name] ?? '');
    if (of === undefined || text.trim() === '') continue;
    const read = parseQuantity(text, of, { system: from, name, path: name });
    if (read.ok) changed[name] = formatForInput(read.value, of, to);
  }
  return changed as V;
}
