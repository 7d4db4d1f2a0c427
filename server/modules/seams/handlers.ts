import type { Handlers } from '../../http/endpoints.ts';
import { deviceOf } from '../session/index.ts';
import { limitsHistory, listSeams } from './repo.ts';
import { listRevisions } from '../revisions/index.ts';
import { copySeam, createSeam, deleteSeam, moveSeam, restoreSeam } from './service.ts';
import { issueRevision } from './issue.ts';
import { lockSetting, releaseSetting, saveOffset } from './hold.ts';
import { requireSeam } from './require.ts';
import { saveLimits } from './limits.ts';
import { saveSeam } from './save-setting.ts';

export const seamHandlers = {
  seams: ({ db, page }) => listSeams(db, page),
  addSeam: ({ db, body, me }) => createSeam(db, body, me.id),
  seam: ({ db, params }) => requireSeam(db, params.id),
  saveSeam: ({ db, params, basedOn, body, me }) => saveSeam(db, params.id, basedOn, body, me),
  copySeam: ({ db, params, body, me }) => copySeam(db, params.id, body, me.id),
  moveSeam: ({ db, params, basedOn, body, me }) => moveSeam(db, params.id, basedOn, body.partId, me.id),
  deleteSeam: ({ db, params, basedOn, me }) => deleteSeam(db, params.id, basedOn, me.id),
  restoreSeam: ({ db, params, me }) => restoreSeam(db, params.id, me.id),
  saveOffset: ({ db, params, body, me }) => saveOffset(db, params.id, body, me.id),
  releaseSeam: ({ db, params, body, me, http }) => releaseSetting(db, params.id, body, me.id, deviceOf(http.request)),
  lockSeam: ({ db, params, basedOn, body, me }) => lockSetting(db, params.id, basedOn, body, me.id),
  saveLimits: ({ db, params, basedOn, body, me }) => saveLimits(db, params.id, basedOn, body, me),
  limitsHistory: async ({ db, params }) => {
    await requireSeam(db, params.id);
    return limitsHistory(db, params.id);
  },
  issueSeam: ({ db, params, key, body, me }) => issueRevision(db, params.id, key, body, me.id),
  revisions: async ({ db, params, page }) => {
    await requireSeam(db, params.id);
    return listRevisions(db, params.id, page);
  },
} satisfies Partial<Handlers>;
