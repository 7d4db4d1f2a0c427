/**
 * Who may do what, once: every act, the roles that may do it, and what a state of the thing it touches takes away. Endpoints and pages ask
 * `may`; the endpoints' own acts carry their names. Rules about a person's role stand below the table.
 */
import { desk, everybody, floor, leads, owners, planners, type Role } from './roles.ts';

/** States of what an act touches: its seam locked, issued or off the list; its order closed; recorded by somebody else. */
export const states = ['locked', 'issued', 'closed', 'offTheList', 'anothers'] as const;
export type State = (typeof states)[number];

export interface Right {
  readonly roles: readonly Role[];
  /** Roles that may do it in that state; a state that is left out changes nothing. */
  readonly only?: Readonly<Partial<Record<State, readonly Role[]>>>;
}

const nobody: readonly Role[] = [];
/** What is off the list is brought back first. */
const listed = { offTheList: nobody };

export const rights = {
  // Oneself
  savePreferences: { roles: everybody },
  changePin: { roles: everybody },
  ownSessions: { roles: everybody },
  endSession: { roles: everybody, only: { anothers: nobody } },

  // The shop and its people
  shop: { roles: everybody },
  saveRates: { roles: planners },
  saveShop: { roles: owners },
  reviewWord: { roles: owners },
  backup: { roles: owners },
  exportShop: { roles: everybody },
  importBundle: { roles: leads },
  people: { roles: everybody },
  addPerson: { roles: desk },
  savePerson: { roles: desk },
  resetPin: { roles: desk },

  // What is to be made
  parts: { roles: everybody },
  addPart: { roles: planners },
  savePart: { roles: planners },
  orders: { roles: everybody },
  addOrder: { roles: planners },
  saveOrder: { roles: planners },
  partsDone: { roles: everybody },
  /** Counts parts of which a weld was not logged. */
  countUnlogged: { roles: leads },

  // Seams
  seams: { roles: everybody },
  addSeam: { roles: floor },
  seam: { roles: everybody },
  saveSeam: { roles: floor, only: { ...listed, locked: leads } },
  copySeam: { roles: floor },
  moveSeam: { roles: leads, only: listed },
  deleteSeam: { roles: leads },
  restoreSeam: { roles: leads },
  saveOffset: { roles: floor, only: listed },
  releaseSeam: { roles: floor, only: listed },
  lockSeam: { roles: leads, only: listed },
  issueSeam: { roles: leads, only: listed },
  revisions: { roles: everybody },
  card: { roles: everybody },
  procedure: { roles: everybody },
  trialRecord: { roles: everybody },
  runPlan: { roles: everybody },
  saveLimits: { roles: floor, only: listed },
  /** Lets more pass than before. */
  loosenLimits: { roles: floor, only: { ...listed, locked: leads, issued: leads } },
  limitsHistory: { roles: everybody },
  saveWindow: { roles: leads, only: listed },
  learned: { roles: everybody },

  // Trials and production
  trials: { roles: everybody },
  trialsCsv: { roles: everybody },
  addTrial: { roles: floor, only: listed },
  /** By its welder, by whoever recorded it, or by a lead hand. */
  correctTrial: { roles: floor, only: { anothers: leads } },
  /** Takes an observation back. */
  withdraw: { roles: floor, only: { anothers: leads } },
  trial: { roles: everybody },
  diagnosis: { roles: everybody },
  runs: { roles: everybody },
  runsCsv: { roles: everybody },
  addRun: { roles: floor, only: listed },
  decideRun: { roles: floor },
  /** Releases or scraps a held part. */
  judgeRun: { roles: leads },
  /** Says that a weld was never made. */
  callSlip: { roles: floor, only: { anothers: leads } },
  standInWeld: { roles: floor },
  standInTrace: { roles: everybody },

  // Machines
  machines: { roles: everybody },
  addMachine: { roles: leads },
  machine: { roles: everybody },
  saveMachine: { roles: leads },
  saveStanding: { roles: floor },
  saveDirection: { roles: leads },
  slots: { roles: everybody },
  slotHistory: { roles: everybody },
  storeInSlot: { roles: floor, only: listed },
  noteFound: { roles: floor },
  wear: { roles: everybody },
  shift: { roles: everybody },
  leadReadings: { roles: everybody },
  addLeadReading: { roles: floor },
  stepTimes: { roles: everybody },
  addStepTime: { roles: floor },

  // Stock
  stock: { roles: everybody },
  addCylinder: { roles: everybody },
  saveCylinder: { roles: everybody },
  addSpool: { roles: everybody },
  saveSpool: { roles: everybody },

  // Evidence and computations
  observations: { roles: everybody },
  observe: { roles: floor },
  /** Decides what becomes of a record that was handed over. */
  settleHandedOver: { roles: leads },
  addBlob: { roles: floor },
  blob: { roles: everybody },
  compute: { roles: everybody },
  addJob: { roles: everybody },
  job: { roles: everybody, only: { anothers: nobody } },
  jobEvents: { roles: everybody, only: { anothers: nobody } },
  cancelJob: { roles: everybody, only: { anothers: nobody } },
} as const satisfies Record<string, Right>;

export type Act = keyof typeof rights;
export const acts = Object.keys(rights) as Act[];

/** True when somebody of this role may do it while what it touches is in these states. */
export function may(act: Act, role: Role, ...inStates: readonly State[]): boolean {
  const { roles, only = {} }: Right = rights[act];
  return roles.includes(role) && inStates.every((state) => only[state]?.includes(role) ?? true);
}

/** Roles that somebody of a role gives and takes. */
const givenBy: Record<Role, readonly Role[]> = { welder: [], lead: [], office: ['welder'], owner: everybody };
/** Roles of those whose name, place and PIN somebody of a role changes. */
const keptBy: Record<Role, readonly Role[]> = { welder: [], lead: [], office: ['welder', 'office'], owner: everybody };

/** True when somebody of role `by` may give the role to a person. */
export function mayGiveRole(by: Role, role: Role): boolean {
  return givenBy[by].includes(role);
}

/** True when somebody of role `by` may change a person of that role or reset the PIN. */
export function mayKeepPerson(by: Role, role: Role): boolean {
  return keptBy[by].includes(role);
}
