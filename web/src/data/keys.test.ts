import { beforeEach, describe, expect, it, jest } from '@jest/globals';
import { answered, answerLost, keyFor, newKey } from './keys.ts';

beforeEach(() => localStorage.clear());

describe('keys of writes', () => {
  it('are UUIDs, also where the browser hides its maker of them', () => {
    const shape = /^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/;
    // Its own property hides that of the prototype, until it goes again.
    Object.defineProperty(globalThis.crypto, 'randomUUID', { value: undefined, configurable: true });
    const keys = Array.from({ length: 200 }, newKey);
    Reflect.deleteProperty(globalThis.crypto, 'randomUUID');
    for (const key of keys) expect(key).toMatch(shape);
    expect(new Set(keys).size).toBe(200);
  });

  it('stay with a write whose answer got lost, across a reload, until it is answered', () => {
    const key = keyFor('count one');
    expect(keyFor('count one')).not.toBe(key);
    answerLost('count one', key);
    expect(keyFor('count one')).toBe(key);
    expect(keyFor('count two')).not.toBe(key);
    answered('count one');
    expect(keyFor('count one')).not.toBe(key);
  });

  it('are forgotten after a quarter of an hour: the same words then mean a new act', () => {
    const now = jest.spyOn(Date, 'now').mockReturnValue(1_000_000);
    answerLost('count one', 'a-key');
    now.mockReturnValue(1_000_000 + 14 * 60_000);
    expect(keyFor('count one')).toBe('a-key');
    now.mockReturnValue(1_000_000 + 16 * 60_000);
    expect(keyFor('count one')).not.toBe('a-key');
    now.mockRestore();
  });

  it('do without a storage that is closed or damaged', () => {
    localStorage.setItem('fox-tempo/unanswered', 'no json');
    expect(keyFor('x')).toMatch(/-/);
  });
});
