/** The API as functions, made from the endpoints. What is read comes through the query cache; a refusal is a `ProblemError`. */
import {
  type DirectionSave,
  type SendOf,
  type MachineFile,
  type ObservationCreate,
  type OrderSave,
  type PartSave,
  type PersonSave,
  type PreferencesSave,
  type SeamLock,
  type SeamSave,
  type RatesSave,
  type ShopSave,
  type SlotFound,
  type SlotStore,
  type SpoolSave,
  type CylinderSave,
  type StandingSave,
} from '@fox-tempo/contract';
import type { UnitSystem } from '@fox-tempo/core/base/units';
import type { Language } from '@fox-tempo/words';
import { addressOf } from './address.ts';
import { pass } from './client.ts';
import { observed, type Observing } from './outbox/index.ts';
import { read, readAll } from './queries.ts';

export { onSignedOut, ProblemError } from './client.ts';

/** In whose language and units something is to be read. */
export interface Reader {
  readonly language: Language;
  readonly units: UnitSystem;
}

/** Address of a printed card of a seam's newest revision. */
export function cardAddress(seamId: string, machineId: string, paper: 'A5' | 'A4' | 'LETTER', reader: Reader): string {
  return addressOf('card', { id: seamId }, { machine: machineId, paper, units: reader.units, lang: reader.language });
}

export function procedureAddress(
  seamId: string,
  machineId: string,
  revision: number,
  paper: 'A4' | 'LETTER',
  reader: Reader,
): string {
  return addressOf('procedure', { id: seamId }, {
    machine: machineId,
    revision: String(revision),
    paper,
    units: reader.units,
    lang: reader.language,
  });
}

export function trialRecordAddress(trialId: string, reader: Reader): string {
  return addressOf('trialRecord', { id: trialId }, { units: reader.units, lang: reader.language });
}

/** Address of the day's run as a page for the wall, with what was moved by hand. */
export function runPlanAddress(
  {
    fixed,
    away,
  }: { readonly fixed: Readonly<Record<string, readonly string[]>>; readonly away: readonly string[] },
  reader: Reader,
): string {
  return addressOf('runPlan', undefined, {
    fixed: Object.entries(fixed)
      .map(([machine, ids]) => `${machine}:${ids.join(',')}`)
      .join(';'),
    away: away.join(','),
    paper: reader.units === 'us' ? 'LETTER' : 'A4',
    units: reader.units,
    lang: reader.language,
  });
}

