/** The API as functions, made from the table of doors. A refusal is a `ProblemError` with the server's problem document; no answer at all is one of kind `unreachable`. */
import {
  addressOf,
  doorFacts,
  problemKind,
  type DoorAnswer,
  type DoorFacts,
  type DoorName,
  type DoorParams,
  type DoorSends,
  type DirectionSave,
  type MachineFile,
  type ObservationCreate,
  type OrderSave,
  type PartSave,
  type PersonSave,
  type Page,
  type Problem,
  type ProblemKind,
  type SeamLock,
  type SeamSave,
  type ShopSave,
  type SlotFound,
  type SlotStore,
  type SpoolSave,
  type CylinderSave,
  type StandingSave,
} from '@fox-tempo/contract';
import { answered, answerLost, keyFor } from './keys.ts';

export class ProblemError extends Error {
  readonly kind: ProblemKind | 'unreachable';
  readonly problem: Problem;
  constructor(kind: ProblemKind | 'unreachable', problem: Problem) {
    super(problem.detail ?? problem.title);
    this.kind = kind;
    this.problem = problem;
  }
}

interface Asked<K extends DoorName> {
  readonly params?: DoorParams<K>;
  readonly body?: DoorSends<K>;
  readonly query?: Readonly<Record<string, string>>;
  /** Version that a write is based on. */
  readonly basedOn?: number;
  readonly signal?: AbortSignal | undefined;
}

/** Told when the server says that nobody is signed in. */
let whenSignedOut: () => void = () => undefined;
export function onSignedOut(listener: () => void): void {
  whenSignedOut = listener;
}

/** Passes a door. */
async function pass<K extends DoorName>(name: K, asked: Asked<K> = {}): Promise<DoorAnswer<K>> {
  const door: DoorFacts = doorFacts[name];
  const { params, body, query, basedOn, signal } = asked;
  const asks = query && Object.keys(query).length > 0 ? `?${new URLSearchParams(query).toString()}` : '';
  const path = `/api${addressOf(name, params)}${asks}`;
  const headers: Record<string, string> = { accept: 'application/json' };
  const text = body === undefined ? null : JSON.stringify(body);
  if (text !== null) headers['content-type'] = 'application/json';
  if (basedOn !== undefined) headers['if-match'] = `"${basedOn}"`;
  const write = `${name} ${path} ${text ?? ''}`;
  const key = door.needs === 'key' ? keyFor(write) : null;
  if (key !== null) headers['idempotency-key'] = key;

  const send = () =>
    fetch(path, {
      method: door.method,
      headers,
      body: text,
      // A server that hangs is as good as none.
      signal: AbortSignal.any([AbortSignal.timeout(15_000), ...(signal ? [signal] : [])]),
    });
  let response: Response;
  try {
    response = await send();
  } catch (error) {
    if (signal?.aborted) throw error;
    if (key === null) throw unreachable('The server does not answer.');
    answerLost(write, key);
    throw unreachable('It is not known whether this arrived. Send it again: it counts once.');
  }
  const content: unknown = await response.json().catch(() => undefined);
  if (response.ok && content !== undefined) {
    if (key !== null) answered(write);
    return content as DoorAnswer<K>;
  }
  const problem = isProblem(content) ? content : undefined;
  if (!problem) {
    if (key === null) throw unreachable(`The server answered ${response.status} without saying why.`);
    answerLost(write, key);
    throw unreachable('The answer was cut off; it is not known whether this arrived. Send it again: it counts once.');
  }
  if (key !== null) answered(write);
  const kind = problemKind(problem);
  if (kind === 'not-signed-in') whenSignedOut();
  throw new ProblemError(kind, problem);
}

function unreachable(detail: string): ProblemError {
  return new ProblemError('unreachable', {
    type: 'about:blank',
    title: 'The server cannot be reached',
    status: 0,
    detail,
  });
}

function isProblem(content: unknown): content is Problem {
  return (
    typeof content === 'object' && content !== null && 'type' in content && 'title' in content && 'status' in content
  );
}

type Item<K extends DoorName> = DoorAnswer<K> extends Page<infer T> ? T : never;

/** Every page of a list, one after the other. */
async function all<K extends DoorName>(name: K, asked: Asked<K> = {}): Promise<Item<K>[]> {
  const items: Item<K>[] = [];
  for (let cursor: string | null = ''; cursor !== null;) {
    const query: Record<string, string> = cursor === '' ? { ...asked.query } : { ...asked.query, cursor };
    const page = (await pass(name, { ...asked, query })) as unknown as Page<Item<K>>;
    items.push(...page.items);
    cursor = page.next;
  }
  return items;
}

/** Address of a printed card of a seam's newest revision. */
export function cardAddress(seamId: string, machineId: string, paper: 'A5' | 'A4' | 'LETTER', units: string): string {
  const query = new URLSearchParams({ machine: machineId, paper, units });
  return `/api${addressOf('card', { id: seamId })}?${query.toString()}`;
}

