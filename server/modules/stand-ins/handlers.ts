import { Raw, type Handlers } from '../../http/endpoints.ts';
import { lastTrace } from './repo.ts';
import { noStandIn, weldOn } from './service.ts';

export const standInHandlers = {
  standInWeld: ({ db, params, body, me }) => weldOn(db, params.id, body, me.id),
  standInTrace: async ({ db, params }) => {
    const trace = await lastTrace(db, params.id);
    if (trace === undefined || trace === null) throw noStandIn(params.id);
    return new Raw((response) => response.type('text/csv; charset=utf-8').send(trace));
  },
} satisfies Pick<Handlers, 'standInWeld' | 'standInTrace'>;