/** What somebody observed goes through the outbox: the answer is null while it waits on this device. */
export const api = {
  session: (signal?: AbortSignal) => pass('session', { signal }),
  signIn: (personId: string, pin: string) => pass('signIn', { body: { personId, pin } }),
  demoSignIn: (personId: string) => pass('demoSignIn', { body: { personId } }),
  makeOwner: (body: SendOf<'makeOwner'>) => pass('makeOwner', { body }),
  signOut: () => pass('signOut'),
  savePreferences: (body: PreferencesSave) => pass('savePreferences', { body }),
  endSession: (id: string) => pass('endSession', { params: { id } }),
  changePin: (oldPin: string, pin: string) => pass('changePin', { body: { oldPin, pin } }),
  shop: (signal?: AbortSignal) => read('shop', { signal }),
  saveShop: (basedOn: number, body: ShopSave) => pass('saveShop', { body, basedOn }),
  saveRates: (basedOn: number, body: RatesSave) => pass('saveRates', { body, basedOn }),
  reviewWord: (language: Language, body: SendOf<'reviewWord'>) =>
    pass('reviewWord', { params: { language }, body }),
  exportShop: () => pass('exportShop'),
  importBundle: (body: SendOf<'importBundle'>) => pass('importBundle', { body }),
  people: (signal?: AbortSignal) => readAll('people', { signal }),
  addPerson: (body: SendOf<'addPerson'>) => pass('addPerson', { body }),
  savePerson: (id: string, basedOn: number, body: PersonSave) => pass('savePerson', { params: { id }, body, basedOn }),
  resetPin: (id: string, basedOn: number, pin: string) => pass('resetPin', { params: { id }, body: { pin }, basedOn }),
  parts: (signal?: AbortSignal) => readAll('parts', { signal }),
  addPart: (body: SendOf<'addPart'>) => pass('addPart', { body }),
  savePart: (id: string, basedOn: number, body: PartSave) => pass('savePart', { params: { id }, body, basedOn }),
  orders: (signal?: AbortSignal) => readAll('orders', { signal }),
  addOrder: (body: SendOf<'addOrder'>) => pass('addOrder', { body }),
  saveOrder: (id: string, basedOn: number, body: OrderSave) => pass('saveOrder', { params: { id }, body, basedOn }),
  partsDone: (id: string, body: SendOf<'partsDone'>) => observed('partsDone', { params: { id }, body }),
  seams: (signal?: AbortSignal) => readAll('seams', { signal }),
  seam: (id: string, signal?: AbortSignal) => read('seam', { params: { id }, signal }),
  createSeam: (body: SendOf<'addSeam'>) => pass('addSeam', { body }),
  saveSeam: (id: string, basedOn: number, body: SeamSave) => pass('saveSeam', { params: { id }, body, basedOn }),
  copySeam: (id: string, body: SendOf<'copySeam'>) => pass('copySeam', { params: { id }, body }),
  moveSeam: (id: string, basedOn: number, partId: string) =>
    pass('moveSeam', { params: { id }, body: { partId }, basedOn }),
  deleteSeam: (id: string, basedOn: number) => pass('deleteSeam', { params: { id }, basedOn }),
  restoreSeam: (id: string) => pass('restoreSeam', { params: { id } }),
  lockSeam: (id: string, basedOn: number, body: SeamLock) => pass('lockSeam', { params: { id }, body, basedOn }),
  issueSeam: (id: string, body: SendOf<'issueSeam'>) => pass('issueSeam', { params: { id }, body }),
  machines: (signal?: AbortSignal) => readAll('machines', { signal }),
  machine: (id: string, signal?: AbortSignal) => read('machine', { params: { id }, signal }),
  createMachine: (file: unknown) => pass('addMachine', { body: { file } }),
  saveMachine: (id: string, basedOn: number, file: MachineFile, retired?: boolean) =>
    pass('saveMachine', {
      params: { id },
      body: { file, ...(retired === undefined ? {} : { retired }) },
      basedOn,
    }),
  saveStanding: (id: string, basedOn: number, body: StandingSave) =>
    observed('saveStanding', { params: { id }, body, basedOn }),
  saveDirection: (id: string, basedOn: number, body: DirectionSave) =>
    pass('saveDirection', { params: { id }, body, basedOn }),
  slots: (id: string, signal?: AbortSignal) => readAll('slots', { params: { id }, signal }),
  storeInSlot: (id: string, slot: number, body: SlotStore) =>
    pass('storeInSlot', { params: { id, slot: String(slot) }, body }),
  noteFound: (id: string, slot: number, body: SlotFound) =>
    observed('noteFound', { params: { id, slot: String(slot) }, body }),
  leadReadings: (id: string, signal?: AbortSignal) => readAll('leadReadings', { params: { id }, signal }),
  addLeadReading: (id: string, body: SendOf<'addLeadReading'>) => observed('addLeadReading', { params: { id }, body }),
  addStepTime: (id: string, body: SendOf<'addStepTime'>) => observed('addStepTime', { params: { id }, body }),
  stock: (signal?: AbortSignal) => read('stock', { signal }),
  addCylinder: (body: CylinderSave) => pass('addCylinder', { body }),
  saveCylinder: (id: string, basedOn: number, body: CylinderSave) =>
    observed('saveCylinder', { params: { id }, body, basedOn }),
  addSpool: (body: SpoolSave) => pass('addSpool', { body }),
  saveSpool: (id: string, basedOn: number, body: SpoolSave) => observed('saveSpool', { params: { id }, body, basedOn }),
  /** One page of what was observed, the newest first. */
  observations: (query: Readonly<Record<string, string>>, signal?: AbortSignal) =>
    read('observations', { query, signal }),
  saveWindow: (id: string, basedOn: number, body: SendOf<'saveWindow'>) =>
    pass('saveWindow', { params: { id }, body, basedOn }),
  saveLimits: (id: string, basedOn: number, body: SendOf<'saveLimits'>) =>
    pass('saveLimits', { params: { id }, body, basedOn }),
  /** A computation that takes seconds, on the server. */
  compute: (verb: string, input: unknown) => pass('compute', { params: { verb }, body: input }),
  trials: (query: Readonly<Record<string, string>>, signal?: AbortSignal) => read('trials', { query, signal }),
  trial: (id: string, signal?: AbortSignal) => read('trial', { params: { id }, signal }),
  shift: (signal?: AbortSignal) => read('shift', { signal }),
  runs: (query: Record<string, string>, signal?: AbortSignal) => read('runs', { query, signal }),
  addRun: (body: SendOf<'addRun'>, replaces?: string) => observed('addRun', { body, replaces }),
  decideRun: (id: string, body: SendOf<'decideRun'>) => pass('decideRun', { params: { id }, body }),
  releaseSeam: (id: string, body: SendOf<'releaseSeam'>) => pass('releaseSeam', { params: { id }, body }),
  saveOffset: (id: string, body: SendOf<'saveOffset'>) => pass('saveOffset', { params: { id }, body }),
  revisions: (id: string, signal?: AbortSignal) => readAll('revisions', { params: { id }, signal }),
  addTrial: (body: SendOf<'addTrial'>, beside: Pick<Observing<'addTrial'>, 'key' | 'files' | 'replaces'> = {}) =>
    observed('addTrial', { body, ...beside }),
  standInWeld: (id: string, body: SendOf<'standInWeld'>) => pass('standInWeld', { params: { id }, body }),
  /** `key` becomes the observation's id, where somebody may want to take it back. */
  observe: (body: ObservationCreate, key?: string) =>
    observed('observe', { body, ...(key === undefined ? {} : { key }) }),
};
