import { afterEach, describe, expect, it } from '@jest/globals';
import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import { settings } from '../../session/settings.ts';
import { hazel, program, rowan, setFor } from '../../testing/shop.ts';
import { resetSettings, show } from '../../testing/show.tsx';
import { DialCard } from './dial-card.tsx';
import { chosenMachine, leastChangeover } from '../../sheet/machine-choice.ts';
import { DialStrip } from './dial-strip.tsx';

afterEach(() => {
  cleanup();
  resetSettings();
});

const line = (label: string) => screen.getByText(label).closest('div')?.parentElement?.parentElement as HTMLElement;

describe('the dial card', () => {
  it('says the setting in the machine’s own dials, marks what changes and what a step misses', () => {
    // A gas whose line nobody taught: the machine's neutral is the model's line.
    const elsewhere = { ...program(), gas: 'M20-ArC-8', trimMm: -0.55 };
    const coarse = rowan.file.dials.map((dial) =>
      dial.id === 'arc-index' && dial.scale.kind === 'linear' ? { ...dial, scale: { ...dial.scale, step: 4 } } : dial,
    );
    const usualLeads = { ...rowan, file: { ...rowan.file, circuitMOhm: 15, dials: coarse } };
    show(<DialCard machines={[usualLeads]} program={elsewhere} />);
    expect(within(line('Arc index')).getByText('44')).toBeTruthy();
    // 45.4 is not to be had in steps of 4, of 0.12 mm each: 0.17 mm short of the wish. A tenth and less is not worth a line.
    expect(within(line('Arc index')).getByText('misses by −0.17 mm of arc')).toBeTruthy();
    expect(within(line('Arc index')).getByText('set, was 50')).toBeTruthy();
    expect(within(line('Line')).getByText('set, was 12')).toBeTruthy();
    // Nobody has seen how it stands, so it has to be set; there is nothing it was.
    expect(within(line('Firmness')).getByText('set')).toBeTruthy();
    expect(screen.getByText(/lines? to change/)).toBeTruthy();
  });

  it('makes up for leads as they were measured last, and folds lines that stand as they are', () => {
    const elsewhere = { ...program(), gas: 'M20-ArC-8', trimMm: -0.55 };
    const stands = setFor({ ...rowan, file: { ...rowan.file, circuitMOhm: 15 } }, elsewhere);
    show(<DialCard machines={[{ ...stands, file: { ...rowan.file, circuitMOhm: 23 } }]} program={elsewhere} />);
    // 8 mΩ over what it takes for granted, at some 130 A over 0.636 V/mm: about 1.6 mm, 13 steps and more.
    expect(Number(line('Arc index').querySelector('dd')?.textContent)).toBeGreaterThan(55);
    expect(screen.getByText(/lines? (is|are) already set:/).closest('details')?.open).toBe(false);
  });

  it('says that every line has to be set where nobody entered how the machine stands', () => {
    show(<DialCard machines={[{ ...rowan, standing: null }]} program={program()} />);
    expect(screen.getByText(/current dial positions not recorded/)).toBeTruthy();
    expect(screen.queryByText('already set')).toBeNull();
  });

  it('says from what the dials are known, and gives none for a wire it does not take', () => {
    show(<DialCard machines={[setFor(rowan, program())]} program={program()} />);
    expect(screen.getByText(/^Last known from: set-up recorded, Teo Varnholt/)).toBeTruthy();
    expect(screen.getByText(/^Arc length at these steps: [\d.]+ mm/)).toBeTruthy();
    cleanup();
    const onlyThick = { ...rowan.file, limits: { ...rowan.file.limits, wireSizesMm: [1.6] } };
    show(<DialCard machines={[{ ...rowan, file: onlyThick }]} program={program()} />);
    expect(screen.getByText('Rowan takes no wire of 1.0 mm.')).toBeTruthy();
    expect(screen.queryByText('Wire feed')).toBeNull();
  });

  it('puts a wrong wire or gas before everything else', () => {
    show(
      <DialCard
        machines={[rowan]}
        program={program({ materialGroup: 'aluminium' }, { filler: 'aluminium-5356', gas: 'I1', diameterMm: 1.2 })}
      />,
    );
    expect(screen.getByText('Change over first.').parentElement?.textContent).toContain(
      'this seam needs aluminium AlMg5, 1.2 mm, in argon',
    );
    expect(screen.getByText(/21 is easily confused with/)).toBeTruthy();
  });

  it('says so when a machine is only outlined, when there is nothing to set, and when there is no machine', () => {
    const { unmount } = show(<DialCard machines={[hazel]} program={program()} />);
    expect(screen.getByText(/dials are not described/)).toBeTruthy();
    unmount();
    const second = show(<DialCard machines={[rowan]} program={null} />);
    expect(screen.getByText('nothing to set yet')).toBeTruthy();
    second.unmount();
    show(<DialCard machines={[]} program={program()} />);
    expect(screen.getByText(/No machine is described yet/)).toBeTruthy();
  });

  it('follows the machine chosen, keeps its units on its dials, and shows the hand’s figures in the reader’s', () => {
    show(<DialCard machines={[rowan, hazel]} program={program()} />);
    fireEvent.change(screen.getByLabelText('Machine'), { target: { value: 'hazel' } });
    expect(settings.getState().machineId).toBe('hazel');
    cleanup();
    settings.setState({ machineId: 'rowan', units: 'us' });
    show(<DialCard machines={[rowan, hazel]} program={program()} />);
    expect(within(line('Wire feed')).getByText('m/min')).toBeTruthy();
    expect(within(line('Gas flow')).getByText('CFH')).toBeTruthy();
  });

  it('stands in short at the foot of narrow screens', () => {
    show(<DialStrip machines={[hazel, rowan]} program={program()} />);
    const strip = screen.getByRole('link', { name: 'To the dial card of Rowan' });
    expect(strip.textContent).toMatch(/Arc index\d+/);
    expect(strip.getAttribute('href')).toBe('#dial-card');
  });

  it('offers the machine with the least to change, of equals the one that stands here', () => {
    const other = { ...rowan, id: 'other' };
    const empty = { ...rowan, id: 'empty', standing: null };
    expect(leastChangeover([empty, other, rowan], program(), 'rowan')?.id).toBe('rowan');
    const feeder = rowan.standing!.feeders['left'] ?? Object.values(rowan.standing!.feeders)[0]!;
    const wrong = {
      ...other,
      standing: { ...rowan.standing!, feeders: { [rowan.standing!.feederId]: { ...feeder, gas: 'I1' } } },
    };
    expect(leastChangeover([wrong, rowan], program(), 'other')?.id).toBe('rowan');
    expect(leastChangeover([empty], program(), 'empty')).toBeUndefined();
  });

  it('takes the first machine that is described when none was chosen', () => {
    expect(chosenMachine([hazel, rowan], null)?.id).toBe('rowan');
    expect(chosenMachine([hazel, rowan], 'hazel')?.id).toBe('hazel');
    expect(chosenMachine([hazel], 'gone')?.id).toBe('hazel');
  });
});
