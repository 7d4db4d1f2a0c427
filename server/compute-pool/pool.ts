/** Worker threads for whatever takes over ten milliseconds: capped, cancelled when the client leaves, refused when too many wait. */
import { amount } from '@fox-tempo/core/base/messages';
import { message, shopTexts } from '@fox-tempo/words';
import { type Issue } from '@fox-tempo/core/base/outcome';
import { availableParallelism } from 'node:os';
import { fileURLToPath } from 'node:url';
import { Piscina } from 'piscina';
import { HttpProblem, invalidInput } from '../http/problem.ts';
import { createTurns } from './turns.ts';
import type { Task, TaskAnswer } from './task.ts';

/** Waiting tasks beyond which a question is refused at once instead of answered late. */
const mostWaiting = 64;
/** A task that takes longer has lost its way, ms. */
const longestMs = 60_000;
/** Largest answer, bytes; more is asked for in pieces. */
const largestAnswer = 4 * 1024 * 1024;

const usualFile = fileURLToPath(new URL('task.ts', import.meta.url));
const paperFile = fileURLToPath(new URL('paper-task.ts', import.meta.url));

const papers: readonly Task['kind'][] = ['card', 'procedure', 'trial-record', 'run-plan'];
const isPaper = ({ kind }: Task) => papers.includes(kind);

export interface ComputePool {
  /** Bytes of the answer; 422 with the core's issues, 503 when too many wait. */
  run(task: Task, signal?: AbortSignal): Promise<Buffer>;
  /** Loads what questions and papers need, so that nobody waits for it. */
  warm(): Promise<void>;
  /** Tasks running and waiting now. */
  load(): { readonly running: number; readonly waiting: number };
  close(): Promise<void>;
}

/** `keepsOne`: a thread stays when nobody asks, so that the first question after a pause is as quick as the next. */
export function createComputePool({ keepsOne = false }: { readonly keepsOne?: boolean } = {}): ComputePool {
  // One core is left to the server itself.
  const threads = Math.max(availableParallelism() - 1, 1);
  const turns = createTurns(threads, mostWaiting);
  let pool: Piscina | undefined;
  const open = () =>
    (pool ??= new Piscina({
      filename: usualFile,
      execArgv: ['--import', 'tsx'],
      minThreads: keepsOne ? 1 : 0,
      maxThreads: threads,
      idleTimeout: 60_000,
    }));

  /** A client that leaves is told to the thread, which then stops by itself: a thread that is ended takes half a second to begin anew. */
  async function answerOf(task: Task, signal: AbortSignal | undefined): Promise<TaskAnswer> {
    const left = new Int32Array(new SharedArrayBuffer(4));
    const leave = () => Atomics.store(left, 0, 1);
    if (signal?.aborted) return { issues: [gone] };
    signal?.addEventListener('abort', leave, { once: true });
    try {
      return (await open().run(
        { task, left, texts: shopTexts() },
        { filename: isPaper(task) ? paperFile : usualFile, signal: AbortSignal.timeout(longestMs) },
      )) as TaskAnswer;
    } catch (error) {
      if (error instanceof Error && error.name === 'AbortError')
        throw new HttpProblem(
          'busy',
          message('server.compute-pool.error.too-long', { longest: amount('phaseTime', longestMs / 1000) }),
        );
      throw error;
    } finally {
      signal?.removeEventListener('abort', leave);
    }
  }

  return {
    async run(task, signal) {
      const answer = await turns.take(() => answerOf(task, signal));
      if ('issues' in answer) throw invalidInput(answer.issues);
      if (answer.bytes.length > largestAnswer) {
        throw invalidInput([
          {
            path: '',
            code: 'answer-too-large',
            message: message('server.compute-pool.error.answer-too-large', {
              bytes: amount('plain', answer.bytes.length / 1e6, 1),
              largestAnswer: largestAnswer / 1024 / 1024,
            }),
            limit: largestAnswer,
            got: answer.bytes.length,
          },
        ]);
      }
      return Buffer.from(answer.bytes.buffer, answer.bytes.byteOffset, answer.bytes.byteLength);
    },
    async warm() {
      for (const filename of [usualFile, paperFile])
        // What it answers is thrown away; a thread that cannot begin says so at the first question that matters.
        await open()
          .run({ task: warming, left: new Int32Array(new SharedArrayBuffer(4)), texts: {} }, { filename })
          .catch(() => undefined);
    },
    load: () => turns.load(),
    async close() {
      await pool?.destroy();
    },
  };
}

/** Asks for nothing; both files take it and only load themselves. */
const warming: Task = { kind: 'warm' };

const gone: Issue = { path: '', code: 'cancelled', message: message('server.compute-pool.error.cancelled') };
