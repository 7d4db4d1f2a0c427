/** For tests: a worker that keeps what it heard and says what it is told to. */
import type { FromWorker, ToWorker, Work } from '../workers/protocol.ts';
import type { WorkerLike } from '../workers/supervised.ts';

export class FakeWorker<W extends Work> implements WorkerLike<W> {
  readonly heard: ToWorker<W>[] = [];
  ended = false;
  onmessage: WorkerLike<W>['onmessage'] = null;
  onerror: WorkerLike<W>['onerror'] = null;
  private readonly answer: (message: ToWorker<W>, worker: FakeWorker<W>) => void;

  constructor(answer: (message: ToWorker<W>, worker: FakeWorker<W>) => void = () => undefined) {
    this.answer = answer;
  }
  postMessage(message: ToWorker<W>): void {
    this.heard.push(message);
    this.answer(message, this);
  }
  terminate(): void {
    this.ended = true;
  }
  say(message: FromWorker<W>): void {
    this.onmessage?.({ data: message } as MessageEvent<FromWorker<W>>);
  }
  die(message = ''): void {
    this.onerror?.({ message } as ErrorEvent);
  }
}
