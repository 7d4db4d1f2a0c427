/** `tempo <verb> [file.json | -]`: the core from the command line. One JSON object in, one out; bad input ends with code 2 and a JSON error. */
import { readFileSync } from 'node:fs';
import { runVerb } from './run.ts';

const [verb, source] = process.argv.slice(2);

function readInput(): string | Error {
  if (source === undefined && process.stdin.isTTY) return new Error('no input');
  try {
    return readFileSync(source === undefined || source === '-' ? 0 : source, 'utf8');
  } catch (error) {
    return error instanceof Error ? error : new Error(String(error));
  }
}

const answer = runVerb(verb, readInput);
if (answer.ok) process.stdout.write(`${JSON.stringify(answer.value, null, 2)}\n`);
else {
  process.stderr.write(`${JSON.stringify(answer.error)}\n`);
  process.exitCode = 2;
}
