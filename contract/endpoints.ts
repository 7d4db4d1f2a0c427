/**
 * The table of doors: every address of the API, once. It mounts the server's routes, makes the typed client, writes OpenAPI, and drives
 * the test that walks every door. A new room is one entry here and one handler on the server.
 */
import { z } from 'zod';
import { machineCreate, machineSave } from './machine-save.ts';
import { blobNote, observation, observationCreate, observationQuery } from './observations.ts';
import {
  demoSignIn,
  ownerCreate,
  person,
  personCreate,
  personSave,
  pinChange,
  pinReset,
  sessionState,
  shopSave,
  shopState,
  signIn,
} from './people.ts';
import { desk, everybody, floor, leads, owners, planners, type Role } from './roles.ts';
import {
  cardQuery,
  cylinder,
  cylinderSave,
  directionSave,
  leadReading,
  leadReadingCreate,
  partsDone,
  slotEntry,
  slotFound,
  slotStore,
  spool,
  spoolSave,
  stepTimeCreate,
  stepTimes,
  stock,
} from './shop-floor.ts';
import {
  counted,
  order,
  orderCreate,
  orderSave,
  pageOf,
  part,
  partCreate,
  partSave,
  revision,
  seamCopy,
  seamCreate,
  seamIssue,
  seamLock,
  seamMove,
  seamResource,
  seamSave,
} from './shop.ts';
import { machineWithStanding, standingSave } from './standing.ts';
import { bundle, bundleImport, importReport } from './bundle.ts';
import { job, jobCreate } from './jobs.ts';

export type Method = 'GET' | 'POST' | 'PUT' | 'DELETE';

export interface Door {
  readonly method: Method;
  /** Below `/api`, parameters as `:name`. */
  readonly path: string;
  readonly summary: string;
  /** Who may: anybody, or the roles named; a session is needed for roles. */
  readonly who: 'anyone' | readonly Role[];
  readonly body?: z.ZodType;
  readonly query?: z.ZodType;
  readonly answer?: z.ZodType;
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

export const doors = {
  // The server itself
  health: {
    method: 'GET',
    path: '/health',
    summary: 'The server lives; says nothing of the database',
    who: 'anyone',
    answer: z.object({ status: z.literal('ok') }),
  },
  ready: {
    method: 'GET',
    path: '/ready',
    summary: 'Server and database answer',
    who: 'anyone',
    answer: z.object({ status: z.literal('ok') }),
  },
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
  session: {
    method: 'GET',
    path: '/session',
    summary: 'Who is signed in, and who could',
    who: 'anyone',
    answer: sessionState,
  },
  signIn: {
    method: 'POST',
    path: '/session',
    summary: 'Signs in by name and PIN',
    who: 'anyone',
    body: signIn,
    answer: sessionState,
  },
  demoSignIn: {
    method: 'POST',
    path: '/session/demo',
    summary: 'On the demo shop: in as any of its people',
    who: 'anyone',
    body: demoSignIn,
    answer: sessionState,
  },
  makeOwner: {
    method: 'POST',
    path: '/session/owner',
    summary: 'Makes the first owner with the one-time code',
    who: 'anyone',
    body: ownerCreate,
    answer: sessionState,
    status: 201,
  },
  signOut: { method: 'DELETE', path: '/session', summary: 'Signs out', who: 'anyone', answer: sessionState },
  changePin: {
    method: 'PUT',
    path: '/session/pin',
    summary: 'Changes one’s own PIN',
    who: everybody,
    body: pinChange,
    answer: sessionState,
  },

  // The shop
  shop: {
    method: 'GET',
    path: '/shop',
    summary: 'The shop: name, time zone, disk, backups',
    who: everybody,
    answer: shopState,
  },
  saveShop: {
    method: 'PUT',
    path: '/shop',
    summary: 'Changes name and time zone',
    who: owners,
    needs: 'version',
    body: shopSave,
    answer: shopState,
  },
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
    answer: bundle,
  },
  importBundle: {
    method: 'POST',
    path: '/shop/bundle',
    summary: 'Takes seams, programs or machines from a file; previewed first',
    who: leads,
    needs: 'key',
    body: bundleImport,
    answer: importReport,
    limitKb: 8192,
  },
  people: {
    method: 'GET',
    path: '/people',
    summary: 'People of the shop',
    who: everybody,
    answer: pageOf(person),
    paged: true,
  },
  addPerson: {
    method: 'POST',
    path: '/people',
    summary: 'Adds a person',
    who: desk,
    needs: 'key',
    body: personCreate,
    answer: person,
    status: 201,
  },
  savePerson: {
    method: 'PUT',
    path: `/people${id}`,
    summary: 'Renames, changes the role, retires',
    who: desk,
    needs: 'version',
    body: personSave,
    answer: person,
  },
  resetPin: {
    method: 'PUT',
    path: `/people${id}/pin`,
    summary: 'Sets a new PIN',
    who: desk,
    needs: 'version',
    body: pinReset,
    answer: person,
  },

