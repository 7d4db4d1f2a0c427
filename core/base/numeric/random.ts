/** A seeded stream of numbers in [0, 1): mulberry32, small and even enough for hand tremor and drop sizes. The state is the caller's. */

export interface RandomStream {
  state: number;
}

export function randomStream(seed: number): RandomStream {
  return { state: (Math.floor(seed) ^ 0x9e3779b9) >>> 0 };
}

export function nextUniform(stream: RandomStream): number {
  stream.state = (stream.state + 0x6d2b79f5) >>> 0;
  let mixed = stream.state;
  mixed = Math.imul(mixed ^ (mixed >>> 15), mixed | 1);
  mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
  return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
}

/** Roughly normal, mean 0 and standard deviation 1: the sum of four uniforms is near enough for noise that is cut off anyway. */
export function nextNormal(stream: RandomStream): number {
  const sum = nextUniform(stream) + nextUniform(stream) + nextUniform(stream) + nextUniform(stream);
  return (sum - 2) * Math.sqrt(3);
}
