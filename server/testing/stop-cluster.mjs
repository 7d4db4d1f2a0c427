import { rmSync } from 'node:fs';
import { removeCluster } from '../../scripts/lib/postgres.mjs';

export default function stopCluster() {
  const { folder } = globalThis.testCluster;
  removeCluster(folder);
  rmSync(folder, { recursive: true, force: true });
}
