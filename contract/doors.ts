/**
 * The table of doors: every address of the API, once: method, path, who may, what it needs. `endpoints.ts` hangs the shapes of request and
 * answer on it. It mounts the server's routes, makes the typed client, writes OpenAPI, and drives the test that walks every door.
 * Plain data without shapes, so that the first view of the interface need not load what checks them.
 */
import { message, type Phrase } from '@fox-tempo/core/said';
import { may, rights, type Act } from './rights.ts';
import type { Role } from './roles.ts';

export type Method = 'GET' | 'POST' | 'PUT' | 'DELETE';

export interface DoorFacts {
  readonly method: Method;
  /** Below `/api`, parameters as `:name`. */
  readonly path: string;
  readonly summary: Phrase;
  /** Who may: anybody, or the roles named; a session is needed for roles. */
  readonly who: 'anyone' | readonly Role[];
  /** When it went well; 200 when left out. */
  readonly status?: number;
  /** `version`: If-Match with the version it was based on. `key`: Idempotency-Key, a UUID made by the client. `both`. */
  readonly needs?: 'version' | 'key' | 'both';
  readonly paged?: true;
  /** Answers with something else than JSON. */
  readonly media?: string;
  /** Largest body, kB; 256 when left out. */
  readonly limitKb?: number;
  /** Takes a body of another type than JSON, as it is. */
  readonly takes?: 'bytes';
}

const id = '/:id';