export const api = {
  session: (signal?: AbortSignal) => pass('session', { signal }),
  signIn: (personId: string, pin: string) => pass('signIn', { body: { personId, pin } }),
  demoSignIn: (personId: string) => pass('demoSignIn', { body: { personId } }),
  makeOwner: (body: DoorSends<'makeOwner'>) => pass('makeOwner', { body }),
  signOut: () => pass('signOut'),
  changePin: (oldPin: string, pin: string) => pass('changePin', { body: { oldPin, pin } }),
  shop: (signal?: AbortSignal) => pass('shop', { signal }),
  saveShop: (basedOn: number, body: ShopSave) => pass('saveShop', { body, basedOn }),
  exportShop: () => pass('exportShop'),
  importBundle: (body: DoorSends<'importBundle'>) => pass('importBundle', { body }),
  people: (signal?: AbortSignal) => all('people', { signal }),
  addPerson: (body: DoorSends<'addPerson'>) => pass('addPerson', { body }),
  savePerson: (id: string, basedOn: number, body: PersonSave) => pass('savePerson', { params: { id }, body, basedOn }),
  resetPin: (id: string, basedOn: number, pin: string) => pass('resetPin', { params: { id }, body: { pin }, basedOn }),
  parts: (signal?: AbortSignal) => all('parts', { signal }),
  addPart: (body: DoorSends<'addPart'>) => pass('addPart', { body }),
  savePart: (id: string, basedOn: number, body: PartSave) => pass('savePart', { params: { id }, body, basedOn }),
  orders: (signal?: AbortSignal) => all('orders', { signal }),
  addOrder: (body: DoorSends<'addOrder'>) => pass('addOrder', { body }),
  saveOrder: (id: string, basedOn: number, body: OrderSave) => pass('saveOrder', { params: { id }, body, basedOn }),
  partsDone: (id: string, count: number) => pass('partsDone', { params: { id }, body: { count } }),
  seams: (signal?: AbortSignal) => all('seams', { signal }),
  seam: (id: string, signal?: AbortSignal) => pass('seam', { params: { id }, signal }),
  revisions: (id: string) => all('revisions', { params: { id } }),
  createSeam: (body: DoorSends<'addSeam'>) => pass('addSeam', { body }),
  saveSeam: (id: string, basedOn: number, body: SeamSave) => pass('saveSeam', { params: { id }, body, basedOn }),
  copySeam: (id: string, body: DoorSends<'copySeam'>) => pass('copySeam', { params: { id }, body }),
  moveSeam: (id: string, basedOn: number, partId: string) =>
    pass('moveSeam', { params: { id }, body: { partId }, basedOn }),
  deleteSeam: (id: string, basedOn: number) => pass('deleteSeam', { params: { id }, basedOn }),
  restoreSeam: (id: string) => pass('restoreSeam', { params: { id } }),
  lockSeam: (id: string, basedOn: number, body: SeamLock) => pass('lockSeam', { params: { id }, body, basedOn }),
  issueSeam: (id: string, body: DoorSends<'issueSeam'>) => pass('issueSeam', { params: { id }, body }),
  machines: (signal?: AbortSignal) => all('machines', { signal }),
  machine: (id: string, signal?: AbortSignal) => pass('machine', { params: { id }, signal }),
  createMachine: (file: unknown) => pass('addMachine', { body: { file } }),
  saveMachine: (id: string, basedOn: number, file: MachineFile, retired?: boolean) =>
    pass('saveMachine', {
      params: { id },
      body: { file, ...(retired === undefined ? {} : { retired }) },
      basedOn,
    }),
  saveStanding: (id: string, basedOn: number, body: StandingSave) =>
    pass('saveStanding', { params: { id }, body, basedOn }),
  saveDirection: (id: string, basedOn: number, body: DirectionSave) =>
    pass('saveDirection', { params: { id }, body, basedOn }),
  slots: (id: string, signal?: AbortSignal) => all('slots', { params: { id }, signal }),
  slotHistory: (id: string, slot: number) => all('slotHistory', { params: { id, slot: String(slot) } }),
  storeInSlot: (id: string, slot: number, body: SlotStore) =>
    pass('storeInSlot', { params: { id, slot: String(slot) }, body }),
  noteFound: (id: string, slot: number, body: SlotFound) =>
    pass('noteFound', { params: { id, slot: String(slot) }, body }),
  leadReadings: (id: string, signal?: AbortSignal) => all('leadReadings', { params: { id }, signal }),
  addLeadReading: (id: string, body: DoorSends<'addLeadReading'>) => pass('addLeadReading', { params: { id }, body }),
  stepTimes: (id: string, signal?: AbortSignal) => pass('stepTimes', { params: { id }, signal }),
  addStepTime: (id: string, body: DoorSends<'addStepTime'>) => pass('addStepTime', { params: { id }, body }),
  stock: (signal?: AbortSignal) => pass('stock', { signal }),
  addCylinder: (body: CylinderSave) => pass('addCylinder', { body }),
  saveCylinder: (id: string, basedOn: number, body: CylinderSave) =>
    pass('saveCylinder', { params: { id }, body, basedOn }),
  addSpool: (body: SpoolSave) => pass('addSpool', { body }),
  saveSpool: (id: string, basedOn: number, body: SpoolSave) => pass('saveSpool', { params: { id }, body, basedOn }),
  /** One page of what was observed, the newest first. */
  observations: (query: Readonly<Record<string, string>>, signal?: AbortSignal) =>
    pass('observations', { query, signal }),
  observe: (body: ObservationCreate) => pass('observe', { body }),
};
