/** Attached files in the database, by the hash of their bytes: one backup holds them, and every server of the shop has them. */
import { message } from '@fox-tempo/words';
import { createHash } from 'node:crypto';
import { blobTypes } from '@fox-tempo/contract';
import { Raw, type Handlers } from '../../http/endpoints.ts';
import { HttpProblem } from '../../http/problem.ts';
import { findBlob, keepBlob } from './repo.ts';

/** What the first bytes of each kind look like; a name and a header are only claims. */
const beginnings: Record<(typeof blobTypes)[number], (bytes: Buffer) => boolean> = {
  'image/jpeg': (bytes) => bytes.subarray(0, 3).equals(Buffer.from([0xff, 0xd8, 0xff])),
  'image/png': (bytes) => bytes.subarray(0, 8).equals(Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a])),
  'image/webp': (bytes) => bytes.toString('latin1', 0, 4) === 'RIFF' && bytes.toString('latin1', 8, 12) === 'WEBP',
  'audio/wav': (bytes) => bytes.toString('latin1', 0, 4) === 'RIFF' && bytes.toString('latin1', 8, 12) === 'WAVE',
  'text/csv': (bytes) => !bytes.includes(0),
};

export const blobHandlers = {
  addBlob: async ({ db, http }) => {
    const bytes: unknown = http.request.body;
    const said = (http.request.get('content-type') ?? '').split(';')[0]?.trim();
    const mediaType = blobTypes.find((one) => one === said);
    if (mediaType === undefined)
      throw new HttpProblem(
        'unsupported-type',
        message('server.blobs.kept-are-got', { blobTypes, said: said ?? 'nothing' }),
      );
    if (!Buffer.isBuffer(bytes) || bytes.length === 0)
      throw new HttpProblem('malformed-request', message('server.blobs.error.file-empty'));
    if (!beginnings[mediaType](bytes))
      throw new HttpProblem('unsupported-type', message('server.blobs.error.wrong-media-type', { mediaType }));
    const sha256 = createHash('sha256').update(bytes).digest('hex');
    await keepBlob(db, { sha256, mediaType, size: bytes.length, bytes });
    return { sha256, mediaType, size: bytes.length };
  },
  blob: async ({ db, params }) => {
    const row = await findBlob(db, params.sha256);
    if (!row) throw new HttpProblem('not-found', message('server.blobs.error.no-file'));
    return new Raw((response) => {
      response
        .set('Content-Type', row.mediaType)
        // Never run nor framed, whatever it says it is.
        .set('Content-Security-Policy', "default-src 'none'; sandbox")
        .set('X-Content-Type-Options', 'nosniff')
        .set('Cache-Control', 'private, max-age=31536000, immutable')
        .send(row.bytes);
    });
  },
} satisfies Pick<Handlers, 'addBlob' | 'blob'>;