  // What is to be made
  parts: { method: 'GET', path: '/parts', summary: 'Parts', who: everybody, answer: pageOf(part), paged: true },
  addPart: {
    method: 'POST',
    path: '/parts',
    summary: 'Adds a part',
    who: planners,
    needs: 'key',
    body: partCreate,
    answer: part,
    status: 201,
  },
  savePart: {
    method: 'PUT',
    path: `/parts${id}`,
    summary: 'Changes or retires a part',
    who: planners,
    needs: 'version',
    body: partSave,
    answer: part,
  },
  orders: {
    method: 'GET',
    path: '/orders',
    summary: 'Orders by due date',
    who: everybody,
    answer: pageOf(order),
    paged: true,
  },
  addOrder: {
    method: 'POST',
    path: '/orders',
    summary: 'Adds an order',
    who: planners,
    needs: 'key',
    body: orderCreate,
    answer: order,
    status: 201,
  },
  saveOrder: {
    method: 'PUT',
    path: `/orders${id}`,
    summary: 'Changes or closes an order',
    who: planners,
    needs: 'version',
    body: orderSave,
    answer: order,
  },
  partsDone: {
    method: 'POST',
    path: `/orders${id}/done`,
    summary: 'Counts parts done, and gas and wire down',
    who: everybody,
    needs: 'key',
    body: partsDone,
    answer: counted,
  },

  // Seams
  seams: {
    method: 'GET',
    path: '/seams',
    summary: 'Seams in the order they were described',
    who: everybody,
    answer: pageOf(seamResource),
    paged: true,
  },
  addSeam: {
    method: 'POST',
    path: '/seams',
    summary: 'Describes a seam',
    who: floor,
    needs: 'key',
    body: seamCreate,
    answer: seamResource,
    status: 201,
  },
  seam: {
    method: 'GET',
    path: `/seams${id}`,
    summary: 'One seam with its newest revision',
    who: everybody,
    answer: seamResource,
  },
  saveSeam: {
    method: 'PUT',
    path: `/seams${id}`,
    summary: 'Saves seam and setting as the next revision',
    who: floor,
    needs: 'version',
    body: seamSave,
    answer: seamResource,
  },
  copySeam: {
    method: 'POST',
    path: `/seams${id}/copy`,
    summary: 'A copy with its setting, on any part',
    who: floor,
    needs: 'key',
    body: seamCopy,
    answer: seamResource,
    status: 201,
  },
  moveSeam: {
    method: 'PUT',
    path: `/seams${id}/part`,
    summary: 'Moves it to another part',
    who: leads,
    needs: 'version',
    body: seamMove,
    answer: seamResource,
  },
  deleteSeam: {
    method: 'DELETE',
    path: `/seams${id}`,
    summary: 'Takes it off the lists; nothing is lost',
    who: leads,
    needs: 'version',
    answer: seamResource,
  },
  restoreSeam: {
    method: 'POST',
    path: `/seams${id}/restore`,
    summary: 'Brings a deleted one back',
    who: leads,
    answer: seamResource,
  },
  lockSeam: {
    method: 'PUT',
    path: `/seams${id}/lock`,
    summary: 'Locks or frees its setting',
    who: leads,
    needs: 'version',
    body: seamLock,
    answer: seamResource,
  },
  issueSeam: {
    method: 'POST',
    path: `/seams${id}/issue`,
    summary: 'Makes a revision the reference on one machine',
    who: leads,
    needs: 'key',
    body: seamIssue,
    answer: seamResource,
    status: 201,
  },
  revisions: {
    method: 'GET',
    path: `/seams${id}/revisions`,
    summary: 'All revisions, the newest first',
    who: everybody,
    answer: pageOf(revision),
    paged: true,
  },
  card: {
    method: 'GET',
    path: `/seams${id}/card.pdf`,
    summary: 'The newest revision on one machine’s card',
    who: everybody,
    query: cardQuery,
    media: 'application/pdf',
  },

