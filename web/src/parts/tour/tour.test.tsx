import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { cleanup, fireEvent, screen } from '@testing-library/react';
import { seam, spec } from '../../testing/shop.ts';
import { resetSettings, showRoutes } from '../../testing/show.tsx';
import { FirstHour } from './first-hour.tsx';
import { tourOf, tourSteps, visited } from './tour-steps.ts';

const own = seam({ id: 'own', changedBy: 'Ilse Brandokor', spec: { ...spec, name: 'My corner' } });
const open = (seams = [seam({ changedBy: 'Somebody else' }), own]) =>
  showRoutes([{ path: '*', Component: () => <FirstHour seams={seams} />, HydrateFallback: () => null }], '/today');

beforeEach(resetSettings);
afterEach(cleanup);

describe('the first hour', () => {
  it('goes with the person’s own seam, and the next step is marked', () => {
    open();
    expect(screen.getByRole('link', { name: /Read its sheet/ }).getAttribute('href')).toBe('/seams/own');
    expect(screen.getByText(/With My corner/)).toBeTruthy();
  });

  it('ticks what was visited, by person, and is over when all is', () => {
    visited('someone', '/seams/own');
    visited('someone', '/seams');
    visited('other', '/simulator/own');
    expect(tourOf('someone')).toEqual(['sheet']);
    open();
    expect(screen.getByRole('link', { name: /● Read its sheet.*done/ })).toBeTruthy();
    expect(screen.getByRole('link', { name: /○ ?Tune it/ })).toBeTruthy();
    cleanup();
    for (const { to } of tourSteps) visited('someone', to('own'));
    open();
    expect(screen.queryByText('The first hour')).toBeNull();
  });

  it('is put away for good', () => {
    open();
    fireEvent.click(screen.getByRole('button', { name: 'Close it' }));
    expect(screen.queryByText('The first hour')).toBeNull();
    cleanup();
    open();
    expect(screen.queryByText('The first hour')).toBeNull();
    visited('someone', '/simulator/own');
    expect(tourOf('someone')).toBeNull();
  });

  it('begins with describing a seam where there is none', () => {
    open([]);
    expect(
      screen.getByRole('link', { name: 'Describe one by metal, thickness, joint and position.' }).getAttribute('href'),
    ).toBe('/seams?new=1');
  });
});
