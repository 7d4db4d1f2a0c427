/** Seams with their settings, and the revisions of these. */
import { limitsHistory, seamLimits, limitsField, limitsWritten } from '../limits.ts';
import { seamWindow, offsetField, windowField } from '../window.ts';
import type { Endpoints } from '../endpoint.ts';
import { message } from '@fox-tempo/core/base/messages';
import { z } from 'zod';
import {
  arcIntentField,
  idOf,
  jointField,
  materialField,
  nameField,
  positionField,
  preparationField,
  ranged,
  timestampField,
} from '../fields.ts';
import { programFile } from '../files/program.ts';
import { leadPin, reasonField } from '../lead-pin.ts';
import { programChoice } from '../program-choice.ts';
import { siteField } from '../site.ts';
import { pageOf } from '../page.ts';

/** A seam as described at the bench; null where the plan decides. */
export const seamSpec = z.strictObject({
  name: nameField,
  grade: z.string().trim().max(80),
  materialGroup: materialField,
  thicknessesMm: z.tuple([ranged('thicknessMm'), ranged('thicknessMm')]),
  joint: jointField,
  position: positionField,
  gapMm: ranged('gapMm'),
  legMm: ranged('legMm').nullable(),
  lengthMm: ranged('lengthMm'),
  travelMmPerMin: ranged('travelMmPerMin').nullable(),
  /** Edges of a butt; null or left out: square. */
  preparation: preparationField.nullish(),
  /** What the arc is meant to do; null or left out: what the joint wants. */
  arcIntent: arcIntentField.nullish(),
});

/** What one part takes, by the model of the day it was saved: a later model does not rewrite yesterday. */
export const revisionUse = z.object({
  arcSeconds: z.number(),
  passes: z.int(),
  wireKg: z.number(),
  gasL: z.number(),
});

export const revision = z.object({
  number: z.int().positive(),
  /** The seam and the choice this revision was made for. */
  spec: seamSpec,
  choice: programChoice,
  /** The site it was planned with. */
  site: siteField,
  program: programFile,
  use: revisionUse.nullable(),
  contentHash: z.string().nullable(),
  createdAt: timestampField,
  createdBy: z.string(),
});

export const seamResource = z.object({
  id: idOf('seam'),
  partId: idOf('part'),
  partName: z.string(),
  version: z.int(),
  spec: seamSpec,
  /** null until a setting was saved. */
  choice: programChoice.nullable(),
  revision: revision.nullable(),
  /** Set by a lead hand: nobody else saves a setting then. */
  lock: z.object({ reason: z.string(), by: z.string(), at: timestampField }).nullable(),
  /** References in force, one for each machine. */
  issued: z.array(
    z.object({
      revision: z.int(),
      machineId: idOf('machine'),
      reason: z.string(),
      by: z.string(),
      at: timestampField,
    }),
  ),
  /** How far a welder may move the setting, machine by machine; tested when it was written. */
  windows: z.array(
    z.object({
      machineId: idOf('machine'),
      revision: z.int(),
      window: windowField,
      failureBelow95: z.number(),
      reason: z.string(),
      by: z.string(),
      at: timestampField,
    }),
  ),
  /** How welders move it for themselves inside its window: the newest of each, for the revision it was made for. */
  offsets: z.array(
    z.object({ machineId: idOf('machine'), personId: idOf('person'), revision: z.int(), offset: offsetField }),
  ),
  /** What a weld may look like; null: the preset of level C. */
  limits: limitsField.nullable(),
  /** Which writing of the limits it is, by whom and why; null: nobody has written any. */
  limitsWritten: limitsWritten.nullable(),
  deleted: z.boolean(),
  createdAt: timestampField,
  createdBy: z.string(),
  changedAt: timestampField,
  changedBy: z.string(),
});

/** Saves seam and setting in one piece; the server computes the program and stores it as the next revision. */
export const seamSave = z.strictObject({ spec: seamSpec, choice: programChoice });

export const seamLock = z.strictObject({ locked: z.boolean(), reason: reasonField });

/** Makes a revision the shop's reference for this seam on one machine. */
export const seamIssue = z.strictObject({
  revision: z.int().min(1),
  machineId: idOf('machine'),
  reason: reasonField,
  /** Passed trials that stand for it. */
  evidence: z.array(z.uuid()).min(1).max(20),
});

/** One's own way of setting it, inside the window; an empty one takes it away. */
export const seamOffset = z.strictObject({ machineId: idOf('machine'), revision: z.int().min(1), offset: offsetField });

/** Lets whoever is signed in save beyond lock and window of this seam for a while: a lead hand's name, PIN and reason, on the spot. */
export const seamRelease = z.strictObject({ by: leadPin, reason: reasonField });

