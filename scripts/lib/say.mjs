/** Progress lines: what is being done, and how long it took. */
const started = Date.now();

export function say(text) {
  process.stdout.write(`${((Date.now() - started) / 1000).toFixed(1).padStart(6)} s  ${text}\n`);
}

/** Ends the process with a message and no stack: the person can act on it. */
export class Refusal extends Error {}

/**
 * What the file system says, in words; undefined for other failures.
 * @param {{ code?: string, path?: string, syscall?: string }} error
 */
export function fileTrouble({ code, path, syscall }) {
  const place = path ? ` (${path})` : '';
  if (code === 'ENOSPC') return `There is no space left on the disk${place}. Free some and start again; the data stay.`;
  if (code === 'EROFS')
    return `The disk is read-only${place}. Make it writable, or name another folder in FOX_TEMPO_DATA.`;
  if (code === 'EACCES' || code === 'EPERM') return `This user may not write there${place}.`;
  // Making a folder on a read-only disk is answered by Node as if its parent were not there.
  if (code === 'ENOENT' && syscall === 'mkdir')
    return `The folder cannot be made${place}: its parent is missing, or the disk is read-only. Name another one in FOX_TEMPO_DATA.`;
  return undefined;
}

export function endOn(error) {
  const words = error instanceof Refusal ? error.message : fileTrouble(error ?? {});
  process.stderr.write(`\n${words ?? error?.stack ?? error}\n`);
  process.exitCode = 1;
}
