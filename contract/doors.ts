/**
 * The table of doors: every address of the API, once: method, path, who may, what it needs. `endpoints.ts` hangs the shapes of request and
 * answer on it. It mounts the server's routes, makes the typed client, writes OpenAPI, and drives the test that walks every door.
 * Plain data without shapes, so that the first view of the interface need not load what checks them.
 */
import { say, type Phrase } from '@fox-tempo/core/said';
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
  health: { method: 'GET', path: '/health', summary: say('contract.the-server-lives-says-nothing'), who: 'anyone' },
  ready: { method: 'GET', path: '/ready', summary: say('contract.server-and-database-answer'), who: 'anyone' },
  metrics: {
    method: 'GET',
    path: '/metrics',
    summary: say('contract.counters-and-times-in-the'),
    who: 'anyone',
    media: 'text/plain',
  },
  openapi: { method: 'GET', path: '/openapi.json', summary: say('contract.this-description'), who: 'anyone' },
  docs: {
    method: 'GET',
    path: '/docs',
    summary: say('contract.this-description-as-a-page'),
    who: 'anyone',
    media: 'text/html',
  },

  // Who is here
  session: { method: 'GET', path: '/session', summary: say('contract.who-is-signed-in-and'), who: 'anyone' },
  signIn: { method: 'POST', path: '/session', summary: say('contract.signs-in-by-name-and'), who: 'anyone' },
  demoSignIn: {
    method: 'POST',
    path: '/session/demo',
    summary: say('contract.on-the-demo-shop-in'),
    who: 'anyone',
  },
  makeOwner: {
    method: 'POST',
    path: '/session/owner',
    summary: say('contract.makes-the-first-owner-with'),
    who: 'anyone',
    status: 201,
  },
  signOut: { method: 'DELETE', path: '/session', summary: say('contract.signs-out'), who: 'anyone' },
  savePreferences: {
    method: 'PUT',
    path: '/session/preferences',
    summary: say('contract.how-one-reads'),
    who: rights.savePreferences.roles,
  },
  ownSessions: {
    method: 'GET',
    path: '/session/list',
    summary: say('contract.where-one-is-signed-in'),
    who: rights.ownSessions.roles,
  },
  endSession: {
    method: 'DELETE',
    path: `/session/list${id}`,
    summary: say('contract.signs-out-another-device'),
    who: rights.endSession.roles,
  },
  changePin: {
    method: 'PUT',
    path: '/session/pin',
    summary: say('contract.changes-ones-own-pin'),
    who: rights.changePin.roles,
  },

  // The shop
  shop: { method: 'GET', path: '/shop', summary: say('contract.the-shop-name-time-zone'), who: rights.shop.roles },
  saveRates: {
    method: 'PUT',
    path: '/shop/rates',
    summary: say('contract.what-minutes-wire-and-gas-cost'),
    who: rights.saveRates.roles,
    needs: 'version',
  },
  saveShop: {
    method: 'PUT',
    path: '/shop',
    summary: say('contract.changes-name-and-time-zone'),
    who: rights.saveShop.roles,
    needs: 'version',
  },
  backup: {
    method: 'POST',
    path: '/shop/backup',
    summary: say('contract.everything-as-one-file'),
    who: rights.backup.roles,
    media: 'application/octet-stream',
  },
  exportShop: {
    method: 'GET',
    path: '/shop/bundle',
    summary: say('contract.parts-seams-with-their-settings'),
    who: rights.exportShop.roles,
  },
  importBundle: {
    method: 'POST',
    path: '/shop/bundle',
    summary: say('contract.takes-seams-programs-or-machines'),
    who: rights.importBundle.roles,
    needs: 'key',
    limitKb: 8192,
  },
  people: {
    method: 'GET',
    path: '/people',
    summary: say('contract.people-of-the-shop'),
    who: rights.people.roles,
    paged: true,
  },
  addPerson: {
    method: 'POST',
    path: '/people',
    summary: say('contract.adds-a-person'),
    who: rights.addPerson.roles,
    needs: 'key',
    status: 201,
  },
  savePerson: {
    method: 'PUT',
    path: `/people${id}`,
    summary: say('contract.renames-changes-the-role-retires'),
    who: rights.savePerson.roles,
    needs: 'version',
  },
  resetPin: {
    method: 'PUT',
    path: `/people${id}/pin`,
    summary: say('contract.sets-a-new-pin'),
    who: rights.resetPin.roles,
    needs: 'version',
  },

  // What is to be made
  parts: { method: 'GET', path: '/parts', summary: say('contract.parts'), who: rights.parts.roles, paged: true },
  addPart: {
    method: 'POST',
    path: '/parts',
    summary: say('contract.adds-a-part'),
    who: rights.addPart.roles,
    needs: 'key',
    status: 201,
  },
  savePart: {
    method: 'PUT',
    path: `/parts${id}`,
    summary: say('contract.changes-or-retires-a-part'),
    who: rights.savePart.roles,
    needs: 'version',
  },
  orders: {
    method: 'GET',
    path: '/orders',
    summary: say('contract.orders-by-due-date'),
    who: rights.orders.roles,
    paged: true,
  },
  addOrder: {
    method: 'POST',
    path: '/orders',
    summary: say('contract.adds-an-order'),
    who: rights.addOrder.roles,
    needs: 'key',
    status: 201,
  },
  saveOrder: {
    method: 'PUT',
    path: `/orders${id}`,
    summary: say('contract.changes-or-closes-an-order'),
    who: rights.saveOrder.roles,
    needs: 'version',
  },
  partsDone: {
    method: 'POST',
    path: `/orders${id}/done`,
    summary: say('contract.counts-parts-done-and-gas'),
    who: rights.partsDone.roles,
    needs: 'key',
  },

  // Seams
  seams: {
    method: 'GET',
    path: '/seams',
    summary: say('contract.seams-in-the-order-they'),
    who: rights.seams.roles,
    paged: true,
  },
  addSeam: {
    method: 'POST',
    path: '/seams',
    summary: say('contract.describes-a-seam'),
    who: rights.addSeam.roles,
    needs: 'key',
    status: 201,
  },
  seam: {
    method: 'GET',
    path: `/seams${id}`,
    summary: say('contract.one-seam-with-its-newest'),
    who: rights.seam.roles,
  },
  saveSeam: {
    method: 'PUT',
    path: `/seams${id}`,
    summary: say('contract.saves-seam-and-setting-as'),
    who: rights.saveSeam.roles,
    needs: 'version',
  },
  copySeam: {
    method: 'POST',
    path: `/seams${id}/copy`,
    summary: say('contract.a-copy-with-its-setting'),
    who: rights.copySeam.roles,
    needs: 'key',
    status: 201,
  },
  moveSeam: {
    method: 'PUT',
    path: `/seams${id}/part`,
    summary: say('contract.moves-it-to-another-part'),
    who: rights.moveSeam.roles,
    needs: 'version',
  },
  deleteSeam: {
    method: 'DELETE',
    path: `/seams${id}`,
    summary: say('contract.takes-it-off-the-lists'),
    who: rights.deleteSeam.roles,
    needs: 'version',
  },
  restoreSeam: {
    method: 'POST',
    path: `/seams${id}/restore`,
    summary: say('contract.brings-a-deleted-one-back'),
    who: rights.restoreSeam.roles,
  },
  saveOffset: {
    method: 'PUT',
    path: `/seams${id}/offset`,
    summary: say('contract.ones-own-way-inside-the-window'),
    who: rights.saveOffset.roles,
  },
  releaseSeam: {
    method: 'POST',
    path: `/seams${id}/releases`,
    summary: say('contract.a-lead-hands-release-on-the-spot'),
    who: rights.releaseSeam.roles,
    status: 201,
  },
  lockSeam: {
    method: 'PUT',
    path: `/seams${id}/lock`,
    summary: say('contract.locks-or-frees-its-setting'),
    who: rights.lockSeam.roles,
    needs: 'version',
  },
  issueSeam: {
    method: 'POST',
    path: `/seams${id}/issue`,
    summary: say('contract.makes-a-revision-the-reference'),
    who: rights.issueSeam.roles,
    needs: 'key',
    status: 201,
  },
  revisions: {
    method: 'GET',
    path: `/seams${id}/revisions`,
    summary: say('contract.all-revisions-the-newest-first'),
    who: rights.revisions.roles,
    paged: true,
  },
  card: {
    method: 'GET',
    path: `/seams${id}/card.pdf`,
    summary: say('contract.the-newest-revision-on-one'),
    who: rights.card.roles,
    media: 'application/pdf',
  },
  procedure: {
    method: 'GET',
    path: `/seams${id}/procedure.pdf`,
    summary: say('contract.a-procedure-sheet-with-ranges'),
    who: rights.procedure.roles,
    media: 'application/pdf',
  },
  trialRecord: {
    method: 'GET',
    path: `/trials${id}/record.pdf`,
    summary: say('contract.a-trial-as-a-page'),
    who: rights.trialRecord.roles,
    media: 'application/pdf',
  },
  runPlan: {
    method: 'GET',
    path: '/run-plan.pdf',
    summary: say('contract.the-days-run-for-the-wall'),
    who: rights.runPlan.roles,
    media: 'application/pdf',
  },

  saveLimits: {
    method: 'PUT',
    path: `/seams${id}/limits`,
    summary: say('contract.what-a-weld-may-look-like'),
    who: rights.saveLimits.roles,
    needs: 'version',
  },
  limitsHistory: {
    method: 'GET',
    path: `/seams${id}/limits`,
    summary: say('contract.limits-as-they-were-written'),
    who: rights.limitsHistory.roles,
  },
  saveWindow: {
    method: 'PUT',
    path: `/seams${id}/window`,
    summary: say('contract.how-far-each-may-be-moved'),
    who: rights.saveWindow.roles,
    needs: 'version',
  },
  learned: {
    method: 'GET',
    path: `/seams${id}/learned`,
    summary: say('contract.what-own-welds-teach'),
    who: rights.learned.roles,
  },

  // Trials
  trials: {
    method: 'GET',
    path: '/trials',
    summary: say('contract.trials-the-newest-first'),
    who: rights.trials.roles,
    paged: true,
  },
  trialsCsv: {
    method: 'GET',
    path: '/trials.csv',
    summary: say('contract.trials-as-a-table'),
    who: rights.trialsCsv.roles,
    media: 'text/csv',
  },
  addTrial: {
    method: 'POST',
    path: '/trials',
    summary: say('contract.records-a-trial-for-ever'),
    who: rights.addTrial.roles,
    needs: 'key',
    status: 201,
  },
  trial: { method: 'GET', path: `/trials${id}`, summary: say('contract.one-trial-whole'), who: rights.trial.roles },
  diagnosis: {
    method: 'GET',
    path: `/trials${id}/diagnosis`,
    summary: say('contract.which-cause-and-which-move'),
    who: rights.diagnosis.roles,
  },

  // Production
  runs: {
    method: 'GET',
    path: '/runs',
    summary: say('contract.run-records-the-newest-first'),
    who: rights.runs.roles,
    paged: true,
  },
  runsCsv: {
    method: 'GET',
    path: '/runs.csv',
    summary: say('contract.run-records-as-a-table'),
    who: rights.runsCsv.roles,
    media: 'text/csv',
  },
  addRun: {
    method: 'POST',
    path: '/runs',
    summary: say('contract.records-a-production-weld'),
    who: rights.addRun.roles,
    needs: 'key',
    status: 201,
  },
  decideRun: {
    method: 'POST',
    path: `/runs${id}/decision`,
    // Without a key: a door with one is a transaction, and a wrong PIN must stay counted.
    summary: say('contract.what-becomes-of-a-held-part'),
    who: rights.decideRun.roles,
  },

  // Simulated machines
  standInWeld: {
    method: 'POST',
    path: `/stand-ins${id}/weld`,
    summary: say('contract.a-simulated-weld'),
    who: rights.standInWeld.roles,
    needs: 'key',
  },
  standInTrace: {
    method: 'GET',
    path: `/stand-ins${id}/trace.csv`,
    summary: say('contract.current-and-voltage-of-the-last-simulated-weld'),
    who: rights.standInTrace.roles,
    media: 'text/csv',
  },

  // Machines
  machines: {
    method: 'GET',
    path: '/machines',
    summary: say('contract.machines'),
    who: rights.machines.roles,
    paged: true,
  },
  addMachine: {
    method: 'POST',
    path: '/machines',
    summary: say('contract.describes-a-machine'),
    who: rights.addMachine.roles,
    needs: 'key',
    status: 201,
    limitKb: 1024,
  },
  machine: { method: 'GET', path: `/machines${id}`, summary: say('contract.one-machine'), who: rights.machine.roles },
  saveMachine: {
    method: 'PUT',
    path: `/machines${id}`,
    summary: say('contract.saves-its-file'),
    who: rights.saveMachine.roles,
    needs: 'version',
    limitKb: 1024,
  },
  saveStanding: {
    method: 'PUT',
    path: `/machines${id}/standing`,
    summary: say('contract.how-it-stands-now'),
    who: rights.saveStanding.roles,
    needs: 'both',
  },
  saveDirection: {
    method: 'POST',
    path: `/machines${id}/directions`,
    summary: say('contract.what-a-direction-test-found'),
    who: rights.saveDirection.roles,
    needs: 'version',
  },
  slots: {
    method: 'GET',
    path: `/machines${id}/slots`,
    summary: say('contract.what-stands-in-its-memory'),
    who: rights.slots.roles,
    paged: true,
  },
  slotHistory: {
    method: 'GET',
    path: `/machines${id}/slots/:slot`,
    summary: say('contract.everything-that-ever-stood-in'),
    who: rights.slotHistory.roles,
    paged: true,
  },
  storeInSlot: {
    method: 'POST',
    path: `/machines${id}/slots/:slot`,
    summary: say('contract.stores-a-seams-newest-revision'),
    who: rights.storeInSlot.roles,
    needs: 'key',
    status: 201,
  },
  noteFound: {
    method: 'POST',
    path: `/machines${id}/slots/:slot/found`,
    summary: say('contract.what-somebody-found-on-the'),
    who: rights.noteFound.roles,
    needs: 'key',
  },
  wear: {
    method: 'GET',
    path: '/wear',
    summary: say('contract.what-wears-on-each-gun'),
    who: rights.wear.roles,
  },
  shift: {
    method: 'GET',
    path: '/shift',
    summary: say('contract.memory-slots-as-they-were-read'),
    who: rights.shift.roles,
  },
  leadReadings: {
    method: 'GET',
    path: `/machines${id}/lead-readings`,
    summary: say('contract.resistance-of-leads-gun-and'),
    who: rights.leadReadings.roles,
    paged: true,
  },
  addLeadReading: {
    method: 'POST',
    path: `/machines${id}/lead-readings`,
    summary: say('contract.logs-a-reading'),
    who: rights.addLeadReading.roles,
    needs: 'key',
    status: 201,
  },
  stepTimes: {
    method: 'GET',
    path: `/machines${id}/step-times`,
    summary: say('contract.the-shops-own-minutes'),
    who: rights.stepTimes.roles,
  },
  addStepTime: {
    method: 'POST',
    path: `/machines${id}/step-times`,
    summary: say('contract.minutes-a-step-took'),
    who: rights.addStepTime.roles,
    needs: 'key',
    status: 201,
  },

  // Stock
  stock: { method: 'GET', path: '/stock', summary: say('contract.cylinders-and-spools'), who: rights.stock.roles },
  addCylinder: {
    method: 'POST',
    path: '/stock/cylinders',
    summary: say('contract.adds-a-cylinder'),
    who: rights.addCylinder.roles,
    needs: 'key',
    status: 201,
  },
  saveCylinder: {
    method: 'PUT',
    path: `/stock/cylinders${id}`,
    summary: say('contract.reads-or-moves-a-cylinder'),
    who: rights.saveCylinder.roles,
    needs: 'both',
  },
  addSpool: {
    method: 'POST',
    path: '/stock/spools',
    summary: say('contract.adds-a-spool'),
    who: rights.addSpool.roles,
    needs: 'key',
    status: 201,
  },
  saveSpool: {
    method: 'PUT',
    path: `/stock/spools${id}`,
    summary: say('contract.reads-or-moves-a-spool'),
    who: rights.saveSpool.roles,
    needs: 'both',
  },

  // Evidence
  observations: {
    method: 'GET',
    path: '/observations',
    summary: say('contract.what-was-observed-the-newest'),
    who: rights.observations.roles,
    paged: true,
  },
  observe: {
    method: 'POST',
    path: '/observations',
    summary: say('contract.records-an-observation-for-ever'),
    who: rights.observe.roles,
    needs: 'key',
    status: 201,
  },
  addBlob: {
    method: 'POST',
    path: '/blobs',
    summary: say('contract.keeps-a-picture-a-sound'),
    who: rights.addBlob.roles,
    takes: 'bytes',
    status: 201,
    limitKb: 12 * 1024,
  },
  blob: {
    method: 'GET',
    path: '/blobs/:sha256',
    summary: say('contract.a-kept-file'),
    who: rights.blob.roles,
    media: 'application/octet-stream',
  },

  // Computations
  compute: {
    method: 'POST',
    path: '/compute/:verb',
    summary: say('contract.the-cores-questions-as-at'),
    who: rights.compute.roles,
  },
  addJob: {
    method: 'POST',
    path: '/jobs',
    summary: say('contract.a-computation-that-takes-seconds'),
    who: rights.addJob.roles,
    needs: 'key',
    status: 202,
  },
  job: { method: 'GET', path: `/jobs${id}`, summary: say('contract.how-far-a-job-is'), who: rights.job.roles },
  jobEvents: {
    method: 'GET',
    path: `/jobs${id}/events`,
    summary: say('contract.its-progress-as-server-sent'),
    who: rights.jobEvents.roles,
    media: 'text/event-stream',
  },
  cancelJob: { method: 'DELETE', path: `/jobs${id}`, summary: say('contract.cancels-it'), who: rights.cancelJob.roles },
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