export const seamReleased = z.object({ until: timestampField });

export const seamCopy = z.strictObject({ partId: idOf('part'), name: nameField });

export const seamMove = z.strictObject({ partId: idOf('part') });

export const seamCreate = z.strictObject({ partId: idOf('part'), spec: seamSpec });

export type RevisionUse = z.infer<typeof revisionUse>;

export type SeamSpec = z.infer<typeof seamSpec>;

export type SeamOffset = z.infer<typeof seamOffset>;

export type SeamRelease = z.infer<typeof seamRelease>;

export type SeamLock = z.infer<typeof seamLock>;

export type SeamIssue = z.infer<typeof seamIssue>;

export type SeamCopy = z.infer<typeof seamCopy>;

export type SeamSave = z.infer<typeof seamSave>;

export type SeamCreate = z.infer<typeof seamCreate>;

export type SeamResource = z.infer<typeof seamResource>;

export type Revision = z.infer<typeof revision>;

export const seamEndpoints = {
  seams: {
    method: 'GET',
    path: '/seams',
    summary: message('contract.endpoint.seams'),
    act: 'seams',
    answer: pageOf(seamResource),
    paged: true,
  },
  addSeam: {
    method: 'POST',
    path: '/seams',
    summary: message('contract.describes-a-seam'),
    act: 'addSeam',
    body: seamCreate,
    answer: seamResource,
    status: 201,
    needs: 'key',
  },
  seam: {
    method: 'GET',
    path: '/seams/:id',
    summary: message('contract.endpoint.seam'),
    act: 'seam',
    answer: seamResource,
  },
  saveSeam: {
    method: 'PUT',
    path: '/seams/:id',
    summary: message('contract.endpoint.seam-save'),
    act: 'saveSeam',
    body: seamSave,
    answer: seamResource,
    needs: 'version',
  },
  copySeam: {
    method: 'POST',
    path: '/seams/:id/copy',
    summary: message('contract.endpoint.seam-copy'),
    act: 'copySeam',
    body: seamCopy,
    answer: seamResource,
    status: 201,
    needs: 'key',
  },
  moveSeam: {
    method: 'PUT',
    path: '/seams/:id/part',
    summary: message('contract.endpoint.seam-move'),
    act: 'moveSeam',
    body: seamMove,
    answer: seamResource,
    needs: 'version',
  },
  deleteSeam: {
    method: 'DELETE',
    path: '/seams/:id',
    summary: message('contract.endpoint.seam-remove'),
    act: 'deleteSeam',
    answer: seamResource,
    needs: 'version',
  },
  restoreSeam: {
    method: 'POST',
    path: '/seams/:id/restore',
    summary: message('contract.endpoint.seam-restore'),
    act: 'restoreSeam',
    answer: seamResource,
  },
  saveOffset: {
    method: 'PUT',
    path: '/seams/:id/offset',
    summary: message('contract.endpoint.offset'),
    act: 'saveOffset',
    body: seamOffset,
    answer: seamResource,
  },
  releaseSeam: {
    method: 'POST',
    path: '/seams/:id/releases',
    summary: message('contract.endpoint.release'),
    act: 'releaseSeam',
    body: seamRelease,
    answer: seamReleased,
    status: 201,
  },
  lockSeam: {
    method: 'PUT',
    path: '/seams/:id/lock',
    summary: message('contract.endpoint.seam-lock'),
    act: 'lockSeam',
    body: seamLock,
    answer: seamResource,
    needs: 'version',
  },
  issueSeam: {
    method: 'POST',
    path: '/seams/:id/issue',
    summary: message('contract.endpoint.seam-issue'),
    act: 'issueSeam',
    body: seamIssue,
    answer: seamResource,
    status: 201,
    needs: 'key',
  },
  revisions: {
    method: 'GET',
    path: '/seams/:id/revisions',
    summary: message('contract.endpoint.seam-revisions'),
    act: 'revisions',
    answer: pageOf(revision),
    paged: true,
  },
  saveLimits: {
    method: 'PUT',
    path: '/seams/:id/limits',
    summary: message('contract.endpoint.limits'),
    act: 'saveLimits',
    body: seamLimits,
    answer: seamResource,
    needs: 'version',
  },
  limitsHistory: {
    method: 'GET',
    path: '/seams/:id/limits',
    summary: message('contract.endpoint.limits-history'),
    act: 'limitsHistory',
    answer: limitsHistory,
  },
  saveWindow: {
    method: 'PUT',
    path: '/seams/:id/window',
    summary: message('contract.verb.window'),
    act: 'saveWindow',
    body: seamWindow,
    answer: seamResource,
    needs: 'version',
  },
} as const satisfies Endpoints;