export const doorFacts = {
  // The server itself
  health: { method: 'GET', path: '/health', summary: message('contract.endpoint.live'), who: 'anyone' },
  ready: { method: 'GET', path: '/ready', summary: message('contract.endpoint.ready'), who: 'anyone' },
  metrics: {
    method: 'GET',
    path: '/metrics',
    summary: message('contract.endpoint.metrics'),
    who: 'anyone',
    media: 'text/plain',
  },
  openapi: { method: 'GET', path: '/openapi.json', summary: message('contract.this-description'), who: 'anyone' },
  docs: {
    method: 'GET',
    path: '/docs',
    summary: message('contract.endpoint.openapi'),
    who: 'anyone',
    media: 'text/html',
  },

  // Who is here
  session: { method: 'GET', path: '/session', summary: message('contract.endpoint.session'), who: 'anyone' },
  signIn: { method: 'POST', path: '/session', summary: message('contract.endpoint.sign-in'), who: 'anyone' },
  demoSignIn: {
    method: 'POST',
    path: '/session/demo',
    summary: message('contract.endpoint.demo-sign-in'),
    who: 'anyone',
  },
  makeOwner: {
    method: 'POST',
    path: '/session/owner',
    summary: message('contract.endpoint.first-owner'),
    who: 'anyone',
    status: 201,
  },
  signOut: { method: 'DELETE', path: '/session', summary: message('contract.endpoint.sign-out'), who: 'anyone' },
  savePreferences: {
    method: 'PUT',
    path: '/session/preferences',
    summary: message('contract.how-one-reads'),
    who: rights.savePreferences.roles,
  },
  ownSessions: {
    method: 'GET',
    path: '/session/list',
    summary: message('contract.endpoint.sessions'),
    who: rights.ownSessions.roles,
  },
  endSession: {
    method: 'DELETE',
    path: `/session/list${id}`,
    summary: message('contract.endpoint.session-end'),
    who: rights.endSession.roles,
  },
  changePin: {
    method: 'PUT',
    path: '/session/pin',
    summary: message('contract.endpoint.own-pin'),
    who: rights.changePin.roles,
  },

  // The shop
  shop: { method: 'GET', path: '/shop', summary: message('contract.endpoint.shop'), who: rights.shop.roles },
  saveRates: {
    method: 'PUT',
    path: '/shop/rates',
    summary: message('contract.endpoint.rates'),
    who: rights.saveRates.roles,
    needs: 'version',
  },
  saveShop: {
    method: 'PUT',
    path: '/shop',
    summary: message('contract.endpoint.shop-save'),
    who: rights.saveShop.roles,
    needs: 'version',
  },
  wordReviews: {
    method: 'GET',
    path: '/words/:language',
    summary: message('contract.endpoint.word-reviews'),
    who: 'anyone',
  },
  reviewWord: {
    method: 'POST',
    path: '/words/:language',
    summary: message('contract.endpoint.word-review'),
    who: rights.reviewWord.roles,
    status: 201,
    needs: 'key',
  },
  backup: {
    method: 'POST',
    path: '/shop/backup',
    summary: message('contract.endpoint.backup'),
    who: rights.backup.roles,
    media: 'application/octet-stream',
  },
  exportShop: {
    method: 'GET',
    path: '/shop/bundle',
    summary: message('contract.endpoint.export'),
    who: rights.exportShop.roles,
  },
  importBundle: {
    method: 'POST',
    path: '/shop/bundle',
    summary: message('contract.endpoint.import'),
    who: rights.importBundle.roles,
    needs: 'key',
    limitKb: 8192,
  },
  people: {
    method: 'GET',
    path: '/people',
    summary: message('contract.endpoint.people'),
    who: rights.people.roles,
    paged: true,
  },
  addPerson: {
    method: 'POST',
    path: '/people',
    summary: message('contract.adds-a-person'),
    who: rights.addPerson.roles,
    needs: 'key',
    status: 201,
  },
  savePerson: {
    method: 'PUT',
    path: `/people${id}`,
    summary: message('contract.endpoint.person-save'),
    who: rights.savePerson.roles,
    needs: 'version',
  },
  resetPin: {
    method: 'PUT',
    path: `/people${id}/pin`,
    summary: message('contract.endpoint.person-pin'),
    who: rights.resetPin.roles,
    needs: 'version',
  },

  // What is to be made
  parts: { method: 'GET', path: '/parts', summary: message('contract.parts'), who: rights.parts.roles, paged: true },
  addPart: {
    method: 'POST',
    path: '/parts',
    summary: message('contract.adds-a-part'),
    who: rights.addPart.roles,
    needs: 'key',
    status: 201,
  },
  savePart: {
    method: 'PUT',
    path: `/parts${id}`,
    summary: message('contract.endpoint.part-save'),
    who: rights.savePart.roles,
    needs: 'version',
  },
  orders: {
    method: 'GET',
    path: '/orders',
    summary: message('contract.endpoint.orders'),
    who: rights.orders.roles,
    paged: true,
  },
  addOrder: {
    method: 'POST',
    path: '/orders',
    summary: message('contract.adds-an-order'),
    who: rights.addOrder.roles,
    needs: 'key',
    status: 201,
  },
  saveOrder: {
    method: 'PUT',
    path: `/orders${id}`,
    summary: message('contract.endpoint.order-save'),
    who: rights.saveOrder.roles,
    needs: 'version',
  },
  partsDone: {
    method: 'POST',
    path: `/orders${id}/done`,
    summary: message('contract.endpoint.order-count'),
    who: rights.partsDone.roles,
    needs: 'key',
  },

  // Seams
  seams: {
    method: 'GET',
    path: '/seams',
    summary: message('contract.endpoint.seams'),
    who: rights.seams.roles,
    paged: true,
  },
  addSeam: {
    method: 'POST',
    path: '/seams',
    summary: message('contract.describes-a-seam'),
    who: rights.addSeam.roles,
    needs: 'key',
    status: 201,
  },
  seam: {
    method: 'GET',
    path: `/seams${id}`,
    summary: message('contract.endpoint.seam'),
    who: rights.seam.roles,
  },
  saveSeam: {
    method: 'PUT',
    path: `/seams${id}`,
    summary: message('contract.endpoint.seam-save'),
    who: rights.saveSeam.roles,
    needs: 'version',
  },
  copySeam: {
    method: 'POST',
    path: `/seams${id}/copy`,
    summary: message('contract.endpoint.seam-copy'),
    who: rights.copySeam.roles,
    needs: 'key',
    status: 201,
  },
  moveSeam: {
    method: 'PUT',
    path: `/seams${id}/part`,
    summary: message('contract.endpoint.seam-move'),
    who: rights.moveSeam.roles,
    needs: 'version',
  },
  deleteSeam: {
    method: 'DELETE',
    path: `/seams${id}`,
    summary: message('contract.endpoint.seam-remove'),
    who: rights.deleteSeam.roles,
    needs: 'version',
  },
  restoreSeam: {
    method: 'POST',
    path: `/seams${id}/restore`,
    summary: message('contract.endpoint.seam-restore'),
    who: rights.restoreSeam.roles,
  },
  saveOffset: {
    method: 'PUT',
    path: `/seams${id}/offset`,
    summary: message('contract.endpoint.offset'),
    who: rights.saveOffset.roles,
  },
  releaseSeam: {
    method: 'POST',
    path: `/seams${id}/releases`,
    summary: message('contract.endpoint.release'),
    who: rights.releaseSeam.roles,
    status: 201,
  },
  lockSeam: {
    method: 'PUT',
    path: `/seams${id}/lock`,
    summary: message('contract.endpoint.seam-lock'),
    who: rights.lockSeam.roles,
    needs: 'version',
  },
  issueSeam: {
    method: 'POST',
    path: `/seams${id}/issue`,
    summary: message('contract.endpoint.seam-issue'),
    who: rights.issueSeam.roles,
    needs: 'key',
    status: 201,
  },
  revisions: {
    method: 'GET',
    path: `/seams${id}/revisions`,
    summary: message('contract.endpoint.seam-revisions'),
    who: rights.revisions.roles,
    paged: true,
  },
  card: {
    method: 'GET',
    path: `/seams${id}/card.pdf`,
    summary: message('contract.endpoint.seam-card'),
    who: rights.card.roles,
    media: 'application/pdf',
  },
  procedure: {
    method: 'GET',
    path: `/seams${id}/procedure.pdf`,
    summary: message('contract.endpoint.procedure-pdf'),
    who: rights.procedure.roles,
    media: 'application/pdf',
  },
  trialRecord: {
    method: 'GET',
    path: `/trials${id}/record.pdf`,
    summary: message('contract.endpoint.trial-pdf'),
    who: rights.trialRecord.roles,
    media: 'application/pdf',
  },
  runPlan: {
    method: 'GET',
    path: '/run-plan.pdf',
    summary: message('contract.endpoint.run-plan-pdf'),
    who: rights.runPlan.roles,
    media: 'application/pdf',
  },

  saveLimits: {
    method: 'PUT',
    path: `/seams${id}/limits`,
    summary: message('contract.endpoint.limits'),
    who: rights.saveLimits.roles,
    needs: 'version',
  },
  limitsHistory: {
    method: 'GET',
    path: `/seams${id}/limits`,
    summary: message('contract.endpoint.limits-history'),
    who: rights.limitsHistory.roles,
  },
  saveWindow: {
    method: 'PUT',
    path: `/seams${id}/window`,
    summary: message('contract.verb.window'),
    who: rights.saveWindow.roles,
    needs: 'version',
  },
  learned: {
    method: 'GET',
    path: `/seams${id}/learned`,
    summary: message('contract.verb.learn'),
    who: rights.learned.roles,
  },

  // Trials
  trials: {
    method: 'GET',
    path: '/trials',
    summary: message('contract.endpoint.trials'),
    who: rights.trials.roles,
    paged: true,
  },
  trialsCsv: {
    method: 'GET',
    path: '/trials.csv',
    summary: message('contract.endpoint.trials-csv'),
    who: rights.trialsCsv.roles,
    media: 'text/csv',
  },
  addTrial: {
    method: 'POST',
    path: '/trials',
    summary: message('contract.endpoint.trial-add'),
    who: rights.addTrial.roles,
    needs: 'key',
    status: 201,
  },
  trial: { method: 'GET', path: `/trials${id}`, summary: message('contract.one-trial-whole'), who: rights.trial.roles },
  diagnosis: {
    method: 'GET',
    path: `/trials${id}/diagnosis`,
    summary: message('contract.verb.diagnose'),
    who: rights.diagnosis.roles,
  },

  // Production
  runs: {
    method: 'GET',
    path: '/runs',
    summary: message('contract.endpoint.runs'),
    who: rights.runs.roles,
    paged: true,
  },
  runsCsv: {
    method: 'GET',
    path: '/runs.csv',
    summary: message('contract.endpoint.runs-csv'),
    who: rights.runsCsv.roles,
    media: 'text/csv',
  },
  addRun: {
    method: 'POST',
    path: '/runs',
    summary: message('contract.endpoint.run-add'),
    who: rights.addRun.roles,
    needs: 'key',
    status: 201,
  },
  decideRun: {
    method: 'POST',
    path: `/runs${id}/decision`,
    // Without a key: a door with one is a transaction, and a wrong PIN must stay counted.
    summary: message('contract.endpoint.run-decide'),
    who: rights.decideRun.roles,
  },

  // Simulated machines
  standInWeld: {
    method: 'POST',
    path: `/stand-ins${id}/weld`,
    summary: message('contract.a-simulated-weld'),
    who: rights.standInWeld.roles,
    needs: 'key',
  },
  standInTrace: {
    method: 'GET',
    path: `/stand-ins${id}/trace.csv`,
    summary: message('contract.endpoint.simulated-trace'),
    who: rights.standInTrace.roles,
    media: 'text/csv',
  },

  // Machines
  machines: {
    method: 'GET',
    path: '/machines',
    summary: message('contract.machines'),
    who: rights.machines.roles,
    paged: true,
  },
  addMachine: {
    method: 'POST',
    path: '/machines',
    summary: message('contract.describes-a-machine'),
    who: rights.addMachine.roles,
    needs: 'key',
    status: 201,
    limitKb: 1024,
  },
  machine: {
    method: 'GET',
    path: `/machines${id}`,
    summary: message('contract.one-machine'),
    who: rights.machine.roles,
  },
  saveMachine: {
    method: 'PUT',
    path: `/machines${id}`,
    summary: message('contract.saves-its-file'),
    who: rights.saveMachine.roles,
    needs: 'version',
    limitKb: 1024,
  },
  saveStanding: {
    method: 'PUT',
    path: `/machines${id}/standing`,
    summary: message('contract.endpoint.machine-state'),
    who: rights.saveStanding.roles,
    needs: 'both',
  },
  saveDirection: {
    method: 'POST',
    path: `/machines${id}/directions`,
    summary: message('contract.endpoint.direction-test'),
    who: rights.saveDirection.roles,
    needs: 'version',
  },
  slots: {
    method: 'GET',
    path: `/machines${id}/slots`,
    summary: message('contract.endpoint.slots'),
    who: rights.slots.roles,
    paged: true,
  },
  slotHistory: {
    method: 'GET',
    path: `/machines${id}/slots/:slot`,
    summary: message('contract.endpoint.slot-history'),
    who: rights.slotHistory.roles,
    paged: true,
  },
  storeInSlot: {
    method: 'POST',
    path: `/machines${id}/slots/:slot`,
    summary: message('contract.endpoint.slot-store'),
    who: rights.storeInSlot.roles,
    needs: 'key',
    status: 201,
  },
  noteFound: {
    method: 'POST',
    path: `/machines${id}/slots/:slot/found`,
    summary: message('contract.endpoint.dials-found'),
    who: rights.noteFound.roles,
    needs: 'key',
  },
  wear: {
    method: 'GET',
    path: '/wear',
    summary: message('contract.endpoint.wear'),
    who: rights.wear.roles,
  },
  shift: {
    method: 'GET',
    path: '/shift',
    summary: message('contract.endpoint.shift'),
    who: rights.shift.roles,
  },
  leadReadings: {
    method: 'GET',
    path: `/machines${id}/lead-readings`,
    summary: message('contract.endpoint.lead-reading'),
    who: rights.leadReadings.roles,
    paged: true,
  },
  addLeadReading: {
    method: 'POST',
    path: `/machines${id}/lead-readings`,
    summary: message('contract.logs-a-reading'),
    who: rights.addLeadReading.roles,
    needs: 'key',
    status: 201,
  },
  stepTimes: {
    method: 'GET',
    path: `/machines${id}/step-times`,
    summary: message('contract.endpoint.step-times'),
    who: rights.stepTimes.roles,
  },
  addStepTime: {
    method: 'POST',
    path: `/machines${id}/step-times`,
    summary: message('contract.endpoint.step-time'),
    who: rights.addStepTime.roles,
    needs: 'key',
    status: 201,
  },

  // Stock
  stock: { method: 'GET', path: '/stock', summary: message('contract.cylinders-and-spools'), who: rights.stock.roles },
  addCylinder: {
    method: 'POST',
    path: '/stock/cylinders',
    summary: message('contract.adds-a-cylinder'),
    who: rights.addCylinder.roles,
    needs: 'key',
    status: 201,
  },
  saveCylinder: {
    method: 'PUT',
    path: `/stock/cylinders${id}`,
    summary: message('contract.endpoint.cylinder-save'),
    who: rights.saveCylinder.roles,
    needs: 'both',
  },
  addSpool: {
    method: 'POST',
    path: '/stock/spools',
    summary: message('contract.adds-a-spool'),
    who: rights.addSpool.roles,
    needs: 'key',
    status: 201,
  },
  saveSpool: {
    method: 'PUT',
    path: `/stock/spools${id}`,
    summary: message('contract.endpoint.spool-save'),
    who: rights.saveSpool.roles,
    needs: 'both',
  },

  // Evidence
  observations: {
    method: 'GET',
    path: '/observations',
    summary: message('contract.endpoint.observations'),
    who: rights.observations.roles,
    paged: true,
  },
  observe: {
    method: 'POST',
    path: '/observations',
    summary: message('contract.endpoint.observation-add'),
    who: rights.observe.roles,
    needs: 'key',
    status: 201,
  },
  addBlob: {
    method: 'POST',
    path: '/blobs',
    summary: message('contract.endpoint.attachment-add'),
    who: rights.addBlob.roles,
    takes: 'bytes',
    status: 201,
    limitKb: 12 * 1024,
  },
  blob: {
    method: 'GET',
    path: '/blobs/:sha256',
    summary: message('contract.a-kept-file'),
    who: rights.blob.roles,
    media: 'application/octet-stream',
  },

  // Computations
  compute: {
    method: 'POST',
    path: '/compute/:verb',
    summary: message('contract.endpoint.compute'),
    who: rights.compute.roles,
  },
  addJob: {
    method: 'POST',
    path: '/jobs',
    summary: message('contract.endpoint.job-add'),
    who: rights.addJob.roles,
    needs: 'key',
    status: 202,
  },
  job: { method: 'GET', path: `/jobs${id}`, summary: message('contract.endpoint.job'), who: rights.job.roles },
  jobEvents: {
    method: 'GET',
    path: `/jobs${id}/events`,
    summary: message('contract.endpoint.job-events'),
    who: rights.jobEvents.roles,
    media: 'text/event-stream',
  },
  cancelJob: {
    method: 'DELETE',
    path: `/jobs${id}`,
    summary: message('contract.endpoint.job-cancel'),
    who: rights.cancelJob.roles,
  },
} as const satisfies Record<string, DoorFacts>;

export type DoorName = keyof typeof doorFacts;
export const doorNames = Object.keys(doorFacts) as DoorName[];

/** True when somebody of this role may pass the door. */
export function mayPass(name: DoorName, role: Role): boolean {
  return doorFacts[name].who === 'anyone' || may(name as Act & DoorName, role);
}

export function needsKey({ needs }: Pick<DoorFacts, 'needs'>): boolean {
  return needs === 'key' || needs === 'both';
}

export function needsVersion({ needs }: Pick<DoorFacts, 'needs'>): boolean {
  return needs === 'version' || needs === 'both';
}

/** The address of a door with its parameters filled in. */
export function addressOf(name: DoorName, params: Readonly<Record<string, string>> = {}): string {
  return doorFacts[name].path.replace(/:(\w+)/g, (_whole, key: string) => encodeURIComponent(params[key] ?? ''));
}

/** Goes up when an answer changes its shape: a page built with another one says so instead of breaking. */
export const contractVersion = 4;
/** Header of every answer of the API. */
export const contractHeader = 'fox-tempo-contract';
