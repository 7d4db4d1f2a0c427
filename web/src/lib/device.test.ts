import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { deviceTrouble, forgetAll, keep, recall, sweep, whenChangedElsewhere } from './device.ts';

beforeEach(() => {
  localStorage.clear();
  deviceTrouble.setState({ trouble: null });
});
afterEach(() => {
  jest.restoreAllMocks();
});

describe('what the device keeps', () => {
  it('comes back as it was, and is gone once forgotten', () => {
    expect(keep('form/x', { a: [1, null] })).toBe(true);
    expect(recall('form/x')).toEqual({ a: [1, null] });
    keep('form/x', null);
    expect(recall('form/x')).toBeNull();
    expect(localStorage.length).toBe(0);
  });

  it('reads what earlier versions kept without a time, also bare text', () => {
    localStorage.setItem('fox-tempo/form/old', '{"name":"Corner"}');
    localStorage.setItem('fox-tempo/text/old', '2,5 in');
    expect(recall('form/old')).toEqual({ name: 'Corner' });
    expect(recall('text/old')).toBe('2,5 in');
  });

  it('forgets a form’s fields together and leaves the rest', () => {
    keep('text/new-seam/a', '1');
    keep('text/new-seam/b', '2');
    keep('text/other', '3');
    forgetAll('text/new-seam/');
    expect([recall('text/new-seam/a'), recall('text/new-seam/b'), recall('text/other')]).toEqual([null, null, '3']);
  });

  it('throws half-typed text away after two months, drafts only after more than a year, settings never', () => {
    const begun = 1_700_000_000_000;
    jest.spyOn(Date, 'now').mockReturnValue(begun);
    keep('text/a', '1');
    keep('draft/a', { kind: 2 });
    localStorage.setItem('fox-tempo/settings', '{"state":{}}');
    localStorage.setItem('fox-tempo/form/old', '{"name":"Corner"}');
    const after = (days: number) => sweep(begun + days * 86_400_000);
    after(61);
    expect([recall('text/a'), recall('draft/a')]).toEqual([null, { kind: 2 }]);
    // What had no time got one then.
    expect(recall('form/old')).toEqual({ name: 'Corner' });
    after(401);
    expect(recall('draft/a')).toBeNull();
    expect(recall('form/old')).toBeNull();
    expect(localStorage.getItem('fox-tempo/settings')).not.toBeNull();
  });

  it('says when the browser is full or forbids it, and that it is over', () => {
    const full = jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    expect(keep('draft/a', {})).toBe(false);
    expect(deviceTrouble.getState().trouble).toBe('full');
    full.mockImplementation(() => {
      throw new DOMException('no', 'SecurityError');
    });
    expect(keep('draft/a', {})).toBe(false);
    expect(deviceTrouble.getState().trouble).toBe('forbidden');
    full.mockRestore();
    expect(keep('draft/a', {})).toBe(true);
    expect(deviceTrouble.getState().trouble).toBeNull();
  });

  it('tells of another tab’s change of the same key only', () => {
    const heard = jest.fn();
    const stop = whenChangedElsewhere('draft/a', heard);
    const change = (key: string, newValue: string | null) =>
      globalThis.dispatchEvent(new StorageEvent('storage', { key, newValue }));
    change('fox-tempo/draft/b', '{"keptAt":1,"value":{}}');
    change('fox-tempo/draft/a', '{"keptAt":1,"value":{"kind":2}}');
    change('fox-tempo/draft/a', null);
    stop();
    change('fox-tempo/draft/a', null);
    expect(heard.mock.calls).toEqual([[{ kind: 2 }], [null]]);
  });
});
