/** Half-typed text and half-filled forms kept on the device under a key, so that a reload loses nothing. */
import { useState } from 'react';
import { forgetAll, keep, recall } from '../lib/device.ts';

export function useKeptText(key: string): [string | null, (text: string | null) => void] {
  const place = `text/${key}`;
  const [text, setText] = useState<string | null>(() => {
    const kept = recall(place);
    // Texts of earlier versions stand there bare: "2.5" then reads as a number.
    return kept === null || typeof kept === 'string' ? kept : JSON.stringify(kept);
  });
  return [
    text,
    (next) => {
      setText(next);
      keep(place, next);
    },
  ];
}

/** A whole form's state kept on the device until it is sent or thrown away. */
export function useKeptForm<T>(key: string, fresh: T): [T, (next: T) => void, () => void] {
  const place = `form/${key}`;
  const [value, setValue] = useState<T>(() => {
    const kept = recall(place);
    return typeof kept === 'object' && kept !== null ? { ...fresh, ...(kept as T) } : fresh;
  });
  return [
    value,
    (next) => {
      setValue(next);
      keep(place, next);
    },
    () => {
      setValue(fresh);
      keep(place, null);
    },
  ];
}

export function forgetForm(key: string): void {
  keep(`form/${key}`, null);
}

/** Forgets what was half typed in all fields whose key begins so: the form they stand in was sent or thrown away. */
export function forgetTexts(prefix: string): void {
  forgetAll(`text/${prefix}`);
}
