import { ChakraProvider } from '@chakra-ui/react';
import { afterEach, describe, expect, it, jest } from '@jest/globals';
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { settings } from '../session/settings.ts';
import { QuantityField, type QuantityFieldProps } from './quantity-field.tsx';
import { system } from './theme/system.ts';

afterEach(() => {
  cleanup();
  settings.setState({ units: 'metric' });
});

function show(change: Partial<QuantityFieldProps> = {}) {
  const onText = jest.fn();
  const onValue = jest.fn();
  render(
    <ChakraProvider value={system}>
      <QuantityField
        label="First part"
        of="thickness"
        value={2.5}
        text={undefined}
        step={0.1}
        onText={onText}
        onValue={onValue}
        {...change}
      />
    </ChakraProvider>,
  );
  return { input: screen.getByRole<HTMLInputElement>('textbox'), onText, onValue };
}

describe('a number field', () => {
  it('shows the stored value in the chosen unit, the other beside it, and follows the switch', () => {
    const { input } = show();
    expect(input.value).toBe('2.5');
    expect(screen.getByText('0.098 in')).toBeTruthy();
    act(() => {
      settings.setState({ units: 'us' });
    });
    expect(input.value).toBe('0.0984');
    expect(screen.getByLabelText('First part, in')).toBe(input);
  });

  it('leaves the text to the person while they type', () => {
    const { input, onText } = show();
    fireEvent.focus(input);
    fireEvent.change(input, { target: { value: '5/32 in' } });
    expect(onText).toHaveBeenCalledWith('5/32 in');
    expect(input.value).toBe('5/32 in');
    fireEvent.blur(input);
    expect(input.value).toBe('2.5');
  });

  it('steps by arrow keys on the step’s own grid', () => {
    const { input, onValue } = show({ value: 2.54 });
    fireEvent.keyDown(input, { key: 'ArrowUp' });
    expect(onValue).toHaveBeenLastCalledWith(2.6);
    fireEvent.keyDown(input, { key: 'ArrowDown', shiftKey: true });
    expect(onValue).toHaveBeenLastCalledWith(1.5);
  });

  it('keeps what could not be taken, and says why at the field', () => {
    const { input } = show({ text: '400 mm', error: 'Thickness must lie between 0.6 and 25 mm.' });
    expect(input.value).toBe('400 mm');
    expect(input.getAttribute('aria-invalid')).toBe('true');
    const note = document.getElementById(input.getAttribute('aria-describedby') ?? '');
    expect(note?.textContent).toContain('between 0.6 and 25 mm');
  });
});
