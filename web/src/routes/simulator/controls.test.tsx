import { inEnglish } from '@fox-tempo/words/english';
import { afterEach, describe, expect, it } from '@jest/globals';
import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import type { FeedHabit } from '@fox-tempo/core/machine/tuning';
import { useState } from 'react';
import { rowan, seam } from '../../testing/shop.ts';
import { resetSettings, show } from '../../testing/show.tsx';
import { Controls } from './controls.tsx';
import { useSheetSession } from '../../sheet/session.ts';
import { useSetting } from './use-setting.ts';

afterEach(() => {
  cleanup();
  resetSettings();
});

function Bench() {
  const session = useSheetSession(seam(), [rowan]);
  const setting = useSetting(session);
  const [habit, setHabit] = useState<FeedHabit>('hold-length');
  return (
    <>
      <Controls setting={setting} machine={rowan} habit={habit} onHabit={setHabit} />
      {setting.issues.map((issue) => (
        <p key={issue.path}>{inEnglish(issue.message)}</p>
      ))}
    </>
  );
}
const field = (label: string) => screen.getByLabelText<HTMLInputElement>(label, { exact: true });
const figure = (label: string) => Number(field(label).value);

describe('the controls', () => {
  it('move physics by one step of the machine’s own dial, and the dial follows physics', () => {
    show(<Bench />);
    const was = figure('Wire feed speed, m/min');
    const more = screen.getByRole('button', { name: 'Wire feed: one step, wire feed speed higher' });
    fireEvent.click(more);
    const once = figure('Wire feed speed, m/min');
    fireEvent.click(more);
    // Rowan's left knob has steps of 0.1 m/min; the first lands on its grid.
    expect(once).toBeGreaterThan(was);
    expect(figure('Wire feed speed, m/min') - once).toBeCloseTo(0.1, 6);
    fireEvent.change(screen.getByLabelText('Wire feed speed, slider'), { target: { value: '9' } });
    expect(figure('Wire feed speed, m/min')).toBe(9);
    expect(within(more.parentElement as HTMLElement).getByText('9.0')).toBeTruthy();
  });

  it('take a typed figure key by key without losing the field, also in the other system', () => {
    show(<Bench />);
    const trim = field('Trim (arc length), mm');
    trim.focus();
    for (const text of ['-', '-1', '-1.', '-1.5']) fireEvent.change(trim, { target: { value: text } });
    expect(document.activeElement).toBe(field('Trim (arc length), mm'));
    fireEvent.blur(trim);
    expect(figure('Trim (arc length), mm')).toBe(-1.5);
    fireEvent.change(field('Wire feed speed, m/min'), { target: { value: '320 ipm' } });
    fireEvent.blur(field('Wire feed speed, m/min'));
    expect(figure('Wire feed speed, m/min')).toBeCloseTo(320 * 0.0254, 3);
  });

  it('say what cannot be taken, keep the text, and drop it when the value is moved elsewhere', () => {
    show(<Bench />);
    fireEvent.change(field('Trim (arc length), mm'), { target: { value: 'long' } });
    fireEvent.blur(field('Trim (arc length), mm'));
    expect(field('Trim (arc length), mm').value).toBe('long');
    fireEvent.change(screen.getByLabelText('Trim (arc length), slider'), { target: { value: '2' } });
    expect(field('Trim (arc length), mm').value).toBe('2');
    expect(localStorage.getItem('fox-tempo/text/bench/axle/trimMm')).toBeNull();
  });

  it('mark what changed and put it back line by line', () => {
    show(<Bench />);
    const was = figure('Trim (arc length), mm');
    fireEvent.change(screen.getByLabelText('Trim (arc length), slider'), { target: { value: '2' } });
    fireEvent.change(screen.getByLabelText('Soft to stiff, slider'), { target: { value: '4' } });
    fireEvent.click(screen.getByRole('button', { name: 'Reset Trim (arc length)' }));
    expect(figure('Trim (arc length), mm')).toBeCloseTo(was, 6);
    expect(figure('Soft to stiff')).toBe(4);
    expect(screen.queryByRole('button', { name: 'Reset Trim (arc length)' })).toBeNull();
  });

  it('explain the habit that is on', () => {
    show(<Bench />);
    expect(screen.getByText(/keeps its length in millimetres/)).toBeTruthy();
    fireEvent.change(screen.getByLabelText('When the wire feed changes'), { target: { value: 'hold-volts' } });
    expect(screen.getByText(/at a fixed voltage more wire can look colder/)).toBeTruthy();
    const trim = figure('Trim (arc length), mm');
    fireEvent.change(screen.getByLabelText('Wire feed speed, slider'), { target: { value: '9.5' } });
    expect(figure('Trim (arc length), mm')).toBeLessThan(trim);
  });
});
