import { beforeEach, describe, expect, it, jest } from '@jest/globals';
import { announce, dismiss, hearFailures, notices } from './notices.ts';

const texts = () => notices.getState().shown.map(({ text }) => text);
beforeEach(() => notices.setState({ shown: [] }));

describe('notices', () => {
  it('keep the newest three, one of each, and are put away by themselves', () => {
    for (const text of ['a', 'b', 'a', 'c', 'd']) announce({ level: 'note', text });
    expect(texts()).toEqual(['a', 'c', 'd']);
    dismiss(notices.getState().shown[1]!.id);
    expect(texts()).toEqual(['a', 'd']);
  });

  it('say what broke where nobody caught it, until they stop listening', () => {
    const quiet = jest.spyOn(console, 'error').mockImplementation(() => undefined);
    const stop = hearFailures();
    globalThis.dispatchEvent(new ErrorEvent('error', { error: new Error('x is not a function') }));
    const rejection = Object.assign(new Event('unhandledrejection'), { reason: new Error('lost') });
    globalThis.dispatchEvent(rejection);
    expect(texts()).toEqual([
      'An error occurred: x is not a function. What was typed is kept on this device.',
      'An error occurred: lost. What was typed is kept on this device.',
    ]);
    stop();
    globalThis.dispatchEvent(Object.assign(new Event('unhandledrejection'), { reason: new Error('later') }));
    expect(texts()).toHaveLength(2);
    quiet.mockRestore();
  });
});
