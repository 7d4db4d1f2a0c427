/** Structured log lines on standard error: one JSON object a line, never a value that somebody typed or stored. */
type Level = 'info' | 'warn' | 'error';
type Facts = Readonly<Record<string, string | number | boolean | null | undefined>>;

function write(level: Level, message: string, facts: Facts = {}): void {
  process.stderr.write(`${JSON.stringify({ at: new Date().toISOString(), level, message, ...facts })}\n`);
}

export const log = {
  info: (message: string, facts?: Facts) => write('info', message, facts),
  warn: (message: string, facts?: Facts) => write('warn', message, facts),
  error: (message: string, facts?: Facts) => write('error', message, facts),
};

/**
 * What may be logged of a failure: names, codes and places, not the message of a database error, whose query carries values.
 */
export function factsOf(error: unknown): Facts {
  const facts: Record<string, string> = {};
  for (let at: unknown = error, depth = 0; isErrorLike(at) && depth < 4; at = at.cause, depth++) {
    const { code, table, constraint } = at;
    const prefix = depth === 0 ? '' : 'cause.';
    facts[`${prefix}name`] = at.name;
    if (typeof code === 'string') facts[`${prefix}code`] = code;
    if (typeof table === 'string') facts[`${prefix}table`] = table;
    if (typeof constraint === 'string') facts[`${prefix}constraint`] = constraint;
    // Frames carry places in our own code; the first line of a stack carries the message and is left out.
    const frames = (at.stack ?? '').split('\n').filter((line) => line.trimStart().startsWith('at '));
    if (depth === 0)
      facts['frames'] = frames
        .slice(0, 8)
        .map((line) => line.trim())
        .join(' | ');
    if (!('query' in at) && !at.message.startsWith('Failed query') && depth === 0)
      facts['said'] = at.message.slice(0, 300);
  }
  return facts;
}

interface ErrorLike {
  readonly name: string;
  readonly message: string;
  readonly stack?: string;
  readonly cause?: unknown;
  readonly code?: unknown;
  readonly table?: unknown;
  readonly constraint?: unknown;
}

/** Errors of another realm, a worker's for instance, are no instances of this one's. */
function isErrorLike(value: unknown): value is ErrorLike {
  return typeof value === 'object' && value !== null && 'message' in value && typeof value.message === 'string';
}
