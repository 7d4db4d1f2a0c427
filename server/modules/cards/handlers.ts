import { message } from '@fox-tempo/words';
import type { ComputePool } from '../../compute-pool/pool.ts';
import { Raw, type Handlers } from '../../http/endpoints.ts';
import { HttpProblem } from '../../http/problem.ts';
import { lanFromStart, lanOrigin } from '../../http/lan.ts';
import { wordsOf } from '../../http/words.ts';
import { requireMachine } from '../machines/index.ts';
import { requireSeam } from '../seams/index.ts';
import { readShop } from '../shop/index.ts';
import { currentEntries } from '../slots/index.ts';

export function cardHandlers(pool: ComputePool): Pick<Handlers, 'card'> {
  return {
    /** The newest revision on one machine's card. */
    card: async ({ db, me, params, query, signal, http }) => {
      const { machine: machineId, paper, units, lang } = query;
      const language = lang ?? wordsOf(http.response).language;
      const seam = await requireSeam(db, params.id);
      const machine = await requireMachine(db, machineId);
      if (!seam.revision)
        throw new HttpProblem('not-found', message('server.cards.error.no-setting', { spec: seam.spec.name }));
      const { items } = await currentEntries(db, machineId, { limit: 1000, after: undefined });
      const slots = items.map(({ slot, seamName, program }) => ({ slot, name: seamName, program }));
      const { timeZone } = await readShop(db);
      const { revision } = seam;
      const lan = lanFromStart();
      // Opens this very card: of its revision, so that one that was superseded says so.
      const opens = lan
        ? `${lanOrigin(lan)}/at-machine/${seam.id}?${new URLSearchParams({ machine: machineId, revision: String(revision.number) }).toString()}`
        : null;
      const steps = seam.offsets.find(
        (one) => one.machineId === machineId && one.personId === me.id && one.revision === revision.number,
      );
      const own = steps ? { name: me.name, offset: steps.offset } : null;
      const card = {
        own,
        opens,
        seam,
        revision,
        machine,
        paper,
        language,
        units,
        printedAt: new Date(),
        timeZone,
        slots,
      };
      const pdf = await pool.run({ kind: 'card', card }, signal);
      const name = `${machine.file.name} ${seam.spec.name} r${seam.revision.number}.pdf`.replace(/[^\w .,-]+/g, '');
      return new Raw((response) =>
        response.type('application/pdf').set('Content-Disposition', `inline; filename="${name}"`).send(pdf),
      );
    },
  };
}
