/** Progress lines: what is being done, and how long it took. */
const started = Date.now();

export function say(text) {
  process.stdout.write(`${((Date.now() - started) / 1000).toFixed(1).padStart(6)} s  ${text}\n`);
}

/** Ends the process with a message and no stack: the person can act on it. */
export class Refusal extends Error {}

export function endOn(error) {
  process.stderr.write(error instanceof Refusal ? `\n${error.message}\n` : `\n${error?.stack ?? error}\n`);
  process.exitCode = 1;
}
