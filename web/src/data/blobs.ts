/** Photographs on their way to the record: sent as they are, kept under the hash of their bytes. */
import { addressOf } from '@fox-tempo/contract';
import { ProblemError } from './door.ts';
import { t } from '../lib/words.ts';

export async function sendBlob(bytes: Blob): Promise<string> {
  let response: Response;
  try {
    response = await fetch(`/api${addressOf('addBlob')}`, {
      method: 'POST',
      headers: { 'content-type': bytes.type },
      body: bytes,
      signal: AbortSignal.timeout(60_000),
    });
  } catch {
    throw unreachable();
  }
  const answer = (await response.json().catch(() => null)) as { sha256?: string; title?: string; detail?: string } | null;
  if (response.ok && answer?.sha256 !== undefined) return answer.sha256;
  if (response.status === 0 || response.status >= 500 || !answer) throw unreachable();
  throw new ProblemError('unsupported-type', {
    type: 'about:blank',
    title: answer.title ?? '',
    status: response.status,
    detail: answer.detail ?? '',
  });
}

function unreachable(): ProblemError {
  return new ProblemError('unreachable', {
    type: 'about:blank',
    title: t('view.data.the-server-cannot-be-reached'),
    status: 0,
    detail: t('view.data.the-server-does-not-answer'),
  });
}

export function blobAddress(sha256: string): string {
  return `/api${addressOf('blob', { sha256 })}`;
}
