/** The core's questions over HTTP: the same shapes and answers as at the command line. */
import { verbNames, verbs, type VerbName } from '@fox-tempo/contract';
import { Router } from 'express';
import { HttpProblem, orProblem } from '../../http/problem.ts';

export function computeRoutes(): Router {
  const router = Router();
  router.post('/:verb', (request, response) => {
    const { verb } = request.params;
    if (!Object.hasOwn(verbs, verb))
      throw new HttpProblem('not-found', `There is no computation "${verb}"; known are ${verbNames.join(', ')}.`);
    response.json(orProblem(verbs[verb as VerbName].run(request.body)));
  });
  return router;
}
