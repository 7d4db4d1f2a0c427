/** Half-typed text kept on the device under a key, so that a reload loses nothing. */
import { useState } from 'react';

export function useKeptText(key: string): [string | null, (text: string | null) => void] {
  const place = `fox-tempo/text/${key}`;
  const [text, setText] = useState<string | null>(() => read(place));
  return [
    text,
    (next) => {
      setText(next);
      write(place, next);
    },
  ];
}

function read(place: string): string | null {
  try {
    return globalThis.localStorage.getItem(place);
  } catch {
    return null;
  }
}

function write(place: string, text: string | null): void {
  try {
    if (text === null) globalThis.localStorage.removeItem(place);
    else globalThis.localStorage.setItem(place, text);
  } catch {
    // Storage full or closed: the text still stands in the field.
  }
}

/** A whole form's state kept on the device until it is sent or thrown away. */
export function useKeptForm<T>(key: string, fresh: T): [T, (next: T) => void, () => void] {
  const place = `fox-tempo/form/${key}`;
  const [value, setValue] = useState<T>(() => {
    const kept = read(place);
    if (kept === null) return fresh;
    try {
      return { ...fresh, ...(JSON.parse(kept) as T) };
    } catch {
      return fresh;
    }
  });
  return [
    value,
    (next) => {
      setValue(next);
      write(place, JSON.stringify(next));
    },
    () => {
      setValue(fresh);
      write(place, null);
    },
  ];
}

/** Forgets what was half typed in all fields whose key begins so: the form they stand in was sent or thrown away. */
export function forgetTexts(prefix: string): void {
  try {
    const { localStorage } = globalThis;
    const keys = Array.from({ length: localStorage.length }, (_, at) => localStorage.key(at));
    for (const key of keys) if (key?.startsWith(`fox-tempo/text/${prefix}`)) localStorage.removeItem(key);
  } catch {
    // Nothing was kept then.
  }
}
