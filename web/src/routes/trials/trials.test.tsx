import { standardSite } from '@fox-tempo/core/site';
import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import type { DiagnosisAnswer, Trial, TrialCreate, TrialRow } from '@fox-tempo/contract';
import { message } from '@fox-tempo/core/base/messages';
import { symptomCodes, usualLevel } from '@fox-tempo/core/evidence/trial';
import { answerFetch, rowan, seam, when } from '../../testing/shop.ts';
import { resetSettings, showRoutes } from '../../testing/show.tsx';
import {
  CompareTrials,
  loadCompareTrials,
  loadTrial,
  loadTrialPlan,
  loadTrialRecord,
  loadTrials,
  TrialList,
  TrialPlan,
  TrialRecord,
  TrialView,
} from './index.ts';
import { presetFor } from '../../sheet/use-limits.ts';

const id = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;

function row(n: number, change: Partial<TrialRow> = {}): TrialRow {
  return {
    id: id(n),
    row: n,
    at: when,
    seamId: 'axle',
    seamName: 'Axle plate to tube',
    partName: 'Cart frame',
    machineId: 'rowan',
    machineName: 'Rowan',
    revision: 1,
    recordedBy: 'Teo Varnholt',
    weldedBy: 'Teo Varnholt',
    weldedById: 'teo',
    verdict: 'fail',
    byEyeOnly: true,
    materialGroup: 'steel',
    thicknessMm: 2.5,
    position: 'PB',
    mode: 'pulse',
    filler: 'steel-solid',
    gas: 'M21-ArC-18',
    diameterMm: 1,
    wireFeedMPerMin: 5.6,
    trimMm: -0.5,
    plannedTravelMmPerMin: 600,
    foundTravelMmPerMin: 450,
    arcSeconds: 20,
    legsMm: [4.1, 4],
    symptoms: ['crackle'],
    photos: 0,
    ...change,
  };
}

function trial(n: number, change: Partial<Trial> = {}): Trial {
  return {
    ...row(n),
    body: {
      dials: { feed: 5.6 + n / 10 },
      measured: { legsMm: [4.1, 4] },
      symptoms: { crackle: { answer: 'yes', severity: 2 }, 'pores-row': { answer: 'no' } },
      heard: ['hum-crackle'],
      tests: [],
      note: `coupon ${n}`,
      timing: { seconds: 20, lengthMm: 150, by: 'helper' },
    },
    deviceAt: null,
    correction: null,
    limits: presetFor(seam(), standardSite, usualLevel),
    plannedLegMm: 3.5,
    contentHash: null,
    attachments: [],
    corrected: [],
    ...change,
  };
}

const predicted = {
  displayedCurrentA: 128,
  displayedVoltageV: 23.9,
  pulseHz: 120,
  shortsPerS: 0,
  arcMm: 3,
  legMm: 3.5,
  widthMm: 5,
  travelMmPerMin: 600,
  transferMode: 'pulsed-one-drop',
};
const diagnosis: DiagnosisAnswer = {
  predicted,
  causes: [
    {
      code: 'return-poor',
      name: message('judge.return-poor'),
      probability: 0.62,
      family: 'circuit',
      because: [message('judge.because-prior', { prior: '5 %' })],
    },
  ],
  none: 0.02,
  pairs: [],
  nextLook: {
    code: 'look-at-the-clamp',
    words: message('judge.look-at-the-clamp'),
    minutes: 1,
    bits: 0.6,
    isolate: true,
    shows: ['return-poor'],
  },
  moves: [
    {
      code: 'mend-circuit',
      words: message('judge.move-mend', { look: message('judge.look-at-the-clamp') }),
      kind: 'set-up',
      gain: 0.7,
      minutes: 3,
      mends: ['return-poor'],
      predicted,
      sideEffects: [message('judge.side-none-known')],
    },
  ],
  backCheck: null,
  warnings: [],
};
const page = (items: unknown[]) => ({ items, next: null });

function open(at: string, more: Record<string, unknown> = {}) {
  const answered = answerFetch({
    'GET /api/seams/axle': seam(),
    'GET /api/machines': page([rowan]),
    'GET /api/trials?limit=60': page([row(2), row(1, { verdict: 'pass', symptoms: [] })]),
    'GET /api/trials?verdict=pass&limit=60': page([row(1, { verdict: 'pass', symptoms: [] })]),
    'GET /api/trials?seam=axle&limit=24': page([row(2), row(1, { verdict: 'pass' })]),
    'GET /api/trials?seam=axle&limit=20': page([row(1, { verdict: 'pass' })]),
    'GET /api/trials?seam=axle&limit=40': page([row(2), row(1, { verdict: 'pass' })]),
    'GET /api/trials?seam=axle&machine=rowan&verdict=pass&limit=1': page([]),
    [`GET /api/trials/${id(1)}`]: trial(1, { verdict: 'pass' }),
    [`GET /api/trials/${id(2)}`]: trial(2),
    [`GET /api/trials/${id(2)}/diagnosis`]: diagnosis,
    'GET /api/seams/axle/learned?machine=rowan': { pace: null, trim: null, nearest: [] },
    ...more,
  });
  const routes = [
    { path: '/trials', Component: TrialList, loader: loadTrials },
    { path: '/trials/compare', Component: CompareTrials, loader: loadCompareTrials },
    { path: '/trials/:id', Component: TrialView, loader: loadTrial },
    { path: '/seams/:id/trial', Component: TrialRecord, loader: loadTrialRecord },
    { path: '/seams/:id/trial-plan', Component: TrialPlan, loader: loadTrialPlan },
  ].map((route) => ({ ...route, HydrateFallback: () => null }));
  return { ...answered, router: showRoutes(routes, at) };
}
/** By name, without working out every role of a page with ninety drawings on it: that takes seconds. */
const button = (name: string) =>
  [...document.querySelectorAll('button')].find(
    (one) => one.getAttribute('aria-label') === name || one.textContent?.trim() === name,
  );
