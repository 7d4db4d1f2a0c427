import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { act, cleanup, fireEvent, screen } from '@testing-library/react';
import { useState } from 'react';
import { settings } from '../session/settings.ts';
import { resetSettings, show } from '../testing/show.tsx';
import { ValueField, type ValueFieldProps } from './value-field.tsx';

const input = () => screen.getByRole<HTMLInputElement>('textbox');
const type = (text: string) => fireEvent.change(input(), { target: { value: text } });
const field = (change: Partial<ValueFieldProps> = {}, onValue = jest.fn<(value: number | null) => void>()) => {
  show(
    <ValueField label="Leg" of="shortLength" value={4} keep="test/leg" range={[1, 12]} onValue={onValue} {...change} />,
  );
  return onValue;
};

beforeEach(resetSettings);
afterEach(cleanup);

describe('a field for a quantity', () => {
  it('hands over what makes sense, in stored units, whichever way it is typed', () => {
    const onValue = field();
    type('5,5');
    expect(onValue).toHaveBeenLastCalledWith(5.5);
    type('1/4 in');
    expect(onValue).toHaveBeenLastCalledWith(6.35);
    type('2 + 0.5');
    expect(onValue).toHaveBeenLastCalledWith(2.5);
  });

  it('names field, limit and value where it does not, and hands over nothing', () => {
    const onValue = field();
    type('40');
    expect(screen.getByText(/Leg must lie between 1 and 12 mm; got 40/)).toBeTruthy();
    type('');
    expect(screen.getByText(/Leg is empty; type a number/)).toBeTruthy();
    type('four');
    expect(input().getAttribute('aria-invalid')).toBe('true');
    expect(onValue).not.toHaveBeenCalled();
  });

  it('keeps half-typed text over a reload', () => {
    field();
    type('40');
    cleanup();
    field();
    expect(input().value).toBe('40');
    expect(screen.getByText(/must lie between/)).toBeTruthy();
    type('4');
    cleanup();
    field();
    expect(input().value).toBe('4');
  });

  it('may be empty where it says so, and whole where it must', () => {
    const optional = field({ optional: true });
    type('');
    expect(optional).toHaveBeenLastCalledWith(null);
    cleanup();
    const whole = field({ whole: true, of: 'plain', range: [1, 99] });
    type('2.5');
    expect(screen.getByText(/must be a whole number/)).toBeTruthy();
    expect(whole).not.toHaveBeenCalled();
  });

  it('steps by arrow keys on the grid of its step, ten at a time with Shift', () => {
    const onValue = field({ value: 4.02, step: 0.1 });
    fireEvent.keyDown(input(), { key: 'ArrowUp' });
    expect(onValue).toHaveBeenLastCalledWith(4.1);
    fireEvent.keyDown(input(), { key: 'ArrowDown', shiftKey: true });
    expect(onValue).toHaveBeenLastCalledWith(3);
  });

  it('shows the other system beside it, and itself in the one chosen', () => {
    field();
    expect(screen.getByText(/0\.157 in/)).toBeTruthy();
    act(() => {
      settings.setState({ units: 'us' });
    });
    expect(input().value).toMatch(/^0\.157/);
    expect(screen.getByText(/4(\.0)? mm/)).toBeTruthy();
  });

  it('of a form counts as empty while it makes no sense, and one that must be filled keeps its figure', () => {
    const optional = field({ optional: true });
    type('99');
    expect(optional).toHaveBeenLastCalledWith(null);
    expect(input().value).toBe('99');
    cleanup();
    localStorage.clear();
    const required = field();
    type('99');
    expect(required).not.toHaveBeenCalled();
  });

  it('drops what could not be taken when the figure is moved from elsewhere', () => {
    function Moved() {
      const [value, setValue] = useState<number | null>(4);
      return (
        <>
          <ValueField
            label="Leg"
            of="shortLength"
            value={value}
            keep="test/moved"
            range={[1, 12]}
            follows
            onValue={setValue}
          />
          <button onClick={() => setValue(7)}>move</button>
        </>
      );
    }
    show(<Moved />);
    type('99');
    expect(screen.getByText(/must lie between/)).toBeTruthy();
    fireEvent.blur(input());
    fireEvent.click(screen.getByRole('button', { name: 'move' }));
    expect(input().value).toBe('7');
    expect(screen.queryByText(/must lie between/)).toBeNull();
  });

  it('shows what the server found wrong until something else is typed', () => {
    field({ error: 'Leg is wider than the plate.' });
    expect(screen.getByText(/Leg is wider than the plate/)).toBeTruthy();
  });
});
