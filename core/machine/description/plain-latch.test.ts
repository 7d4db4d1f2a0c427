import { describe, expect, it } from '@jest/globals';
import { hazel, rowan } from '../../scenarios/index.ts';
import { machineIssues } from './machine-issues.ts';
import { drawnLatch, plainLatches, withPlainLatch } from './plain-latch.ts';
import { habitOf, schoolOn, triggerModeFor } from './trigger-mode.ts';

const evidence = { result: 'as-described', by: 'ari', on: '2026-11-25' } as const;

describe('plain latching and its dry test', () => {
  it('draws four different machines under one name, none of them with a state out of reach', () => {
    const drawn = plainLatches.map((plain) => JSON.stringify(drawnLatch(plain).moves));
    expect(new Set(drawn).size).toBe(4);
    for (const plain of plainLatches) {
      const machine = {
        ...hazel,
        triggerModes: [{ id: 'latch', label: 'Tap', school: 'latch' as const, ...drawnLatch(plain) }],
      };
      expect(machineIssues(machine)).toEqual([]);
    }
  });

  it('writes what was found with who and when', () => {
    const found = withPlainLatch(hazel, 'latch', { startsOn: 'press', endsOn: 'release' }, evidence);
    if (!found.ok) throw new Error('refused');
    const mode = triggerModeFor(found.value, 'latch')?.mode;
    expect(mode).toMatchObject({ senseTested: true, evidence: [evidence], label: 'Tap' });
    expect(mode && habitOf(mode)).toEqual({ startsOn: 'press', endsOn: 'release', endLimitS: null });
  });

  it('refuses modes that are not plain, and unknown ones', () => {
    const plain = { startsOn: 'press', endsOn: 'press' } as const;
    expect(withPlainLatch(rowan, 'latch-levels', plain, evidence)).toMatchObject({
      ok: false,
      issues: [{ code: 'not-plain' }],
    });
    expect(withPlainLatch(rowan, 'nothing', plain, evidence)).toMatchObject({
      ok: false,
      issues: [{ code: 'unknown-mode' }],
    });
  });

  it('finds the nearest school a machine has', () => {
    expect(schoolOn(hazel, 'latch-second')).toBe('hold-timed');
    expect(schoolOn(rowan, 'spot')).toBe('hold');
    expect(schoolOn({ triggerModes: [] }, 'spot')).toBe('spot');
  });
});
