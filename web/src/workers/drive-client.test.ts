import { describe, expect, it, jest } from '@jest/globals';
import type { DriveCommand, DrivenSlice, SimulationInput } from '@fox-tempo/core/weld/simulation';
import { FakeWorker } from '../testing/fake-worker.ts';
import { createDriveClient } from './drive-client.ts';
import type { DriveWork } from './protocol.ts';

const input = { seconds: 1 } as SimulationInput;
const command: DriveCommand = { wireFeedMPerMin: 5, trimMm: 0, powerOn: true };
const slice = { lit: true } as DrivenSlice;

function open() {
  const workers: FakeWorker<DriveWork>[] = [];
  const onSlice = jest.fn();
  const onLost = jest.fn();
  const client = createDriveClient({ onSlice, onLost }, () => {
    const worker = new FakeWorker<DriveWork>();
    workers.push(worker);
    return worker;
  });
  return { client, workers, onSlice, onLost };
}

describe('the driven arc’s page side', () => {
  it('never has more than two steps under way, and hands the time it is behind over with the next', () => {
    const { client, workers } = open();
    client.begin(input, 1e-4);
    for (let frame = 0; frame < 5; frame++) client.step(0.016, command);
    const steps = () => workers[0]!.heard.flatMap((message) => (message.kind === 'tell' ? message.tell.seconds : []));
    expect(steps()).toEqual([0.016, 0.016]);
    workers[0]!.say({ kind: 'part', id: 1, part: slice });
    client.step(0.016, command);
    expect(steps().at(-1)).toBeCloseTo(0.064, 9);
    client.close();
  });

  it('drops answers of an arc that has been replaced', () => {
    const { client, workers, onSlice } = open();
    client.begin(input, 1e-4);
    client.begin(input, 1e-4);
    workers[0]!.say({ kind: 'part', id: 1, part: slice });
    expect(onSlice).not.toHaveBeenCalled();
    workers[0]!.say({ kind: 'part', id: 2, part: slice });
    expect(onSlice).toHaveBeenCalledWith(slice);
  });

  it('says when there is no arc: refused, or the worker died', () => {
    const { client, workers, onLost } = open();
    expect(client.step(0.016, command)).toBe(false);
    client.begin(input, 1e-4);
    workers[0]!.say({
      kind: 'refused',
      id: 1,
      issues: [{ path: 'gas', code: 'unknown-gas', message: 'No such gas.' }],
    });
    expect(onLost).toHaveBeenCalledWith('No such gas.');
    client.begin(input, 1e-4);
    workers[0]!.die('out of memory');
    expect(onLost).toHaveBeenLastCalledWith('The simulated arc stopped: out of memory.');
    expect(client.step(0.016, command)).toBe(false);
  });
});
