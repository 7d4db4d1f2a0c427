/** Lines ticked at the machine: each tick is an observation of its own, so that every view knows how the dial stands from then on. */
import type { MachineResource, ObservationCreate } from '@fox-tempo/contract';
import type { DialSetting } from '@fox-tempo/core/machine/dials';
import { standsAt } from '@fox-tempo/core/machine/setup';
import { useState } from 'react';
import { api } from '../../data/api.ts';
import { newKey } from '../../data/keys.ts';
import { useMay } from '../../session/session.ts';

interface Tick {
  readonly isOn: boolean;
  /** The observation it was recorded as; null where it changed nothing that was not known. */
  readonly key: string | null;
}

export interface Ticks {
  isTicked: (dial: DialSetting) => boolean;
  toggle: (dial: DialSetting) => void;
  /** Every line of the card counts as set so. */
  tickAll: () => void;
  readonly left: number;
  /** Ticked lines with their value, to go with a logged weld. */
  readonly dials: Readonly<Record<string, number>>;
  /** A tick that the server does not have: it still goes with the weld. */
  readonly isUnstored: boolean;
}

export function useTicks(
  { id: machineId, standing }: Pick<MachineResource, 'id' | 'standing'>,
  seamId: string,
  lines: readonly DialSetting[],
): Ticks {
  const mayRecord = useMay('observe');
  const [ticks, setTicks] = useState<Readonly<Record<string, Tick>>>({});
  const [isUnstored, setUnstored] = useState(false);
  const known = standing?.dials ?? {};
  const isTicked = ({ dialId, value }: DialSetting) => ticks[dialId]?.isOn ?? standsAt(known, dialId, value);
  const send = async (observation: ObservationCreate, key: string) => {
    try {
      setUnstored((await api.observe(observation, key)) === null);
    } catch {
      setUnstored(true);
    }
  };
  const toggle = (dial: DialSetting) => {
    const was = ticks[dial.dialId];
    const isOn = !isTicked(dial);
    const key = isOn && mayRecord ? newKey() : null;
    setTicks({ ...ticks, [dial.dialId]: { isOn, key } });
    if (key !== null)
      void send({ kind: 'dials-set', machineId, seamId, body: { dials: { [dial.dialId]: dial.value } } }, key);
    else if (!isOn && was?.key) void send({ kind: 'withdrawal', corrects: was.key, body: { why: '' } }, newKey());
  };
  const ticked = lines.filter(isTicked);
  return {
    isTicked,
    toggle,
    tickAll: () => setTicks(Object.fromEntries(lines.map(({ dialId }) => [dialId, { isOn: true, key: null }]))),
    left: lines.length - ticked.length,
    dials: Object.fromEntries(ticked.map(({ dialId, value }) => [dialId, value])),
    isUnstored,
  };
}
