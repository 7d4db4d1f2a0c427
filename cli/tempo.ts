/** `tempo <verb> [file.json | -] [--lang L] [--units U]`: the core from the command line. One JSON object in, one out; bad input ends with code 2 and a JSON error. */
import { readFileSync } from 'node:fs';
import { wordsIn } from '@fox-tempo/words';
import { readFlags } from './flags.ts';
import { runVerb } from './run.ts';

const { words: places, flags, refusal } = readFlags(process.argv.slice(2));
const words = await wordsIn(flags.lang, flags.units);
const [verb, source] = places;

function readInput(): string | Error {
  if (source === undefined && process.stdin.isTTY) return new Error('no input');
  try {
    return readFileSync(source === undefined || source === '-' ? 0 : source, 'utf8');
  } catch (error) {
    return error instanceof Error ? error : new Error(String(error));
  }
}

const answer = refusal ? refusal(words) : runVerb(verb, readInput, words);
if (answer.ok) process.stdout.write(`${JSON.stringify(answer.value, null, 2)}\n`);
else {
  process.stderr.write(`${JSON.stringify(answer.error)}\n`);
  process.exitCode = 2;
}
