import { beforeEach, afterEach, describe, expect, it, jest } from '@jest/globals';
import { parseWith, partSave, type Part } from '@fox-tempo/contract';
import { failure, success } from '@fox-tempo/core/base/outcome';
import { act, cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { ProblemError } from '../../data/client.ts';
import { settings } from '../../session/settings.ts';
import { resetSettings, show } from '../../testing/show.tsx';
import { FormQuantity, FormText } from './fields.tsx';
import { useRecordForm } from './record-form.ts';
import { RecordTroubles } from './record-troubles.tsx';

const rail: Part = { id: 'rail', name: 'Rail', about: '', version: 3, retired: false };
const stale = (current: Part) =>
  new ProblemError('stale-version', { type: '/problems/stale-version', title: 'Old', status: 412, current });

function PartForm({
  write,
  onSaved = () => undefined,
}: {
  write: (body: unknown, on: number, confirmed: readonly string[]) => Promise<unknown>;
  onSaved?: () => void;
}) {
  const record = useRecordForm({
    keep: 'test/rail',
    labels: { name: 'Name', about: 'What it is', retired: 'Retired' },
    parse: (value) => parseWith(partSave, value),
    stored: rail,
    values: (stored: Part | null) => ({
      name: stored?.name ?? '',
      about: stored?.about ?? '',
      retired: stored?.retired ?? false,
    }),
    write,
    onSaved,
  });
  return (
    <>
      <FormText of={record} name="name" />
      <button onClick={() => void record.submit()}>Save</button>
      <button onClick={() => void record.submit({ retired: true })}>Retire</button>
      <RecordTroubles of={record} word="Not saved." />
    </>
  );
}
const type = (value: string) => fireEvent.change(screen.getByLabelText('Name'), { target: { value } });
const press = async (name: string) => act(async () => fireEvent.click(screen.getByRole('button', { name })));

beforeEach(resetSettings);
afterEach(cleanup);

describe('a form of one record', () => {
  it('says at the field what the contract finds wrong, by the field’s own label, and sends nothing', async () => {
    const write = jest.fn<(body: unknown, on: number, confirmed: readonly string[]) => Promise<unknown>>(() =>
      Promise.resolve(),
    );
    show(<PartForm write={write} />);
    type('  ');
    await press('Save');
    expect(await screen.findByText(/Name/, { selector: '[id$=note]' })).toBeTruthy();
    expect(screen.getByLabelText('Name').getAttribute('aria-invalid')).toBe('true');
    expect(write).not.toHaveBeenCalled();
  });

  it('keeps what is typed over a reload, and nothing once it is saved or is as it was', async () => {
    const write = jest.fn<(body: unknown, on: number, confirmed: readonly string[]) => Promise<unknown>>(() =>
      Promise.resolve(),
    );
    show(<PartForm write={write} />);
    type('Rail, left');
    await waitFor(() => expect(localStorage.getItem('fox-tempo/form/test/rail')).toContain('Rail, left'));
    cleanup();
    show(<PartForm write={write} />);
    expect(screen.getByLabelText<HTMLInputElement>('Name').value).toBe('Rail, left');
    await press('Save');
    expect(write).toHaveBeenCalledWith({ name: 'Rail, left', about: '', retired: false }, 3, []);
    expect(localStorage.getItem('fox-tempo/form/test/rail')).toBeNull();
    type('Rail');
    await waitFor(() => expect(localStorage.getItem('fox-tempo/form/test/rail')).toBeNull());
  });

  it('sends what was kept on the version it was begun on, not on what is stored by now', async () => {
    localStorage.setItem(
      'fox-tempo/form/test/rail',
      JSON.stringify({ keptAt: 1, value: { name: 'Rail, left', about: '', retired: false, basedOn: 2 } }),
    );
    const write = jest.fn<(body: unknown, on: number, confirmed: readonly string[]) => Promise<unknown>>(() =>
      Promise.resolve(),
    );
    show(<PartForm write={write} />);
    await press('Save');
    expect(write).toHaveBeenCalledWith({ name: 'Rail, left', about: '', retired: false }, 2, []);
  });

  it('shows both versions where somebody saved in between, and saves mine over theirs on theirs', async () => {
    const theirs = { ...rail, name: 'Rail of the cart', version: 5 };
    const write = jest
      .fn<(body: unknown, on: number, confirmed: readonly string[]) => Promise<unknown>>()
      .mockRejectedValueOnce(stale(theirs))
      .mockResolvedValue(undefined);
    show(<PartForm write={write} />);
    type('Rail, left');
    await press('Save');
    const both = await screen.findByRole('alertdialog');
    expect(both.textContent).toContain('Rail of the cart');
    expect(both.textContent).toContain('Rail, left');
    await press('Save mine over it');
    expect(write).toHaveBeenLastCalledWith({ name: 'Rail, left', about: '', retired: false }, 5, []);
  });

  it('takes theirs into the fields, and the next save stands on it', async () => {
    const theirs = { ...rail, name: 'Rail of the cart', version: 5 };
    const write = jest
      .fn<(body: unknown, on: number, confirmed: readonly string[]) => Promise<unknown>>()
      .mockRejectedValueOnce(stale(theirs))
      .mockResolvedValue(undefined);
    show(<PartForm write={write} />);
    type('Rail, left');
    await press('Save');
    await press('Take the stored one');
    expect(screen.getByLabelText<HTMLInputElement>('Name').value).toBe('Rail of the cart');
    type('Rail of the cart, left');
    await press('Save');
    expect(write).toHaveBeenLastCalledWith({ name: 'Rail of the cart, left', about: '', retired: false }, 5, []);
  });

  it('a change that comes with the act counts only if it goes through', async () => {
    const write = jest
      .fn<(body: unknown, on: number, confirmed: readonly string[]) => Promise<unknown>>()
      .mockRejectedValueOnce(
        new ProblemError('unreachable', { type: 'about:blank', title: 'Away', status: 0, detail: 'No answer.' }),
      );
    write.mockResolvedValue(undefined);
    show(<PartForm write={write} />);
    await press('Retire');
    expect(await screen.findByText(/No answer/)).toBeTruthy();
    await press('Save');
    expect(write.mock.calls.map(([body]) => (body as Part).retired)).toEqual([true, false]);
  });
});

function MassForm({ onBody }: { onBody: (body: unknown) => void }) {
  const record = useRecordForm({
    keep: 'test/mass',
    labels: { massKg: 'Wire on it' },
    quantities: { massKg: 'spoolMass' },
    parse: (value) => {
      const { massKg } = value as { massKg: number | null };
      return massKg !== null && massKg >= 0
        ? success({ massKg })
        : failure({ path: 'massKg', code: 'out-of-range', message: 'massKg must be at least 0.' });
    },
    stored: null,
    values: () => ({ massKg: '15' }),
    write: (body) => {
      onBody(body);
      return Promise.resolve();
    },
    onSaved: () => undefined,
  });
  return (
    <>
      <FormQuantity of={record} name="massKg" kind="spoolMass" />
      <button onClick={() => void record.submit()}>Save</button>
      <RecordTroubles of={record} word="Not saved." />
    </>
  );
}

describe('a quantity in a form', () => {
  it('is text until it is sent: units are read, nonsense is not saved as the figure before', async () => {
    const onBody = jest.fn();
    show(<MassForm onBody={onBody} />);
    const field = screen.getByLabelText<HTMLInputElement>(/^Wire on it/);
    fireEvent.change(field, { target: { value: 'heavy' } });
    await press('Save');
    expect(onBody).not.toHaveBeenCalled();
    expect(field.getAttribute('aria-invalid')).toBe('true');
    fireEvent.change(field, { target: { value: '33 lb' } });
    await press('Save');
    expect((onBody.mock.calls[0]?.[0] as { massKg: number }).massKg).toBeCloseTo(33 * 0.45359237, 6);
  });

  it('follows when the units are changed', async () => {
    show(<MassForm onBody={() => undefined} />);
    act(() => {
      settings.setState({ units: 'us' });
    });
    // 15 kg are 33.1 lb.
    await waitFor(() =>
      expect(Number(screen.getByLabelText<HTMLInputElement>(/^Wire on it/).value)).toBeCloseTo(33.07, 1),
    );
  });
});
