/** A worker process: takes queued computations from the database of DATABASE_URL, on any machine that reaches it. No web, no port. */
import { assemble } from './assemble.ts';
import { log } from './http/log.ts';

const url = process.env['DATABASE_URL'];
if (url === undefined || url === '') {
  process.stderr.write(
    'DATABASE_URL is not set. Name the database of the shop: DATABASE_URL=postgres://... npm run worker\n',
  );
  process.exit(1);
}
const assembly = await assemble({ url });
await assembly.queue.work(assembly.pool);
log.info('worker ready');
for (const signal of ['SIGTERM', 'SIGINT'] as const)
  process.on(signal, () => {
    void assembly.close().then(() => process.exit(0));
  });
