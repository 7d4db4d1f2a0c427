/**
 * What this device keeps for the person at it: drafts, half-typed texts, preferences. The one place that touches the browser's storage:
 * keys, the time something was kept, expiry, and what to say when the browser refuses.
 */
import { createStore } from 'zustand/vanilla';

/** Everything of ours stands under this. */
const root = 'fox-tempo/';
const dayMs = 86_400_000;

/** How long each sort is kept untouched, days; what is not named stays for good. */
const keptDays: Readonly<Record<string, number>> = { text: 60, form: 60, draft: 400, given: 400, unanswered: 1 };

export type DeviceTrouble = 'full' | 'forbidden';

/** Null while the device keeps what it is given. */
export const deviceTrouble = createStore<{ readonly trouble: DeviceTrouble | null }>()(() => ({ trouble: null }));

interface Envelope {
  /** When it was kept, ms since 1970. */
  readonly keptAt: number;
  readonly value: unknown;
}

function isEnvelope(content: unknown): content is Envelope {
  return typeof content === 'object' && content !== null && 'keptAt' in content && 'value' in content;
}

/** Reading `localStorage` itself throws where a browser forbids it. */
function storage(): Storage | null {
  try {
    return globalThis.localStorage;
  } catch {
    return null;
  }
}

/** What was kept under a key as `sort/name`; null where there is nothing that could be read. */
export function recall(key: string): unknown {
  const text = raw(key);
  if (text === null) return null;
  try {
    const content: unknown = JSON.parse(text);
    return isEnvelope(content) ? content.value : content;
  } catch {
    // Texts of earlier versions stand there as they were typed.
    return text;
  }
}

function raw(key: string): string | null {
  try {
    return storage()?.getItem(root + key) ?? null;
  } catch {
    return null;
  }
}

/** Keeps a value, or with null forgets it; false when the device would not, which `deviceTrouble` then says. */
export function keep(key: string, value: unknown): boolean {
  return write(key, value === null ? null : JSON.stringify({ keptAt: Date.now(), value } satisfies Envelope));
}

function write(key: string, text: string | null): boolean {
  const place = storage();
  try {
    if (!place) throw new DOMException('no storage', 'SecurityError');
    if (text === null) place.removeItem(root + key);
    else place.setItem(root + key, text);
    if (deviceTrouble.getState().trouble) deviceTrouble.setState({ trouble: null });
    return true;
  } catch (error) {
    const isFull = error instanceof DOMException && error.name === 'QuotaExceededError';
    deviceTrouble.setState({ trouble: isFull ? 'full' : 'forbidden' });
    return false;
  }
}

/** Forgets everything whose key begins so. */
export function forgetAll(prefix: string): void {
  for (const key of keys()) if (key.startsWith(prefix)) keep(key, null);
}

function keys(): string[] {
  const place = storage();
  if (!place) return [];
  return Array.from({ length: place.length }, (_, at) => place.key(at)).flatMap((key) =>
    key?.startsWith(root) ? [key.slice(root.length)] : [],
  );
}

/** Throws away what nobody came back for. */
export function sweep(now = Date.now()): void {
  for (const key of keys()) {
    const days = keptDays[key.slice(0, key.indexOf('/'))] ?? keptDays[key];
    const text = raw(key);
    if (days === undefined || text === null) continue;
    const content = parsed(text);
    // What an earlier version kept has no time: its clock starts now.
    if (!isEnvelope(content)) keep(key, content);
    else if (now - content.keptAt > days * dayMs) keep(key, null);
  }
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return text;
  }
}

/** Calls back when another tab of this browser keeps or forgets a key; returns how to stop listening. */
export function whenChangedElsewhere(key: string, listener: (value: unknown) => void): () => void {
  const hear = (event: StorageEvent) => {
    if (event.key !== root + key) return;
    const content = event.newValue === null ? null : parsed(event.newValue);
    listener(isEnvelope(content) ? content.value : content);
  };
  globalThis.addEventListener('storage', hear);
  return () => globalThis.removeEventListener('storage', hear);
}

/** For a library that keeps a text of its own making. */
export const bareStorage = {
  getItem: raw,
  setItem(key: string, text: string): void {
    write(key, text);
  },
  removeItem(key: string): void {
    write(key, null);
  },
};
