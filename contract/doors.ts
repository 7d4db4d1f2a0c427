/**
 * The table of doors: every address of the API, once: method, path, who may, what it needs. `endpoints.ts` hangs the shapes of request and
 * answer on it. It mounts the server's routes, makes the typed client, writes OpenAPI, and drives the test that walks every door.
 * Plain data without shapes, so that the first view of the interface need not load what checks them.
 */
import { say, type Phrase } from '@fox-tempo/core/said';
import { desk, everybody, floor, leads, owners, planners, type Role } from './roles.ts';

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
  /** `version`: If-Match with the version it was based on. `key`: Idempotency-Key, a UUID made by the client. */
  readonly needs?: 'version' | 'key';
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
    who: everybody,
  },
  changePin: { method: 'PUT', path: '/session/pin', summary: say('contract.changes-ones-own-pin'), who: everybody },

  // The shop
  shop: { method: 'GET', path: '/shop', summary: say('contract.the-shop-name-time-zone'), who: everybody },
  saveRates: {
    method: 'PUT',
    path: '/shop/rates',
    summary: say('contract.what-minutes-wire-and-gas-cost'),
    who: planners,
    needs: 'version',
  },
  saveShop: {
    method: 'PUT',
    path: '/shop',
    summary: say('contract.changes-name-and-time-zone'),
    who: owners,
    needs: 'version',
  },
  backup: {
    method: 'POST',
    path: '/shop/backup',
    summary: say('contract.everything-as-one-file'),
    who: owners,
    media: 'application/octet-stream',
  },
  exportShop: {
    method: 'GET',
    path: '/shop/bundle',
    summary: say('contract.parts-seams-with-their-settings'),
    who: everybody,
  },
  importBundle: {
    method: 'POST',
    path: '/shop/bundle',
    summary: say('contract.takes-seams-programs-or-machines'),
    who: leads,
    needs: 'key',
    limitKb: 8192,
  },
  people: { method: 'GET', path: '/people', summary: say('contract.people-of-the-shop'), who: everybody, paged: true },
  addPerson: {
    method: 'POST',
    path: '/people',
    summary: say('contract.adds-a-person'),
    who: desk,
    needs: 'key',
    status: 201,
  },
  savePerson: {
    method: 'PUT',
    path: `/people${id}`,
    summary: say('contract.renames-changes-the-role-retires'),
    who: desk,
    needs: 'version',
  },
  resetPin: {
    method: 'PUT',
    path: `/people${id}/pin`,
    summary: say('contract.sets-a-new-pin'),
    who: desk,
    needs: 'version',
  },

  // What is to be made
  parts: { method: 'GET', path: '/parts', summary: say('contract.parts'), who: everybody, paged: true },
  addPart: {
    method: 'POST',
    path: '/parts',
    summary: say('contract.adds-a-part'),
    who: planners,
    needs: 'key',
    status: 201,
  },
  savePart: {
    method: 'PUT',
    path: `/parts${id}`,
    summary: say('contract.changes-or-retires-a-part'),
    who: planners,
    needs: 'version',
  },
  orders: { method: 'GET', path: '/orders', summary: say('contract.orders-by-due-date'), who: everybody, paged: true },
  addOrder: {
    method: 'POST',
    path: '/orders',
    summary: say('contract.adds-an-order'),
    who: planners,
    needs: 'key',
    status: 201,
  },
  saveOrder: {
    method: 'PUT',
    path: `/orders${id}`,
    summary: say('contract.changes-or-closes-an-order'),
    who: planners,
    needs: 'version',
  },
  partsDone: {
    method: 'POST',
    path: `/orders${id}/done`,
    summary: say('contract.counts-parts-done-and-gas'),
    who: everybody,
    needs: 'key',
  },

  // Seams
  seams: {
    method: 'GET',
    path: '/seams',
    summary: say('contract.seams-in-the-order-they'),
    who: everybody,
    paged: true,
  },
  addSeam: {
    method: 'POST',
    path: '/seams',
    summary: say('contract.describes-a-seam'),
    who: floor,
    needs: 'key',
    status: 201,
  },
  seam: { method: 'GET', path: `/seams${id}`, summary: say('contract.one-seam-with-its-newest'), who: everybody },
  saveSeam: {
    method: 'PUT',
    path: `/seams${id}`,
    summary: say('contract.saves-seam-and-setting-as'),
    who: floor,
    needs: 'version',
  },
  copySeam: {
    method: 'POST',
    path: `/seams${id}/copy`,
    summary: say('contract.a-copy-with-its-setting'),
    who: floor,
    needs: 'key',
    status: 201,
  },
  moveSeam: {
    method: 'PUT',
    path: `/seams${id}/part`,
    summary: say('contract.moves-it-to-another-part'),
    who: leads,
    needs: 'version',
  },
  deleteSeam: {
    method: 'DELETE',
    path: `/seams${id}`,
    summary: say('contract.takes-it-off-the-lists'),
    who: leads,
    needs: 'version',
  },
  restoreSeam: {
    method: 'POST',
    path: `/seams${id}/restore`,
    summary: say('contract.brings-a-deleted-one-back'),
    who: leads,
  },
  saveOffset: {
    method: 'PUT',
    path: `/seams${id}/offset`,
    summary: say('contract.ones-own-way-inside-the-window'),
    who: floor,
  },
  releaseSeam: {
    method: 'POST',
    path: `/seams${id}/releases`,
    summary: say('contract.a-lead-hands-release-on-the-spot'),
    who: floor,
    status: 201,
  },
  lockSeam: {
    method: 'PUT',
    path: `/seams${id}/lock`,
    summary: say('contract.locks-or-frees-its-setting'),
    who: leads,
    needs: 'version',
  },
  issueSeam: {
    method: 'POST',
    path: `/seams${id}/issue`,
    summary: say('contract.makes-a-revision-the-reference'),
    who: leads,
    needs: 'key',
    status: 201,
  },
  revisions: {
    method: 'GET',
    path: `/seams${id}/revisions`,
    summary: say('contract.all-revisions-the-newest-first'),
    who: everybody,
    paged: true,
  },
  card: {
    method: 'GET',
    path: `/seams${id}/card.pdf`,
    summary: say('contract.the-newest-revision-on-one'),
    who: everybody,
    media: 'application/pdf',
  },
  procedure: {
    method: 'GET',
    path: `/seams${id}/procedure.pdf`,
    summary: say('contract.a-procedure-sheet-with-ranges'),
    who: everybody,
    media: 'application/pdf',
  },
  trialRecord: {
    method: 'GET',
    path: `/trials${id}/record.pdf`,
    summary: say('contract.a-trial-as-a-page'),
    who: everybody,
    media: 'application/pdf',
  },
  runPlan: {
    method: 'GET',
    path: '/run-plan.pdf',
    summary: say('contract.the-days-run-for-the-wall'),
    who: everybody,
    media: 'application/pdf',
  },

  saveLimits: {
    method: 'PUT',
    path: `/seams${id}/limits`,
    summary: say('contract.what-a-weld-may-look-like'),
    who: floor,
    needs: 'version',
  },
  saveWindow: {
    method: 'PUT',
    path: `/seams${id}/window`,
    summary: say('contract.how-far-each-may-be-moved'),
    who: leads,
    needs: 'version',
  },
  learned: {
    method: 'GET',
    path: `/seams${id}/learned`,
    summary: say('contract.what-own-welds-teach'),
    who: everybody,
  },

  // Trials
  trials: {
    method: 'GET',
    path: '/trials',
    summary: say('contract.trials-the-newest-first'),
    who: everybody,
    paged: true,
  },
  trialsCsv: {
    method: 'GET',
    path: '/trials.csv',
    summary: say('contract.trials-as-a-table'),
    who: everybody,
    media: 'text/csv',
  },
  addTrial: {
    method: 'POST',
    path: '/trials',
    summary: say('contract.records-a-trial-for-ever'),
    who: floor,
    needs: 'key',
    status: 201,
  },
  trial: { method: 'GET', path: `/trials${id}`, summary: say('contract.one-trial-whole'), who: everybody },
  diagnosis: {
    method: 'GET',
    path: `/trials${id}/diagnosis`,
    summary: say('contract.which-cause-and-which-move'),
    who: everybody,
  },

  // Production
  runs: {
    method: 'GET',
    path: '/runs',
    summary: say('contract.run-records-the-newest-first'),
    who: everybody,
    paged: true,
  },
  runsCsv: {
    method: 'GET',
    path: '/runs.csv',
    summary: say('contract.run-records-as-a-table'),
    who: everybody,
    media: 'text/csv',
  },
  addRun: {
    method: 'POST',
    path: '/runs',
    summary: say('contract.records-a-production-weld'),
    who: floor,
    needs: 'key',
    status: 201,
  },
  decideRun: {
    method: 'POST',
    path: `/runs${id}/decision`,
    // Without a key: a door with one is a transaction, and a wrong PIN must stay counted.
    summary: say('contract.what-becomes-of-a-held-part'),
    who: floor,
  },

  // Simulated machines
  standInWeld: {
    method: 'POST',
    path: `/stand-ins${id}/weld`,
    summary: say('contract.a-simulated-weld'),
    who: floor,
    needs: 'key',
  },
  standInTrace: {
    method: 'GET',
    path: `/stand-ins${id}/trace.csv`,
    summary: say('contract.current-and-voltage-of-the-last-simulated-weld'),
    who: everybody,
    media: 'text/csv',
  },

  // Machines
  machines: { method: 'GET', path: '/machines', summary: say('contract.machines'), who: everybody, paged: true },
  addMachine: {
    method: 'POST',
    path: '/machines',
    summary: say('contract.describes-a-machine'),
    who: leads,
    needs: 'key',
    status: 201,
    limitKb: 1024,
  },
  machine: { method: 'GET', path: `/machines${id}`, summary: say('contract.one-machine'), who: everybody },
  saveMachine: {
    method: 'PUT',
    path: `/machines${id}`,
    summary: say('contract.saves-its-file'),
    who: leads,
    needs: 'version',
    limitKb: 1024,
  },
  saveStanding: {
    method: 'PUT',
    path: `/machines${id}/standing`,
    summary: say('contract.how-it-stands-now'),
    who: floor,
    needs: 'version',
  },
  saveDirection: {
    method: 'POST',
    path: `/machines${id}/directions`,
    summary: say('contract.what-a-direction-test-found'),
    who: leads,
    needs: 'version',
  },
  slots: {
    method: 'GET',
    path: `/machines${id}/slots`,
    summary: say('contract.what-stands-in-its-memory'),
    who: everybody,
    paged: true,
  },
  slotHistory: {
    method: 'GET',
    path: `/machines${id}/slots/:slot`,
    summary: say('contract.everything-that-ever-stood-in'),
    who: everybody,
    paged: true,
  },
  storeInSlot: {
    method: 'POST',
    path: `/machines${id}/slots/:slot`,
    summary: say('contract.stores-a-seams-newest-revision'),
    who: floor,
    needs: 'key',
    status: 201,
  },
  noteFound: {
    method: 'POST',
    path: `/machines${id}/slots/:slot/found`,
    summary: say('contract.what-somebody-found-on-the'),
    who: floor,
    needs: 'key',
  },
  wear: {
    method: 'GET',
    path: '/wear',
    summary: say('contract.what-wears-on-each-gun'),
    who: everybody,
  },
  shift: {
    method: 'GET',
    path: '/shift',
    summary: say('contract.memory-slots-as-they-were-read'),
    who: everybody,
  },
  leadReadings: {
    method: 'GET',
    path: `/machines${id}/lead-readings`,
    summary: say('contract.resistance-of-leads-gun-and'),
    who: everybody,
    paged: true,
  },
  addLeadReading: {
    method: 'POST',
    path: `/machines${id}/lead-readings`,
    summary: say('contract.logs-a-reading'),
    who: floor,
    needs: 'key',
    status: 201,
  },
  stepTimes: {
    method: 'GET',
    path: `/machines${id}/step-times`,
    summary: say('contract.the-shops-own-minutes'),
    who: everybody,
  },
  addStepTime: {
    method: 'POST',
    path: `/machines${id}/step-times`,
    summary: say('contract.minutes-a-step-took'),
    who: floor,
    needs: 'key',
    status: 201,
  },

  // Stock
  stock: { method: 'GET', path: '/stock', summary: say('contract.cylinders-and-spools'), who: everybody },
  addCylinder: {
    method: 'POST',
    path: '/stock/cylinders',
    summary: say('contract.adds-a-cylinder'),
    who: everybody,
    needs: 'key',
    status: 201,
  },
  saveCylinder: {
    method: 'PUT',
    path: `/stock/cylinders${id}`,
    summary: say('contract.reads-or-moves-a-cylinder'),
    who: everybody,
    needs: 'version',
  },
  addSpool: {
    method: 'POST',
    path: '/stock/spools',
    summary: say('contract.adds-a-spool'),
    who: everybody,
    needs: 'key',
    status: 201,
  },
  saveSpool: {
    method: 'PUT',
    path: `/stock/spools${id}`,
    summary: say('contract.reads-or-moves-a-spool'),
    who: everybody,
    needs: 'version',
  },

  // Evidence
  observations: {
    method: 'GET',
    path: '/observations',
    summary: say('contract.what-was-observed-the-newest'),
    who: everybody,
    paged: true,
  },
  observe: {
    method: 'POST',
    path: '/observations',
    summary: say('contract.records-an-observation-for-ever'),
    who: floor,
    needs: 'key',
    status: 201,
  },
  addBlob: {
    method: 'POST',
    path: '/blobs',
    summary: say('contract.keeps-a-picture-a-sound'),
    who: floor,
    takes: 'bytes',
    status: 201,
    limitKb: 12 * 1024,
  },
  blob: {
    method: 'GET',
    path: '/blobs/:sha256',
    summary: say('contract.a-kept-file'),
    who: everybody,
    media: 'application/octet-stream',
  },

  // Computations
  compute: {
    method: 'POST',
    path: '/compute/:verb',
    summary: say('contract.the-cores-questions-as-at'),
    who: everybody,
  },
  addJob: {
    method: 'POST',
    path: '/jobs',
    summary: say('contract.a-computation-that-takes-seconds'),
    who: everybody,
    needs: 'key',
    status: 202,
  },
  job: { method: 'GET', path: `/jobs${id}`, summary: say('contract.how-far-a-job-is'), who: everybody },
  jobEvents: {
    method: 'GET',
    path: `/jobs${id}/events`,
    summary: say('contract.its-progress-as-server-sent'),
    who: everybody,
    media: 'text/event-stream',
  },
  cancelJob: { method: 'DELETE', path: `/jobs${id}`, summary: say('contract.cancels-it'), who: everybody },
} as const satisfies Record<string, DoorFacts>;

export type DoorName = keyof typeof doorFacts;
export const doorNames = Object.keys(doorFacts) as DoorName[];

/** True when somebody of this role may pass the door. */
export function mayPass(name: DoorName, role: Role): boolean {
  const { who } = doorFacts[name] as DoorFacts;
  return who === 'anyone' || who.includes(role);
}

/** The address of a door with its parameters filled in. */
export function addressOf(name: DoorName, params: Readonly<Record<string, string>> = {}): string {
  return doorFacts[name].path.replace(/:(\w+)/g, (_whole, key: string) => encodeURIComponent(params[key] ?? ''));
}

/** Goes up when an answer changes its shape: a page built with another one says so instead of breaking. */
export const contractVersion = 3;
/** Header of every answer of the API. */
export const contractHeader = 'fox-tempo-contract';
