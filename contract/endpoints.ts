/** The doors with the shapes of what they take and answer. A new room is one entry in `doors.ts`, one here, and one handler on the server. */
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
  preferencesSave,
  ownSessions,
  pinReset,
  sessionState,
  shopSave,
  ratesSave,
  wordReviewCreate,
  wordReviews,
  shopState,
  signIn,
} from './people.ts';
import {
  cardQuery,
  paperQuery,
  procedureQuery,
  runPlanQuery,
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
  seamOffset,
  seamRelease,
  seamReleased,
  seamResource,
  seamSave,
  seamWindow,
} from './shop.ts';
import { machineWithStanding, standingSave } from './standing.ts';
import { bundle, bundleImport, importReport } from './bundle.ts';
import { diagnosis } from './diagnosis.ts';
import { job, jobCreate } from './jobs.ts';
import { learned, learnedQuery } from './learned.ts';
import { run, runCreate, runDecision, runQuery } from './run.ts';
import { shift } from './shift.ts';
import { wear } from './wear.ts';
import { standInBead, standInWeld } from './stand-in.ts';
import { limitsHistory, seamLimits, trial, trialCreate, trialQuery, trialRow } from './trial.ts';

import { doorFacts, type DoorFacts, type DoorName } from './doors.ts';

interface Shapes {
  readonly body?: z.ZodType;
  readonly query?: z.ZodType;
  readonly answer?: z.ZodType;
}

const shapes = {
  health: { answer: z.object({ status: z.literal('ok') }) },
  ready: { answer: z.object({ status: z.literal('ok') }) },
  metrics: {},
  openapi: {},
  docs: {},
  session: { answer: sessionState },
  signIn: { body: signIn, answer: sessionState },
  demoSignIn: { body: demoSignIn, answer: sessionState },
  makeOwner: { body: ownerCreate, answer: sessionState },
  signOut: { answer: sessionState },
  savePreferences: { body: preferencesSave, answer: sessionState },
  ownSessions: { answer: ownSessions },
  endSession: { answer: ownSessions },
  changePin: { body: pinChange, answer: sessionState },
  shop: { answer: shopState },
  saveShop: { body: shopSave, answer: shopState },
  saveRates: { body: ratesSave, answer: shopState },
  wordReviews: { answer: wordReviews },
  reviewWord: { body: wordReviewCreate, answer: wordReviews },
  backup: {},
  exportShop: { answer: bundle },
  importBundle: { body: bundleImport, answer: importReport },
  people: { answer: pageOf(person) },
  addPerson: { body: personCreate, answer: person },
  savePerson: { body: personSave, answer: person },
  resetPin: { body: pinReset, answer: person },
  parts: { answer: pageOf(part) },
  addPart: { body: partCreate, answer: part },
  savePart: { body: partSave, answer: part },
  orders: { answer: pageOf(order) },
  addOrder: { body: orderCreate, answer: order },
  saveOrder: { body: orderSave, answer: order },
  partsDone: { body: partsDone, answer: counted },
  seams: { answer: pageOf(seamResource) },
  addSeam: { body: seamCreate, answer: seamResource },
  seam: { answer: seamResource },
  saveSeam: { body: seamSave, answer: seamResource },
  copySeam: { body: seamCopy, answer: seamResource },
  moveSeam: { body: seamMove, answer: seamResource },
  deleteSeam: { answer: seamResource },
  restoreSeam: { answer: seamResource },
  lockSeam: { body: seamLock, answer: seamResource },
  issueSeam: { body: seamIssue, answer: seamResource },
  saveWindow: { body: seamWindow, answer: seamResource },
  saveLimits: { body: seamLimits, answer: seamResource },
  limitsHistory: { answer: limitsHistory },
  learned: { query: learnedQuery, answer: learned },
  trials: { query: trialQuery, answer: pageOf(trialRow) },
  trialsCsv: { query: trialQuery },
  runs: { query: runQuery, answer: pageOf(run) },
  runsCsv: { query: runQuery },
  addRun: { body: runCreate, answer: run },
  decideRun: { body: runDecision, answer: run },
  saveOffset: { body: seamOffset, answer: seamResource },
  shift: { answer: shift },
  wear: { answer: wear },
  releaseSeam: { body: seamRelease, answer: seamReleased },
  addTrial: { body: trialCreate, answer: trial },
  trial: { answer: trial },
  diagnosis: { answer: diagnosis },
  standInWeld: { body: standInWeld, answer: standInBead },
  standInTrace: {},
  revisions: { answer: pageOf(revision) },
  card: { query: cardQuery },
  procedure: { query: procedureQuery },
  trialRecord: { query: paperQuery },
  runPlan: { query: runPlanQuery },
  machines: { answer: pageOf(machineWithStanding) },
  addMachine: { body: machineCreate, answer: machineWithStanding },
  machine: { answer: machineWithStanding },
  saveMachine: { body: machineSave, answer: machineWithStanding },
  saveStanding: { body: standingSave, answer: machineWithStanding },
  saveDirection: { body: directionSave, answer: machineWithStanding },
  slots: { answer: pageOf(slotEntry) },
  slotHistory: { answer: pageOf(slotEntry) },
  storeInSlot: { body: slotStore, answer: slotEntry },
  noteFound: { body: slotFound, answer: slotEntry },
  leadReadings: { answer: pageOf(leadReading) },
  addLeadReading: { body: leadReadingCreate, answer: leadReading },
  stepTimes: { answer: stepTimes },
  addStepTime: { body: stepTimeCreate, answer: stepTimes },
  stock: { answer: stock },
  addCylinder: { body: cylinderSave, answer: cylinder },
  saveCylinder: { body: cylinderSave, answer: cylinder },
  addSpool: { body: spoolSave, answer: spool },
  saveSpool: { body: spoolSave, answer: spool },
  observations: { query: observationQuery, answer: pageOf(observation) },
  observe: { body: observationCreate, answer: observation },
  addBlob: { answer: blobNote },
  blob: {},
  compute: { body: z.unknown() },
  addJob: { body: jobCreate, answer: job },
  job: { answer: job },
  jobEvents: {},
  cancelJob: { answer: job },
} as const satisfies Record<DoorName, Shapes>;

export type Door = DoorFacts & Shapes;

export const doors = Object.fromEntries(
  Object.entries(doorFacts).map(([name, facts]) => [name, { ...facts, ...shapes[name as DoorName] }]),
) as { readonly [K in DoorName]: (typeof doorFacts)[K] & (typeof shapes)[K] };
type Doors = typeof doors;

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
