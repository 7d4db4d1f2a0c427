import { dayJobs } from '@fox-tempo/core/day/plan';
import { message } from '@fox-tempo/words';
import type { ComputePool } from '../../compute-pool/pool.ts';
import { Raw, type Handlers } from '../../http/endpoints.ts';
import { HttpProblem, invalidInput } from '../../http/problem.ts';
import { dayIn } from '@fox-tempo/core/base/calendar';
import { wordsOf } from '../../http/words.ts';
import { findBlob } from '../blobs/index.ts';
import { listMachines, requireMachine } from '../machines/index.ts';
import { listOrders } from '../orders/index.ts';
import { findRevision } from '../revisions/index.ts';
import { listSeams, requireSeam } from '../seams/index.ts';
import { readShop } from '../shop/index.ts';
import { requireTrial, searchTrials } from '../trials/index.ts';

const everything = { limit: 1000, after: undefined };
/** Photographs on one page. */
const mostPhotos = 3;
const printable = ['image/jpeg', 'image/png'];

export function paperHandlers(pool: ComputePool): Pick<Handlers, 'procedure' | 'trialRecord' | 'runPlan'> {
  return {
    procedure: async ({ db, params, query, signal, http }) => {
      const { paper, units } = query;
      const seam = await requireSeam(db, params.id);
      const machine = await requireMachine(db, query.machine);
      const inForce = seam.issued.find((one) => one.machineId === machine.id)?.revision;
      const number = query.revision ?? inForce ?? seam.revision?.number;
      if (number === undefined)
        throw new HttpProblem('not-found', message('server.cards.error.no-setting', { spec: seam.spec.name }));
      const revision = await findRevision(db, seam.id, number);
      if (!revision)
        throw invalidInput([
          {
            path: 'revision',
            code: 'unknown-revision',
            message: message('server.seams.has-no-revision', { spec: seam.spec.name, revision: number }),
            got: number,
          },
        ]);
      const { items } = await searchTrials(
        db,
        { seam: seam.id, machine: machine.id, verdict: 'pass' },
        { limit: 500, after: undefined },
      );
      const { name: shopName, timeZone } = await readShop(db);
      const sheet = {
        seam,
        revision,
        machine,
        shopName,
        passed: items.filter((trial) => trial.revision === number),
        paper,
        units,
        language: query.lang ?? wordsOf(http.response).language,
        printedAt: new Date(),
        timeZone,
      };
      return asPdf(
        await pool.run({ kind: 'procedure', sheet }, signal),
        `${machine.file.name} ${seam.spec.name} r${number} procedure`,
      );
    },
    runPlan: async ({ db, query, signal, http }) => {
      const { fixed, away, paper, units, lang } = query;
      const [orders, seams, machines] = await Promise.all([
        listOrders(db, everything),
        listSeams(db, everything),
        listMachines(db, everything),
      ]);
      const { name: shopName, timeZone } = await readShop(db);
      const printedAt = new Date();
      const day = {
        shopName,
        jobs: dayJobs(orders.items, seams.items, dayIn(timeZone, printedAt)),
        machines: machines.items.filter(({ id, retired }) => !retired && !away.includes(id)),
        fixed,
        paper,
        units,
        language: lang ?? wordsOf(http.response).language,
        printedAt,
        timeZone,
      };
      return asPdf(await pool.run({ kind: 'run-plan', day }, signal), `run plan ${dayIn(timeZone, printedAt)}`);
    },
    trialRecord: async ({ db, params, query, signal, http }) => {
      const trial = await requireTrial(db, params.id);
      const seam = await requireSeam(db, trial.seamId);
      const machine = await requireMachine(db, trial.machineId);
      const revision = await findRevision(db, seam.id, trial.revision);
      if (!revision)
        throw new HttpProblem(
          'not-found',
          message('server.seams.has-no-revision', { spec: seam.spec.name, revision: trial.revision }),
        );
      const photos: string[] = [];
      for (const { sha256 } of trial.attachments
        .filter(({ mediaType }) => printable.includes(mediaType))
        .slice(0, mostPhotos)) {
        const blob = await findBlob(db, sha256);
        if (blob) photos.push(`data:${blob.mediaType};base64,${blob.bytes.toString('base64')}`);
      }
      const { name: shopName, timeZone } = await readShop(db);
      const record = {
        trial,
        seam,
        revision,
        machine,
        shopName,
        photos,
        paper: query.paper,
        units: query.units,
        language: query.lang ?? wordsOf(http.response).language,
        printedAt: new Date(),
        timeZone,
      };
      return asPdf(
        await pool.run({ kind: 'trial-record', record }, signal),
        `${seam.spec.name} ${trial.id.slice(0, 8)}`,
      );
    },
  };
}

function asPdf(pdf: Buffer, title: string): Raw {
  const name = `${title.replace(/[^\w .,-]+/g, '')}.pdf`;
  return new Raw((response) =>
    response.type('application/pdf').set('Content-Disposition', `inline; filename="${name}"`).send(pdf),
  );
}
