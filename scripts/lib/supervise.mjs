/** Watches the private cluster while the application runs, and brings it back when it died; the server answers 503 meanwhile. */
import { say } from './say.mjs';

/** @returns {() => void} ends the watch */
export function superviseCluster(cluster, everyMs = 1000) {
  let failures = 0;
  const timer = setInterval(() => {
    if (cluster.isAlive()) return;
    if (failures === 0) say('PostgreSQL is gone; bringing it back');
    if (cluster.bringBack()) {
      say('PostgreSQL is back');
      failures = 0;
    } else if (++failures % 30 === 1) say('PostgreSQL does not start yet; trying on. The reason stands in data/pg-log');
  }, everyMs);
  return () => clearInterval(timer);
}
