import { inEnglish } from '@fox-tempo/words/english';
import { afterEach, describe, expect, it, jest } from '@jest/globals';
import { noTune, tuned } from '@fox-tempo/core/machine/tuning';
import type { Cell, ZoneMap } from '@fox-tempo/core/weld/zone-map';
import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import { alder, program, rowan } from '../../testing/shop.ts';
import { resetSettings, show } from '../../testing/show.tsx';
import { GhostPanel } from './ghost-panel.tsx';
import { mapCsv, plainSvg } from './map-export.ts';
import { PulsePanel } from './pulse-panel.tsx';
import type { Setting } from './use-setting.ts';
import { WhatIfPanel } from './what-if-panel.tsx';
import { ZoneMapView } from './zone-map.tsx';

afterEach(() => {
  cleanup();
  resetSettings();
});

const faster = (() => {
  const moved = tuned(program(), { ...noTune, trimMm: 1.5 }, program().wireFeedMPerMin + 1);
  if (!moved.ok) throw new Error(inEnglish(moved.issues[0]?.message));
  return moved.value;
})();

describe('hold and compare', () => {
  it('lists only the dials that differ, each as the machine says it', () => {
    const onDrop = jest.fn();
    const rest = { ghost: program(), onHold: () => undefined, onSwap: () => undefined, onDrop };
    show(<GhostPanel program={faster} machine={rowan} {...rest} />);
    const table = screen.getByRole('table');
    expect(within(table).getByText('Wire feed')).toBeTruthy();
    expect(within(table).getByText('Arc index')).toBeTruthy();
    expect(within(table).queryByText('Firmness')).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'Clear' }));
    expect(onDrop).toHaveBeenCalledTimes(1);
  });

  it('says so when nothing differs and when there is no machine', () => {
    const rest = { ghost: program(), onHold: () => undefined, onSwap: () => undefined, onDrop: () => undefined };
    const { unmount } = show(<GhostPanel program={program()} machine={alder} {...rest} />);
    expect(screen.getByText('No dial differs yet.')).toBeTruthy();
    unmount();
    show(<GhostPanel program={program()} machine={undefined} {...rest} />);
    expect(screen.getByText('No machine is chosen.')).toBeTruthy();
  });
});

