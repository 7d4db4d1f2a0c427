/**
 * The table of doors: every address of the API, once: method, path, who may, what it needs. `endpoints.ts` hangs the shapes of request and
 * answer on it. It mounts the server's routes, makes the typed client, writes OpenAPI, and drives the test that walks every door.
 * Plain data without shapes, so that the first view of the interface need not load what checks them.
 */
import { desk, everybody, floor, leads, owners, planners, type Role } from './roles.ts';

export type Method = 'GET' | 'POST' | 'PUT' | 'DELETE';

export interface DoorFacts {
  readonly method: Method;
  /** Below `/api`, parameters as `:name`. */
  readonly path: string;
  readonly summary: string;
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
  health: { method: 'GET', path: '/health', summary: 'The server lives; says nothing of the database', who: 'anyone' },
  ready: { method: 'GET', path: '/ready', summary: 'Server and database answer', who: 'anyone' },
  metrics: {
    method: 'GET',
    path: '/metrics',
    summary: 'Counters and times in the usual text format',
    who: 'anyone',
    media: 'text/plain',
  },
  openapi: { method: 'GET', path: '/openapi.json', summary: 'This description', who: 'anyone' },
  docs: { method: 'GET', path: '/docs', summary: 'This description as a page', who: 'anyone', media: 'text/html' },

  // Who is here
  session: { method: 'GET', path: '/session', summary: 'Who is signed in, and who could', who: 'anyone' },
  signIn: { method: 'POST', path: '/session', summary: 'Signs in by name and PIN', who: 'anyone' },
  demoSignIn: {
    method: 'POST',
    path: '/session/demo',
    summary: 'On the demo shop: in as any of its people',
    who: 'anyone',
  },
  makeOwner: {
    method: 'POST',
    path: '/session/owner',
    summary: 'Makes the first owner with the one-time code',
    who: 'anyone',
    status: 201,
  },
  signOut: { method: 'DELETE', path: '/session', summary: 'Signs out', who: 'anyone' },
  changePin: { method: 'PUT', path: '/session/pin', summary: 'Changes one’s own PIN', who: everybody },

  // The shop
  shop: { method: 'GET', path: '/shop', summary: 'The shop: name, time zone, disk, backups', who: everybody },
  saveShop: { method: 'PUT', path: '/shop', summary: 'Changes name and time zone', who: owners, needs: 'version' },
  backup: {
    method: 'POST',
    path: '/shop/backup',
    summary: 'Everything as one file',
    who: owners,
    media: 'application/octet-stream',
  },
  exportShop: {
    method: 'GET',
    path: '/shop/bundle',
    summary: 'Parts, seams with their settings and machines as an open file',
    who: everybody,
  },
  importBundle: {
    method: 'POST',
    path: '/shop/bundle',
    summary: 'Takes seams, programs or machines from a file; previewed first',
    who: leads,
    needs: 'key',
    limitKb: 8192,
  },
  people: { method: 'GET', path: '/people', summary: 'People of the shop', who: everybody, paged: true },
  addPerson: { method: 'POST', path: '/people', summary: 'Adds a person', who: desk, needs: 'key', status: 201 },
  savePerson: {
    method: 'PUT',
    path: `/people${id}`,
    summary: 'Renames, changes the role, retires',
    who: desk,
    needs: 'version',
  },
  resetPin: { method: 'PUT', path: `/people${id}/pin`, summary: 'Sets a new PIN', who: desk, needs: 'version' },

  // What is to be made
  parts: { method: 'GET', path: '/parts', summary: 'Parts', who: everybody, paged: true },
  addPart: { method: 'POST', path: '/parts', summary: 'Adds a part', who: planners, needs: 'key', status: 201 },
  savePart: {
    method: 'PUT',
    path: `/parts${id}`,
    summary: 'Changes or retires a part',
    who: planners,
    needs: 'version',
  },
  orders: { method: 'GET', path: '/orders', summary: 'Orders by due date', who: everybody, paged: true },
  addOrder: { method: 'POST', path: '/orders', summary: 'Adds an order', who: planners, needs: 'key', status: 201 },
  saveOrder: {
    method: 'PUT',
    path: `/orders${id}`,
    summary: 'Changes or closes an order',
    who: planners,
    needs: 'version',
  },
  partsDone: {
    method: 'POST',
    path: `/orders${id}/done`,
    summary: 'Counts parts done, and gas and wire down',
    who: everybody,
    needs: 'key',
  },

  // Seams
  seams: {
    method: 'GET',
    path: '/seams',
    summary: 'Seams in the order they were described',
    who: everybody,
    paged: true,
  },
  addSeam: { method: 'POST', path: '/seams', summary: 'Describes a seam', who: floor, needs: 'key', status: 201 },
  seam: { method: 'GET', path: `/seams${id}`, summary: 'One seam with its newest revision', who: everybody },
  saveSeam: {
    method: 'PUT',
    path: `/seams${id}`,
    summary: 'Saves seam and setting as the next revision',
    who: floor,
    needs: 'version',
  },
  copySeam: {
    method: 'POST',
    path: `/seams${id}/copy`,
    summary: 'A copy with its setting, on any part',
    who: floor,
    needs: 'key',
    status: 201,
  },
  moveSeam: {
    method: 'PUT',
    path: `/seams${id}/part`,
    summary: 'Moves it to another part',
    who: leads,
    needs: 'version',
  },
  deleteSeam: {
    method: 'DELETE',
    path: `/seams${id}`,
    summary: 'Takes it off the lists; nothing is lost',
    who: leads,
    needs: 'version',
  },
  restoreSeam: { method: 'POST', path: `/seams${id}/restore`, summary: 'Brings a deleted one back', who: leads },
  lockSeam: {
    method: 'PUT',
    path: `/seams${id}/lock`,
    summary: 'Locks or frees its setting',
    who: leads,
    needs: 'version',
  },
  issueSeam: {
    method: 'POST',
    path: `/seams${id}/issue`,
    summary: 'Makes a revision the reference on one machine',
    who: leads,
    needs: 'key',
    status: 201,
  },
  revisions: {
    method: 'GET',
    path: `/seams${id}/revisions`,
    summary: 'All revisions, the newest first',
    who: everybody,
    paged: true,
  },
  card: {
    method: 'GET',
    path: `/seams${id}/card.pdf`,
    summary: 'The newest revision on one machine’s card',
    who: everybody,
    media: 'application/pdf',
  },