function tap(name: string) {
  const found = button(name);
  if (!found) throw new Error(`no button “${name}”`);
  fireEvent.click(found);
}
const verdict = () => within(screen.getByText('Verdict', { selector: 'h2' }).closest('section')!);

beforeEach(resetSettings);
afterEach(cleanup);

describe('recording a trial', () => {
  it('is six taps for a good one: four sides, the gauge, record', async () => {
    const sent: TrialCreate[] = [];
    const { router } = open('/seams/axle/trial', {
      'POST /api/trials': (body: TrialCreate) => {
        sent.push(body);
        return trial(2);
      },
    });
    await screen.findByText('Looked at');
    expect(verdict().getByText('open', { selector: 'span' })).toBeTruthy();
    for (const side of ['Front', 'Back', 'Start', 'End']) tap(`${side}, looked at: clean`);
    tap('fits');
    expect(verdict().getByText('passed by eye')).toBeTruthy();
    tap('Record this test weld');
    await screen.findByText('Likely causes');
    expect(router.state.location.pathname).toBe(`/trials/${id(2)}`);
    expect(sent[0]?.body).toMatchObject({ measured: { gauge: 'fits' } });
    // Exactly the four sides are no; what was heard stays not looked at.
    const no = Object.values(sent[0]?.body.symptoms ?? {}).filter(({ answer }) => answer === 'no').length;
    expect(no).toBeGreaterThan(20);
    expect(no).toBeLessThan(symptomCodes.length);
  });

  it('asks back a leg that does not fit the metal fed, and keeps what was typed', async () => {
    open('/seams/axle/trial');
    await screen.findByText('Looked at');
    const type = (label: string, text: string) =>
      fireEvent.change(screen.getByLabelText(label), { target: { value: text } });
    type('Seconds, s', '20');
    type('Leg, first plate, mm', '9');
    type('Leg, second plate, mm', '9');
    expect(screen.getByText(/does not fit the/)).toBeTruthy();
    expect(button('Record this test weld')).toBeUndefined();
    tap('Measured again: keep it');
    expect(button('Record this test weld')).toBeDefined();
    cleanup();
    open('/seams/axle/trial');
    await screen.findByText('Looked at');
    expect(screen.getByLabelText<HTMLInputElement>('Leg, second plate, mm').value).toBe('9');
  });

  it('takes what was seen by its drawing, worse with every tap', async () => {
    open('/seams/axle/trial');
    await screen.findByText('Looked at');
    tap('Something seen: End');
    const crack = screen.getByRole('button', { name: /crater crack \(104\)/ });
    fireEvent.click(crack);
    expect(crack.textContent).toContain('slight');
    fireEvent.click(crack);
    expect(crack.textContent).toContain('plain');
    expect(verdict().getByText('failed', { selector: 'span' })).toBeTruthy();
  });
});

describe('a trial that was judged', () => {
  it('shows the next move, the causes with what spoke for them, and where to look', async () => {
    const { router } = open(`/trials/${id(2)}`);
    await screen.findByText('Next move');
    expect(screen.getByText('Look here next')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: /bad return \(work\/ground\) clamp connection/ }));
    expect(screen.getByText(/before any evidence/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Done: weld again' }));
    await screen.findByText('After the move');
    expect(router.state.location.search).toContain('move=mend-circuit');
  });
});

describe('the list', () => {
  it('names verdict, pace and what was seen, and filters by its address', async () => {
    const { router } = open('/trials');
    const table = within(await screen.findByRole('table'));
    expect(table.getAllByRole('row')).toHaveLength(3);
    expect(table.getAllByText('75 %').length).toBeGreaterThan(0);
    expect(table.getByText('crackle')).toBeTruthy();
    fireEvent.change(screen.getByLabelText('Verdict'), { target: { value: 'pass' } });
    await screen.findByText(/^1 shown/);
    expect(router.state.location.search).toBe('?verdict=pass');
  });

  it('holds trials side by side, only what differs of their settings', async () => {
    open(`/trials/compare?ids=${id(1)},${id(2)}`);
    await screen.findByText('Settings that differ');
    const table = within(screen.getByRole('table'));
    expect(table.getByText('5.7')).toBeTruthy();
    expect(table.getByText('5.8')).toBeTruthy();
    expect(table.queryByRole('rowheader', { name: 'Wire feed speed' })).toBeNull();
    expect(table.getByText('coupon 2')).toBeTruthy();
  });
});

describe('the plan of trials', () => {
  it('names the fewest coupons, and gives the band of a sweep', async () => {
    open('/seams/axle/trial-plan');
    await screen.findByText(/Coupons, the fewest first/);
    await screen.findByText('1 of 3 passes in a row');
    fireEvent.change(screen.getByLabelText('Step of the first crackle'), { target: { value: '4' } });
    fireEvent.change(screen.getByLabelText('Step that was too long'), { target: { value: '10' } });
    expect(screen.getByText(/^Good from/)).toBeTruthy();
    expect(screen.getByRole('button', { name: /middle/ })).toBeTruthy();
  });
});