describe('the four numbers of the pulse', () => {
  const setting = (tune: Partial<Setting['tune']>, acts: Partial<Setting> = {}) =>
    ({ seam: { id: 'pulse-seam' }, issues: [], tune: { ...noTune, ...tune }, ...acts }) as unknown as Setting;

  it('stay solved until one is typed, and hand over what makes sense', () => {
    const fixPulse = jest.fn();
    show(<PulsePanel setting={setting({}, { fixPulse })} program={program()} />);
    fireEvent.click(screen.getByRole('button', { name: 'Enter the waveform' }));
    const field = screen.getByLabelText<HTMLInputElement>('Pulses per second, Hz');
    expect(field.placeholder).toBe(`solved: ${program().pulse!.frequencyHz.toFixed(0)}`);
    fireEvent.change(field, { target: { value: '120' } });
    expect(fixPulse).toHaveBeenLastCalledWith('frequencyHz', 120);
    fireEvent.change(field, { target: { value: 'fast' } });
    expect(fixPulse).toHaveBeenCalledTimes(1);
    expect(screen.getByText(/Melts the \d+\.\d m\/min that are fed/)).toBeTruthy();
  });

  it('all fixed say what they melt, and are let go together', () => {
    const solvePulse = jest.fn();
    const { peakCurrentA, peakTimeMs } = program().pulse!;
    const all = { peakCurrentA, peakTimeMs, backgroundCurrentA: 40, frequencyHz: 100 };
    show(<PulsePanel setting={setting(all, { solvePulse })} program={program()} />);
    expect(screen.getByText('Fixed: peak, time at peak, background, pulses per second.')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Enter the waveform' }));
    expect(screen.getByText(/are fed: the arc sinks until it balances/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Solve all four' }));
    expect(solvePulse).toHaveBeenCalledTimes(1);
  });
});

describe('what if', () => {
  it('offers each change with its size, marks what is on, and asks for the gas where one is swapped', () => {
    const onToggle = jest.fn();
    const onGas = jest.fn();
    const rest = { program: program(), machine: rowan, thicknessMm: 2.5, before: null, after: null, onToggle, onGas };
    show(<WhatIfPanel {...rest} changes={new Set(['gas-swapped'] as const)} otherGas="C1" failed="The wire stubs." />);
    fireEvent.click(screen.getByRole('button', { name: /cable resistance up 8 mΩ/ }));
    expect(onToggle).toHaveBeenCalledWith('lead-gained');
    expect(screen.getByRole('button', { name: /gas is CO₂/ }).getAttribute('aria-pressed')).toBe('true');
    expect(screen.getByRole('button', { name: /CTWD 6 mm longer/ }).getAttribute('aria-pressed')).toBe('false');
    fireEvent.change(screen.getByLabelText('Swapped for'), { target: { value: 'M20-ArC-8' } });
    expect(onGas).toHaveBeenCalledWith('M20-ArC-8');
    expect(screen.getByText('The wire stubs.')).toBeTruthy();
  });
});

const cell = (zone: Cell['zone']): Cell => ({
  zone,
  shortsPerS: zone === 'crackle' ? 20 : 0,
  dropsPerPulse: 1,
  arcLengthMm: 3,
});
/** Crackle in the lower half, hum in the upper; one place not computed. */
const map: ZoneMap = {
  count: 4,
  x: { axis: 'wireFeedMPerMin', from: 4, to: 8 },
  y: { axis: 'trimMm', from: -4, to: 4 },
  cells: Array.from({ length: 16 }, (_, place) => (place === 15 ? null : cell(place < 8 ? 'crackle' : 'hum'))),
};

describe('the map', () => {
  const shown = (onMove: ((figures: { x: number; y: number }) => void) | null) =>
    show(
      <ZoneMapView
        map={map}
        x={map.x}
        y={map.y}
        at={{ x: 5.5, y: 1 }}
        program={program()}
        ghost={{ x: 7, y: 2 }}
        beat={null}
        share={1}
        title="Map"
        onMove={onMove}
      />,
    );

  it('says in words where the crosshair stands and how far the edges are', () => {
    shown(() => undefined);
    const drawn = screen.getByRole('application');
    expect(drawn.getAttribute('aria-label')).toContain('Crosshair at wire feed speed 5.5 m/min, trim 1.0 mm: hum.');
    expect(drawn.getAttribute('aria-label')).toContain('crackle 1.0 mm less trim');
    expect(screen.getByText('here: one drop per pulse, steady hum')).toBeTruthy();
  });

  it('is tuned by arrow keys, five steps with shift, and never beyond its ends', () => {
    const onMove = jest.fn();
    shown(onMove);
    const drawn = screen.getByRole('application');
    fireEvent.keyDown(drawn, { key: 'ArrowRight' });
    fireEvent.keyDown(drawn, { key: 'ArrowDown', shiftKey: true });
    for (let press = 0; press < 3; press++) fireEvent.keyDown(drawn, { key: 'Home' });
    expect(onMove.mock.calls).toEqual([[{ x: 5.6, y: 1 }], [{ x: 5.5, y: 0.5 }]]);
  });

  it('beside another it is a picture, not to be moved', () => {
    shown(null);
    expect(screen.queryByRole('application')).toBeNull();
    expect(screen.getByRole('img').getAttribute('tabindex')).toBeNull();
  });

  it('goes out as a table of what was computed, and as one drawing without variables', () => {
    const rows = mapCsv(map).trimEnd().split('\r\n');
    expect(rows).toHaveLength(1 + 15);
    expect(rows[1]).toBe('4.500,-3.000,crackle,20.0,1.00,3.00');
    shown(() => undefined);
    const over = screen.getByRole('application');
    const ground = over.parentElement?.querySelector('svg[aria-hidden]');
    const text = plainSvg(ground as SVGSVGElement, over as unknown as SVGSVGElement, 'night');
    expect(text.match(/<svg/g)).toHaveLength(1);
    expect(text).toContain('<circle');
    expect(text).not.toContain('var(--chakra-colors-crimson');
  });
});
