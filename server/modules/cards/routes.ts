import { cardQuery, parseWith } from '@fox-tempo/contract';
import { Router } from 'express';
import type { Database } from '../../db/connection.ts';
import { HttpProblem, orProblem } from '../../http/problem.ts';
import { requireMachine } from '../machines/service.ts';
import { requireSeam } from '../seams/service.ts';
import { currentEntries } from '../slots/repo.ts';
import { cardDocument } from './card-document.ts';
import { renderPdf } from './pdf.ts';

/** `GET /seams/:id/card.pdf?machine=…&paper=A5&units=metric`: the newest revision on one machine's card. */
export function cardRoutes(db: Database): Router {
  const router = Router();
  router.get('/:id/card.pdf', async (request, response) => {
    const { machine: machineId, paper, units } = orProblem(parseWith(cardQuery, request.query));
    const seam = await requireSeam(db, request.params.id);
    const machine = await requireMachine(db, machineId);
    if (!seam.revision) throw new HttpProblem('not-found', `${seam.spec.name} has no saved setting to print.`);
    const slots = (await currentEntries(db, machineId)).map(({ slot, seamName, program }) => ({
      slot,
      name: seamName,
      program,
    }));
    const pdf = await renderPdf(cardDocument(seam, seam.revision, machine, paper, units, new Date(), slots));
    const name = `${machine.file.name} ${seam.spec.name} r${seam.revision.number}.pdf`.replace(/[^\w .,-]+/g, '');
    response.type('application/pdf').set('Content-Disposition', `inline; filename="${name}"`).send(pdf);
  });
  return router;
}
