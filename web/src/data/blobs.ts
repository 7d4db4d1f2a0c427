/** Photographs on their way to the record: sent as they are, kept under the hash of their bytes. */
import { authorHeader, problemKind } from '@fox-tempo/contract';
import { isProblem, ProblemError } from './client.ts';
import { t } from '../lib/words.ts';
import { addressOf } from './address.ts';

/** `author`: ticket of whoever took it, where somebody else is signed in. */
export async function sendBlob(bytes: Blob, author?: string): Promise<string> {
  let response: Response;
  try {
    response = await fetch(addressOf('addBlob'), {
      method: 'POST',
      headers: { 'content-type': bytes.type, ...(author === undefined ? {} : { [authorHeader]: author }) },
      body: bytes,
      signal: AbortSignal.timeout(60_000),
    });
  } catch {
    throw unreachable();
  }
  const answer: unknown = await response.json().catch(() => null);
  if (response.ok && typeof answer === 'object' && answer !== null && 'sha256' in answer) return String(answer.sha256);
  // What no Fox Tempo server said is a fault on the way.
  if (!isProblem(answer)) throw unreachable();
  throw new ProblemError(problemKind(answer), answer);
}

function unreachable(): ProblemError {
  return new ProblemError('unreachable', {
    type: 'about:blank',
    title: t('view.data.unreachable'),
    status: 0,
    detail: t('view.data.no-answer'),
  });
}

export function blobAddress(sha256: string): string {
  return addressOf('blob', { sha256 });
}
