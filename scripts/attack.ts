/**
 * An attack on one's own server, bounded and on loopback: npm run attack -- [--kills 200] [--requests 10000] [--inputs 10000] [--seconds 5] [--seed 1]
 * Ends with code 1 when something was lost, stood by half, answered 500 or threw.
 */
import { parseArgs } from 'node:util';
import { ensureBuild } from './lib/build.mjs';
import { ensurePostgres } from './lib/postgres.mjs';
import { endOn, say } from './lib/say.mjs';
import { fuzzCommandLine, fuzzRequests } from './attack/fuzz.ts';
import { kills } from './attack/kills.ts';
import { besideComputation, reads, type Times } from './attack/load.ts';
import { Stack } from './attack/stack.ts';

function lineOf({ name, count, p50Ms, p99Ms, failed }: Times): string {
  return `${name.padEnd(46)} ${String(count).padStart(6)} reads  half under ${p50Ms.toFixed(1).padStart(6)} ms  99 % under ${p99Ms.toFixed(1).padStart(6)} ms${failed > 0 ? `  ${failed} failed` : ''}`;
}

async function main() {
  const { values } = parseArgs({
    options: {
      kills: { type: 'string', default: '200' },
      requests: { type: 'string', default: '10000' },
      inputs: { type: 'string', default: '10000' },
      seconds: { type: 'string', default: '5' },
      seed: { type: 'string', default: '1' },
    },
  });
  await ensurePostgres();
  await ensureBuild();
  const seed = Number(values.seed);
  let bad = 0;

  const inputs = Number(values.inputs);
  if (inputs > 0) {
    const { throws } = fuzzCommandLine(inputs, seed);
    throws.slice(0, 10).forEach((one) => say(`  ${one}`));
    bad += throws.length;
  }
  const requests = Number(values.requests);
  const seconds = Number(values.seconds);
  if (requests > 0 || seconds > 0) {
    const stack = new Stack();
    try {
      await stack.start();
      await stack.signIn();
      if (seconds > 0) {
        say(`Reads at 200 a second, ${seconds} s each`);
        for (const times of await reads(stack, 200, seconds)) say(`  ${lineOf(times)}`);
        const { beside, abandonedBusyMs } = await besideComputation(stack, 50, seconds);
        say(`  ${lineOf(beside)}`);
        say(`  20 abandoned simulations: the next question was answered after ${abandonedBusyMs.toFixed(0)} ms`);
      }
      if (requests > 0) {
        const { fives, stacks } = await fuzzRequests(stack, requests, seed);
        say(`${requests} fuzzed requests: ${fives.length} answered 500 or not at all, ${stacks} showed a stack`);
        fives.slice(0, 10).forEach((one) => say(`  ${one}`));
        bad += fives.length + stacks;
      }
    } finally {
      await stack.stop();
      stack.remove();
    }
  }
  const count = Number(values.kills);
  if (count > 0) {
    const report = await kills(count);
    say(
      `${report.kills} kills: ${report.confirmed} writes confirmed, ${report.lost} lost, ${report.halves} halves, ${report.failedStarts} starts failed`,
    );
    bad += report.lost + report.halves + report.failedStarts;
  }
  if (bad > 0) process.exitCode = 1;
}

main().catch(endOn);