  // Machines
  machines: {
    method: 'GET',
    path: '/machines',
    summary: 'Machines',
    who: everybody,
    answer: pageOf(machineWithStanding),
    paged: true,
  },
  addMachine: {
    method: 'POST',
    path: '/machines',
    summary: 'Describes a machine',
    who: leads,
    needs: 'key',
    body: machineCreate,
    answer: machineWithStanding,
    status: 201,
    limitKb: 1024,
  },
  machine: {
    method: 'GET',
    path: `/machines${id}`,
    summary: 'One machine',
    who: everybody,
    answer: machineWithStanding,
  },
  saveMachine: {
    method: 'PUT',
    path: `/machines${id}`,
    summary: 'Saves its file',
    who: leads,
    needs: 'version',
    body: machineSave,
    answer: machineWithStanding,
    limitKb: 1024,
  },
  saveStanding: {
    method: 'PUT',
    path: `/machines${id}/standing`,
    summary: 'How it stands now',
    who: floor,
    needs: 'version',
    body: standingSave,
    answer: machineWithStanding,
  },
  saveDirection: {
    method: 'POST',
    path: `/machines${id}/directions`,
    summary: 'What a direction test found',
    who: leads,
    needs: 'version',
    body: directionSave,
    answer: machineWithStanding,
  },
  slots: {
    method: 'GET',
    path: `/machines${id}/slots`,
    summary: 'What stands in its memory',
    who: everybody,
    answer: pageOf(slotEntry),
    paged: true,
  },
  slotHistory: {
    method: 'GET',
    path: `/machines${id}/slots/:slot`,
    summary: 'Everything that ever stood in a slot',
    who: everybody,
    answer: pageOf(slotEntry),
    paged: true,
  },
  storeInSlot: {
    method: 'POST',
    path: `/machines${id}/slots/:slot`,
    summary: 'Stores a seam’s newest revision',
    who: floor,
    needs: 'key',
    body: slotStore,
    answer: slotEntry,
    status: 201,
  },
  noteFound: {
    method: 'POST',
    path: `/machines${id}/slots/:slot/found`,
    summary: 'What somebody found on the dials',
    who: floor,
    needs: 'key',
    body: slotFound,
    answer: slotEntry,
  },
  leadReadings: {
    method: 'GET',
    path: `/machines${id}/lead-readings`,
    summary: 'Resistance of leads, gun and clamp',
    who: everybody,
    answer: pageOf(leadReading),
    paged: true,
  },
  addLeadReading: {
    method: 'POST',
    path: `/machines${id}/lead-readings`,
    summary: 'Logs a reading',
    who: floor,
    needs: 'key',
    body: leadReadingCreate,
    answer: leadReading,
    status: 201,
  },
  stepTimes: {
    method: 'GET',
    path: `/machines${id}/step-times`,
    summary: 'The shop’s own minutes',
    who: everybody,
    answer: stepTimes,
  },
  addStepTime: {
    method: 'POST',
    path: `/machines${id}/step-times`,
    summary: 'Minutes a step took',
    who: floor,
    needs: 'key',
    body: stepTimeCreate,
    answer: stepTimes,
    status: 201,
  },

