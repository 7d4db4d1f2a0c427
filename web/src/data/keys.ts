/**
 * Keys of writes that add something. While it is not known whether a write arrived, its key is kept: the same write sent again counts
 * once, even after the page was loaded anew.
 */
import { keep, recall } from '../lib/device.ts';

const place = 'unanswered';
/** After this the same words mean a new act, ms. */
const keptMs = 15 * 60_000;

interface Unanswered {
  readonly key: string;
  readonly at: number;
}

function read(): Record<string, Unanswered> {
  const kept = recall(place);
  return typeof kept === 'object' && kept !== null ? (kept as Record<string, Unanswered>) : {};
}

/** A UUID, also where the page is served over plain HTTP and the browser hides its own maker of them. */
export function newKey(): string {
  if (typeof globalThis.crypto.randomUUID === 'function') return globalThis.crypto.randomUUID();
  const bytes = globalThis.crypto.getRandomValues(new Uint8Array(16));
  bytes[6] = ((bytes[6] ?? 0) & 0x0f) | 0x40;
  bytes[8] = ((bytes[8] ?? 0) & 0x3f) | 0x80;
  const hex = [...bytes].map((byte) => byte.toString(16).padStart(2, '0')).join('');
  return hex.replace(/^(.{8})(.{4})(.{4})(.{4})(.{12})$/, '$1-$2-$3-$4-$5');
}

/** The key for a write: that of the same write whose answer got lost, or a new one. */
export function keyFor(write: string): string {
  const kept = read()[write];
  return kept && Date.now() - kept.at < keptMs ? kept.key : newKey();
}

/** Remembers that nobody knows whether the write arrived. */
export function answerLost(what: string, key: string): void {
  const now = Date.now();
  const still = Object.entries(read()).filter(([, { at }]) => now - at < keptMs);
  keep(place, { ...Object.fromEntries(still), [what]: { key, at: now } });
}

export function answered(what: string): void {
  const all = read();
  if (!(what in all)) return;
  const { [what]: _done, ...rest } = all;
  keep(place, rest);
}
