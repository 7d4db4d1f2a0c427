import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { act, cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { plainSequence, sequenceTemplates } from '@fox-tempo/core/weld/sequence';
import { alder, answerFetch, revision, rowan, seam } from '../../testing/shop.ts';
import { resetSettings, showRoutes } from '../../testing/show.tsx';
import { readSequenceText } from './file-part.tsx';
import { loadScore, ScoreView } from './index.ts';

const lists = {
  'GET /api/machines': { items: [rowan, alder], next: null },
  'GET /api/machines/alder/slots': { items: [], next: null },
};
const warm = { ...plainSequence, ...sequenceTemplates.find(({ id }) => id === 'cold-plate-warm-hand')?.change };

async function open(at = '/sequence/axle', table: Record<string, unknown> = {}) {
  const answered = answerFetch({ ...lists, 'GET /api/seams/axle': seam(), ...table });
  showRoutes(
    [{ path: '/sequence/:id/:part?', Component: ScoreView, loader: loadScore, HydrateFallback: () => null }],
    at,
  );
  await screen.findByRole('heading', { level: 1 });
  return answered;
}
const field = (name: RegExp) => screen.getByRole<HTMLInputElement>('textbox', { name });
const trigger = () => screen.getByRole<HTMLSelectElement>('combobox', { name: 'Trigger' });
const show = (phase: string) => fireEvent.click(screen.getByRole('tab', { name: phase }));

beforeEach(resetSettings);
afterEach(cleanup);

describe('the score', () => {
  it('begins as the usual start and stop of the metal, and says what each phase takes', async () => {
    await open();
    expect(trigger().value).toBe('hold');
    const table = screen.getByRole('group', { name: /Phases with time/ });
    expect(within(table).getByRole('button', { name: 'main' })).toBeTruthy();
    expect(within(table).getByText('in all')).toBeTruthy();
    expect(screen.queryByRole('tab', { name: 'crater' })).toBeNull();
  });

  it('takes a template as one step, and undo takes it back', async () => {
    await open();
    fireEvent.change(screen.getByRole('combobox', { name: 'Start from' }), {
      target: { value: 'cold-plate-warm-hand' },
    });
    expect(trigger().value).toBe('latch-second');
    show('start');
    expect(field(/^Start level/).value).toBe('130');
    expect(screen.getByText(/edited; draft kept here/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Undo' }));
    expect(trigger().value).toBe('hold');
  });

  it('says a typed level in its other tongues and warns when an absolute start lies below main', async () => {
    await open('/sequence/axle', { 'GET /api/seams/axle': seam({ choice: { ...seam().choice!, sequence: warm } }) });
    show('start');
    fireEvent.change(screen.getByRole('combobox', { name: 'Levels in' }), { target: { value: 'feed' } });
    fireEvent.change(field(/^Start level/), { target: { value: '4' } });
    expect(screen.getByText(/the start is colder than the weld/)).toBeTruthy();
  });

  it('names what is out of limits at its field, and loses nothing', async () => {
    await open('/sequence/axle', { 'GET /api/seams/axle': seam({ choice: { ...seam().choice!, sequence: warm } }) });
    show('crater');
    fireEvent.change(field(/^Hold it for/), { target: { value: '-2' } });
    expect(screen.getByText(/must lie between 0 and 20 s; got −2/)).toBeTruthy();
    expect(field(/^Hold it for/).value).toBe('-2');
    fireEvent.change(field(/^Hold it for/), { target: { value: '0,8' } });
    expect(screen.queryByText(/must lie between 0 and 20/)).toBeNull();
  });

  it('keeps the last score when gas would end with the arc, and says why', async () => {
    await open();
    show('gas after');
    fireEvent.change(field(/^Gas after/), { target: { value: '0' } });
    expect(screen.getByText(/Gas after must be at least 0.2 s/)).toBeTruthy();
    expect(screen.getByRole<HTMLButtonElement>('button', { name: /^Save revision/ }).disabled).toBe(true);
  });

  it('saves the sequence with the program, and a failed save keeps the draft', async () => {
    const answered = await open('/sequence/axle', {
      'PUT /api/seams/axle': {
        type: '/problems/database-away',
        title: 'The store is away',
        status: 503,
        detail: 'Try later.',
      },
    });
    fireEvent.change(trigger(), { target: { value: 'latch' } });
    await act(async () => {
      fireEvent.click(screen.getByRole('button', { name: /^Save revision/ }));
    });
    await waitFor(() => expect(answered.calls.some(({ method }) => method === 'PUT')).toBe(true));
    expect(screen.getByText(/Your draft is kept on this device/)).toBeTruthy();
    expect(trigger().value).toBe('latch');
    expect(localStorage.getItem('fox-tempo/draft/axle')).toContain('latch');
  });

  it('adds and removes taps, each within the seam', async () => {
    await open('/sequence/axle', { 'GET /api/seams/axle': seam({ choice: { ...seam().choice!, sequence: warm } }) });
    show('second level');
    fireEvent.click(screen.getByRole('button', { name: 'Add a tap' }));
    expect(field(/^Tap 1 at/).value).toBe('80');
    fireEvent.change(field(/^Tap 1 at/), { target: { value: '400' } });
    expect(screen.getByText(/must lie between 1 and 159 mm/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Remove tap 1' }));
    expect(screen.queryByRole('textbox', { name: /^Tap 1/ })).toBeNull();
  });

  it('moves a handle by keys: coarse, and fine with Shift', async () => {
    await open('/sequence/axle', { 'GET /api/seams/axle': seam({ choice: { ...seam().choice!, sequence: warm } }) });
    const handle = screen.getByRole('slider', { name: 'Start level and time' });
    fireEvent.keyDown(handle, { key: 'ArrowUp' });
    expect(screen.getByRole('slider', { name: 'Start level and time' }).getAttribute('aria-valuetext')).toBe(
      '135 %, 1.00 s',
    );
    fireEvent.keyDown(screen.getByRole('slider', { name: 'Start level and time' }), {
      key: 'ArrowRight',
      shiftKey: true,
    });
    expect(screen.getByRole('slider', { name: 'Start level and time' }).getAttribute('aria-valuetext')).toBe(
      '135 %, 1.01 s',
    );
  });

  it('plays by the space bar: state, what it waits for, and why a press did nothing', async () => {
    await open();
    // The page's clock by hand: a busy machine must not make the press longer than the gas before.
    let clockMs = 1000;
    const clock = jest.spyOn(performance, 'now').mockImplementation(() => clockMs);
    fireEvent.keyDown(window, { code: 'Space', key: ' ' });
    expect(screen.getByText('gas before', { selector: '[data-state]' })).toBeTruthy();
    // Longer than a bounce of the contact.
    clockMs += 90;
    fireEvent.keyUp(window, { code: 'Space', key: ' ' });
    expect(screen.getByText(/no wire, straight to the gas after/)).toBeTruthy();
    clock.mockRestore();
  });

  it('says it on two machines, with what the simpler one cannot', async () => {
    await open('/sequence/axle/machines', {
      'GET /api/seams/axle': seam({ choice: { ...seam().choice!, sequence: { ...warm, tapsAtMm: [80] } } }),
    });
    expect(screen.getByRole('heading', { name: 'Press on, tap level' })).toBeTruthy();
    expect(screen.getByRole('heading', { name: 'Latched, two levels' })).toBeTruthy();
    expect(screen.getAllByText(/slope to main of 0.5 s; nearest: a step/).length).toBeGreaterThan(0);
  });

  it('checks memories called by taps against what is loaded', async () => {
    await open('/sequence/axle/machines');
    expect(await screen.findByText(/2 taps: memory 1. Do not: memory 1 is empty/)).toBeTruthy();
  });

  it('warns when the start that stands on the machine lies below main, and points the gun', async () => {
    const behind = { ...rowan, standing: { ...rowan.standing!, dials: { ...rowan.standing!.dials, 'first-feed': 3 } } };
    await open('/sequence/axle', {
      'GET /api/machines': { items: [behind], next: null },
      'GET /api/seams/axle': seam({ choice: { ...seam().choice!, sequence: warm } }),
    });
    expect(screen.getByText(/First feed on Rowan is set to 3.0 m\/min, below the main feed/)).toBeTruthy();
    show('main');
    fireEvent.change(field(/^Gun along it/), { target: { value: '-12' } });
    expect(screen.getByText('40°, drag 12°')).toBeTruthy();
    expect(localStorage.getItem('fox-tempo/draft/axle')).toContain('"travelDeg":-12');
  });

  it('works out how long a start has to be held', async () => {
    const aluminium = { filler: 'aluminium-5356', gas: 'I1', diameterMm: 1.2 } as const;
    await open('/sequence/axle', {
      'GET /api/seams/axle': seam({
        spec: { ...seam().spec, materialGroup: 'aluminium', thicknessesMm: [4, 4] },
        choice: { ...seam().choice!, ...aluminium, sequence: { ...warm, startS: 0 } },
        revision: null,
      }),
    });
    show('start');
    expect(field(/^Hold it for/).value).toBe('0');
    fireEvent.click(screen.getByRole('button', { name: 'Calculate the hold time' }));
    expect(Number(field(/^Hold it for/).value)).toBeGreaterThan(0);
  });

  it('plans tacks and puts them on the score', async () => {
    await open('/sequence/axle/tacks');
    fireEvent.change(field(/^Spacing/), { target: { value: '40' } });
    expect(screen.getByRole('img', { name: /5 tacks on 160 mm/ })).toBeTruthy();
    fireEvent.change(field(/^Length of a tack/), { target: { value: '60' } });
    expect(screen.getByText(/leave no gap/)).toBeTruthy();
    fireEvent.change(field(/^Length of a tack/), { target: { value: '8' } });
    fireEvent.click(screen.getByRole('button', { name: 'Put the tacks into the sequence' }));
    expect(localStorage.getItem('fox-tempo/draft/axle')).toContain('"trigger":"spot"');
  });

  it('offers the way out where a seam has no setting', async () => {
    const spec = { ...seam().spec, thicknessesMm: [0.4, 40] as [number, number] };
    await open('/sequence/axle', { 'GET /api/seams/axle': seam({ spec, choice: null, revision: null }) });
    expect(screen.getByRole('link', { name: 'See its sheet first.' })).toBeTruthy();
    expect(revision(1).number).toBe(1);
  });
});

describe('a score file', () => {
  const whole = { score: { rules: { hasGas: true } } } as Parameters<typeof readSequenceText>[1];
  const text = (value: unknown) => JSON.stringify(value);

  it('comes in as it went out, alone or in a program', () => {
    const file = { format: 'fox-tempo/sequence', version: 1, sequence: warm };
    expect(readSequenceText(text(file), whole)).toEqual({ ok: true, sequence: warm });
    expect(readSequenceText(text({ format: 'fox-tempo/program', sequence: warm }), whole).ok).toBe(true);
  });

  it.each([
    ['{', /not JSON/],
    [text({ format: 'other' }), /this one has "other"/],
    [text({ format: 'fox-tempo/sequence', sequence: { ...warm, preGasS: -1 } }), /preGasS/],
    [text({ format: 'fox-tempo/sequence', sequence: { ...warm, tapsAtMm: [50, 20] } }), /tapsAtMm\.1/],
    [text({ format: 'fox-tempo/sequence', sequence: { ...warm, trigger: 'sing' } }), /trigger/],
  ])('refuses %s with its place', (value, said) => {
    const read = readSequenceText(value, whole);
    expect(read.ok ? '' : read.messages.join(' ')).toMatch(said);
  });
});