  // Stock
  stock: { method: 'GET', path: '/stock', summary: 'Cylinders and spools', who: everybody, answer: stock },
  addCylinder: {
    method: 'POST',
    path: '/stock/cylinders',
    summary: 'Adds a cylinder',
    who: everybody,
    needs: 'key',
    body: cylinderSave,
    answer: cylinder,
    status: 201,
  },
  saveCylinder: {
    method: 'PUT',
    path: `/stock/cylinders${id}`,
    summary: 'Reads or moves a cylinder',
    who: everybody,
    needs: 'version',
    body: cylinderSave,
    answer: cylinder,
  },
  addSpool: {
    method: 'POST',
    path: '/stock/spools',
    summary: 'Adds a spool',
    who: everybody,
    needs: 'key',
    body: spoolSave,
    answer: spool,
    status: 201,
  },
  saveSpool: {
    method: 'PUT',
    path: `/stock/spools${id}`,
    summary: 'Reads or moves a spool',
    who: everybody,
    needs: 'version',
    body: spoolSave,
    answer: spool,
  },

  // Evidence
  observations: {
    method: 'GET',
    path: '/observations',
    summary: 'What was observed, the newest first',
    who: everybody,
    query: observationQuery,
    answer: pageOf(observation),
    paged: true,
  },
  observe: {
    method: 'POST',
    path: '/observations',
    summary: 'Records an observation, for ever',
    who: floor,
    needs: 'key',
    body: observationCreate,
    answer: observation,
    status: 201,
  },
  addBlob: {
    method: 'POST',
    path: '/blobs',
    summary: 'Keeps a picture, a sound or a trace',
    who: floor,
    takes: 'bytes',
    answer: blobNote,
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
    body: z.unknown(),
  },
  addJob: {
    method: 'POST',
    path: '/jobs',
    summary: 'A computation that takes seconds, queued',
    who: everybody,
    needs: 'key',
    body: jobCreate,
    answer: job,
    status: 202,
  },
  job: { method: 'GET', path: `/jobs${id}`, summary: 'How far a job is, and its answer', who: everybody, answer: job },
  jobEvents: {
    method: 'GET',
    path: `/jobs${id}/events`,
    summary: 'Its progress as server-sent events',
    who: everybody,
    media: 'text/event-stream',
  },
  cancelJob: { method: 'DELETE', path: `/jobs${id}`, summary: 'Cancels it', who: everybody, answer: job },
} as const satisfies Record<string, Door>;

export type Doors = typeof doors;
export type DoorName = keyof Doors;
export const doorNames = Object.keys(doors) as DoorName[];

type Names<P extends string> = P extends `${string}:${infer Name}/${infer Rest}`
  ? Name | Names<Rest>
  : P extends `${string}:${infer Name}`
    ? Name extends `${infer Bare}.${string}`
      ? Bare
      : Name
    : never;

/** Parameters in a door's path, by name. */
export type DoorParams<K extends DoorName> = Record<Names<Doors[K]['path']>, string>;
export type DoorBody<K extends DoorName> = Doors[K] extends { body: infer S extends z.ZodType }
  ? z.output<S>
  : undefined;
export type DoorSends<K extends DoorName> = Doors[K] extends { body: infer S extends z.ZodType }
  ? z.input<S>
  : undefined;
export type DoorQuery<K extends DoorName> = Doors[K] extends { query: infer S extends z.ZodType }
  ? z.output<S>
  : Record<string, never>;
export type DoorAnswer<K extends DoorName> = Doors[K] extends { answer: infer S extends z.ZodType }
  ? z.output<S>
  : unknown;

/** True when somebody of this role may pass the door. */
export function mayPass(name: DoorName, role: Role): boolean {
  const { who } = doors[name] as Door;
  return who === 'anyone' || who.includes(role);
}

/** The address of a door with its parameters filled in. */
export function addressOf(name: DoorName, params: Readonly<Record<string, string>> = {}): string {
  return doors[name].path.replace(/:(\w+)/g, (_whole, key: string) => encodeURIComponent(params[key] ?? ''));
}
