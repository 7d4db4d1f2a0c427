/** Usual wires of the simulated arc, and its runs, for tests: a refused one fails the test with its reason. */
import { inEnglish } from '@fox-tempo/words/english';
import { expect } from '@jest/globals';
import { simulate, type Simulation, type SimulationInput, type SimulationMetrics } from '../index.ts';

export const steel12: Omit<SimulationInput, 'source'> = {
  filler: 'steel-solid',
  gas: 'M21-ArC-18',
  diameterMm: 1.2,
  wireFeedMPerMin: 5.5,
  ctwdMm: 17.5,
  seconds: 0.8,
  seed: 7,
};
export const steel10: Omit<SimulationInput, 'source'> = { ...steel12, diameterMm: 1, wireFeedMPerMin: 4.5, ctwdMm: 12 };
export const volts = (voltageV: number, more: object = {}): SimulationInput['source'] => ({
  kind: 'constant-voltage',
  voltageV,
  ...more,
});
export const pulse = (trim: number, more: object = {}): SimulationInput['source'] => ({ kind: 'pulse', trim, ...more });
export function run(input: SimulationInput, traceEveryS = 0): Simulation {
  const result = simulate(input, traceEveryS);
  if (!result.ok) throw new Error(inEnglish(result.issues[0]?.message));
  return result.value;
}
export const metrics = (input: SimulationInput): SimulationMetrics => run(input).metrics;
export const within = (value: number, expected: number, share: number) =>
  expect(Math.abs(value / expected - 1)).toBeLessThan(share);
