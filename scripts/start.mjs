/**
 * One command from a fresh clone to a running shop: packages, PostgreSQL, cluster, schema, demo data, build, server.
 * npm start -- [--fresh] [--empty] [--mend] [--port N] [--lan ADDRESS[:PORT]]
 */
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { startServer } from './lib/app-server.mjs';
import { ensureBuild } from './lib/build.mjs';
import { ensurePackages } from './lib/install.mjs';
import { isFree } from './lib/ports.mjs';
import { ensurePostgres, openCluster, removeCluster } from './lib/postgres.mjs';
import { root } from './lib/run.mjs';
import { endOn, Refusal, say } from './lib/say.mjs';
import { superviseCluster } from './lib/supervise.mjs';
import { AlreadyRunning, takeStartLock } from './lib/start-lock.mjs';

const usualPort = 4180;

function readOptions() {
  try {
    const { values } = parseArgs({
      options: {
        fresh: { type: 'boolean', default: false },
        empty: { type: 'boolean', default: false },
        mend: { type: 'boolean', default: false },
        port: { type: 'string' },
        lan: { type: 'string' },
        'no-install': { type: 'boolean', default: false },
      },
    });
    const port = values.port === undefined ? undefined : Number(values.port);
    if (port !== undefined && !(Number.isInteger(port) && port > 0 && port < 65536)) {
      throw new Refusal(`--port must be a number from 1 to 65535; got "${values.port}".`);
    }
    const { fresh, empty, mend, lan } = values;
    return { fresh, empty, mend, port, lan, install: !values['no-install'] };
  } catch (error) {
    if (error instanceof Refusal) throw error;
    throw new Refusal(
      `${error.message}\nUse: npm start -- [--fresh] [--empty] [--mend] [--port N] [--lan ADDRESS[:PORT]]`,
    );
  }
}

async function choosePort(asked) {
  if (asked !== undefined) {
    if (await isFree(asked)) return asked;
    throw new Refusal(`Port ${asked} is taken by another program; choose another with --port.`);
  }
  // A run that was killed gives its port back within moments.
  for (let wait = 0; wait < 10 && !(await isFree(usualPort)); wait++)
    await new Promise((resolve) => setTimeout(resolve, 200));
  for (let port = usualPort; port < usualPort + 20; port++) if (await isFree(port)) return port;
  throw new Refusal(`Ports ${usualPort} to ${usualPort + 19} are all taken; choose one with --port.`);
}

async function openLan(text, folder) {
  const { ensureCertificate, lanOf, lanOrigin } = await import('./lib/lan.mjs');
  const lan = lanOf(text);
  const { keyFile, certFile, fingerprint } = await ensureCertificate(folder, lan.address);
  return { ...lan, keyFile, certFile, fingerprint, origin: lanOrigin(lan) };
}

/** Thrown between two steps of a start that was told to stop. */
class Stopped extends Error {}

async function main() {
  const options = readOptions();
  const folder = process.env.FOX_TEMPO_DATA || join(root, 'data');
  const outside = process.env.DATABASE_URL || undefined;
  const lock = await takeStartLock(folder);
  let cluster;
  let server;
  let endWatch;
  let told;
  const stopped = new Promise((resolve) => {
    told = (reason) => {
      if (stopping) return;
      stopping = true;
      if (reason) say(reason);
      resolve();
    };
  });
  let stopping = false;
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => told('Stopping; the data stay'));
  const goOn = async () => {
    // Lets a signal that came during a blocking step be heard.
    await new Promise((resolve) => setImmediate(resolve));
    if (stopping) throw new Stopped();
  };

  try {
    if (options.install) await ensurePackages();
    await goOn();
    let databaseUrl = outside;
    if (outside !== undefined) {
      if (options.fresh)
        throw new Refusal(
          '--fresh wipes only the private cluster; the database of DATABASE_URL is left alone. Unset one of the two.',
        );
      say('Using the database of DATABASE_URL');
    } else {
      await ensurePostgres();
      await goOn();
      if (options.fresh) {
        say('Starting over: removing the private cluster');
        removeCluster(folder);
      }
      cluster = await openCluster({ folder, mend: options.mend });
      await goOn();
      cluster.ensureDatabase('fox_tempo');
      databaseUrl = cluster.url('fox_tempo');
      say(
        cluster.wasRunning
          ? 'Found the private PostgreSQL still running from a run that was killed; going on with it'
          : cluster.isNew
            ? 'Made and started a private PostgreSQL cluster on loopback'
            : 'Started the private PostgreSQL cluster on loopback',
      );
    }
    await goOn();
    await ensureBuild();
    await goOn();
    const port = await choosePort(options.port);
    // Only here: the packages may just have been installed.
    const network = options.lan === undefined ? undefined : await openLan(options.lan, folder);
    server = await startServer({
      databaseUrl,
      port,
      dataFolder: folder,
      empty: options.empty,
      lan: network,
      onExit: (code) => {
        process.exitCode = 1;
        told(`The server ended by itself (${code})`);
      },
    });
    await goOn();
    if (server.seeded) say('Filled the empty database with the demo shop, Marrowby Cartworks');
    const address = `http://127.0.0.1:${port}`;
    lock.announce(address);
    if (server.ownerCode)
      say(`This shop has no owner yet. Make one on the sign-in page with the one-time code  ${server.ownerCode}`);
    if (network) {
      say(`Open to the shop's network at ${network.origin}; whoever reaches that address sees the sign-in page`);
      say(`Its certificate is the shop's own, SHA-256 ${network.fingerprint}`);
    }
    say(`Fox Tempo is ready at ${address}   (Ctrl-C stops it)`);
    if (cluster) endWatch = superviseCluster(cluster);
    await stopped;
  } catch (error) {
    if (!(error instanceof Stopped) && !stopping) throw error;
  } finally {
    endWatch?.();
    await server?.stop();
    cluster?.stop();
    await lock.release();
  }
}

main().catch((error) => {
  if (error instanceof AlreadyRunning) {
    const { pid, address } = error.holder;
    endOn(
      new Refusal(
        `Fox Tempo is already ${address ? `running at ${address}` : 'starting'} on this data (process ${pid}). Nothing was touched; stop that one first.`,
      ),
    );
  } else endOn(error);
});