  // Machines
  machines: { method: 'GET', path: '/machines', summary: 'Machines', who: everybody, paged: true },
  addMachine: {
    method: 'POST',
    path: '/machines',
    summary: 'Describes a machine',
    who: leads,
    needs: 'key',
    status: 201,
    limitKb: 1024,
  },
  machine: { method: 'GET', path: `/machines${id}`, summary: 'One machine', who: everybody },
  saveMachine: {
    method: 'PUT',
    path: `/machines${id}`,
    summary: 'Saves its file',
    who: leads,
    needs: 'version',
    limitKb: 1024,
  },
  saveStanding: {
    method: 'PUT',
    path: `/machines${id}/standing`,
    summary: 'How it stands now',
    who: floor,
    needs: 'version',
  },
  saveDirection: {
    method: 'POST',
    path: `/machines${id}/directions`,
    summary: 'What a direction test found',
    who: leads,
    needs: 'version',
  },
  slots: {
    method: 'GET',
    path: `/machines${id}/slots`,
    summary: 'What stands in its memory',
    who: everybody,
    paged: true,
  },
  slotHistory: {
    method: 'GET',
    path: `/machines${id}/slots/:slot`,
    summary: 'Everything that ever stood in a slot',
    who: everybody,
    paged: true,
  },
  storeInSlot: {
    method: 'POST',
    path: `/machines${id}/slots/:slot`,
    summary: 'Stores a seam’s newest revision',
    who: floor,
    needs: 'key',
    status: 201,
  },
  noteFound: {
    method: 'POST',
    path: `/machines${id}/slots/:slot/found`,
    summary: 'What somebody found on the dials',
    who: floor,
    needs: 'key',
  },
  leadReadings: {
    method: 'GET',
    path: `/machines${id}/lead-readings`,
    summary: 'Resistance of leads, gun and clamp',
    who: everybody,
    paged: true,
  },
  addLeadReading: {
    method: 'POST',
    path: `/machines${id}/lead-readings`,
    summary: 'Logs a reading',
    who: floor,
    needs: 'key',
    status: 201,
  },
  stepTimes: { method: 'GET', path: `/machines${id}/step-times`, summary: 'The shop’s own minutes', who: everybody },
  addStepTime: {
    method: 'POST',
    path: `/machines${id}/step-times`,
    summary: 'Minutes a step took',
    who: floor,
    needs: 'key',
    status: 201,
  },

  // Stock
  stock: { method: 'GET', path: '/stock', summary: 'Cylinders and spools', who: everybody },
  addCylinder: {
    method: 'POST',
    path: '/stock/cylinders',
    summary: 'Adds a cylinder',
    who: everybody,
    needs: 'key',
    status: 201,
  },
  saveCylinder: {
    method: 'PUT',
    path: `/stock/cylinders${id}`,
    summary: 'Reads or moves a cylinder',
    who: everybody,
    needs: 'version',
  },
  addSpool: {
    method: 'POST',
    path: '/stock/spools',
    summary: 'Adds a spool',
    who: everybody,
    needs: 'key',
    status: 201,
  },
  saveSpool: {
    method: 'PUT',
    path: `/stock/spools${id}`,
    summary: 'Reads or moves a spool',
    who: everybody,
    needs: 'version',
  },

  // Evidence
  observations: {
    method: 'GET',
    path: '/observations',
    summary: 'What was observed, the newest first',
    who: everybody,
    paged: true,
  },
  observe: {
    method: 'POST',
    path: '/observations',
    summary: 'Records an observation, for ever',
    who: floor,
    needs: 'key',
    status: 201,
  },
  addBlob: {
    method: 'POST',
    path: '/blobs',
    summary: 'Keeps a picture, a sound or a trace',
    who: floor,
    takes: 'bytes',
    status: 201,
    limitKb: 12 * 1024,
  },
  blob: {
    method: 'GET',
    path: '/blobs/:sha256',
    summary: 'A kept file',
    who: everybody,
    media: 'application/octet-stream',
  },

  // Computations
  compute: {
    method: 'POST',
    path: '/compute/:verb',
    summary: 'The core’s questions, as at the command line',
    who: everybody,
  },
  addJob: {
    method: 'POST',
    path: '/jobs',
    summary: 'A computation that takes seconds, queued',
    who: everybody,
    needs: 'key',
    status: 202,
  },
  job: { method: 'GET', path: `/jobs${id}`, summary: 'How far a job is, and its answer', who: everybody },
  jobEvents: {
    method: 'GET',
    path: `/jobs${id}/events`,
    summary: 'Its progress as server-sent events',
    who: everybody,
    media: 'text/event-stream',
  },
  cancelJob: { method: 'DELETE', path: `/jobs${id}`, summary: 'Cancels it', who: everybody },
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
export const contractVersion = 1;
/** Header of every answer of the API. */
export const contractHeader = 'fox-tempo-contract';
