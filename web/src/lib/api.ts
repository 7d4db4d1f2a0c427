/** The API as functions. A refusal is a `ProblemError` with the server's problem document; no answer at all is one of kind `unreachable`. */
import {
  problemKind,
  type Cylinder,
  type CylinderSave,
  type DirectionSave,
  type LeadReadingRow,
  type MachineFile,
  type MachineResource,
  type Order,
  type Page,
  type Part,
  type Person,
  type Problem,
  type ProblemKind,
  type Revision,
  type SeamCreate,
  type SeamResource,
  type SeamSave,
  type SlotEntry,
  type SlotStore,
  type Spool,
  type SpoolSave,
  type StandingSave,
  type StepTimeCreate,
  type StepTimes,
  type Stock,
} from '@fox-tempo/contract';
import { settings } from './settings.ts';

export class ProblemError extends Error {
  readonly kind: ProblemKind | 'unreachable';
  readonly problem: Problem;
  constructor(kind: ProblemKind | 'unreachable', problem: Problem) {
    super(problem.detail ?? problem.title);
    this.kind = kind;
    this.problem = problem;
  }
}

async function call<T>(
  method: string,
  path: string,
  options: { body?: unknown; basedOn?: number; signal?: AbortSignal } = {},
): Promise<T> {
  const headers: Record<string, string> = { accept: 'application/json' };
  if (options.body !== undefined) headers['content-type'] = 'application/json';
  if (options.basedOn !== undefined) headers['if-match'] = `"${options.basedOn}"`;
  const { personId } = settings.getState();
  if (personId !== null) headers['x-fox-person'] = personId;

  let response: Response;
  try {
    response = await fetch(`/api${path}`, {
      method,
      headers,
      body: options.body === undefined ? null : JSON.stringify(options.body),
      // A server that hangs is as good as none.
      signal: AbortSignal.any([AbortSignal.timeout(15_000), ...(options.signal ? [options.signal] : [])]),
    });
  } catch (error) {
    if (options.signal?.aborted) throw error;
    throw unreachable('The server does not answer.');
  }
  const content: unknown = await response.json().catch(() => undefined);
  if (response.ok && content !== undefined) return content as T;
  const problem = isProblem(content) ? content : undefined;
  if (!problem) throw unreachable(`The server answered ${response.status} without saying why.`);
  throw new ProblemError(problemKind(problem), problem);
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

/** Every page of a list, one after the other. */
async function all<T>(path: string, signal?: AbortSignal): Promise<T[]> {
  const items: T[] = [];
  for (let cursor: string | null = ''; cursor !== null;) {
    const query: string = cursor === '' ? '' : `?cursor=${encodeURIComponent(cursor)}`;
    const page: Page<T> = await call<Page<T>>('GET', `${path}${query}`, signal ? { signal } : {});
    items.push(...page.items);
    cursor = page.next;
  }
  return items;
}

function machinePath(id: string, part?: string): string {
  return `/machines/${encodeURIComponent(id)}${part === undefined ? '' : `/${part}`}`;
}

/** Address of a printed card of a seam's newest revision. */
export function cardAddress(seamId: string, machineId: string, paper: 'A5' | 'A4' | 'LETTER', units: string): string {
  const query = new URLSearchParams({ machine: machineId, paper, units });
  return `/api/seams/${encodeURIComponent(seamId)}/card.pdf?${query.toString()}`;
}

export const api = {
  people: (signal?: AbortSignal) => all<Person>('/people', signal),
  parts: (signal?: AbortSignal) => all<Part>('/parts', signal),
  orders: (signal?: AbortSignal) => all<Order>('/orders', signal),
  machines: (signal?: AbortSignal) => all<MachineResource>('/machines', signal),
  machine: (id: string, signal?: AbortSignal) =>
    call<MachineResource>('GET', machinePath(id), signal ? { signal } : {}),
  createMachine: (file: unknown) => call<MachineResource>('POST', '/machines', { body: { file } }),
  saveMachine: (id: string, basedOn: number, file: MachineFile, retired?: boolean) =>
    call<MachineResource>('PUT', machinePath(id), {
      body: { file, ...(retired === undefined ? {} : { retired }) },
      basedOn,
    }),
  saveStanding: (id: string, basedOn: number, standing: StandingSave) =>
    call<MachineResource>('PUT', machinePath(id, 'standing'), { body: standing, basedOn }),
  saveDirection: (id: string, basedOn: number, found: DirectionSave) =>
    call<MachineResource>('POST', machinePath(id, 'directions'), { body: found, basedOn }),
  slots: (id: string, signal?: AbortSignal) => all<SlotEntry>(machinePath(id, 'slots'), signal),
  slotHistory: (id: string, slot: number) => all<SlotEntry>(machinePath(id, `slots/${slot}`)),
  storeInSlot: (id: string, slot: number, body: SlotStore) =>
    call<SlotEntry>('POST', machinePath(id, `slots/${slot}`), { body }),
  noteFound: (id: string, slot: number, dials: Record<string, number>) =>
    call<SlotEntry>('POST', machinePath(id, `slots/${slot}/found`), { body: { dials } }),
  leadReadings: (id: string, signal?: AbortSignal) => all<LeadReadingRow>(machinePath(id, 'lead-readings'), signal),
  addLeadReading: (id: string, body: { mOhm: number; note: string }) =>
    call<Page<LeadReadingRow>>('POST', machinePath(id, 'lead-readings'), { body }),
  stepTimes: (id: string, signal?: AbortSignal) =>
    call<StepTimes>('GET', machinePath(id, 'step-times'), signal ? { signal } : {}),
  addStepTime: (id: string, body: StepTimeCreate) => call<StepTimes>('POST', machinePath(id, 'step-times'), { body }),
  stock: (signal?: AbortSignal) => call<Stock>('GET', '/stock', signal ? { signal } : {}),
  addCylinder: (body: CylinderSave) => call<Cylinder>('POST', '/stock/cylinders', { body }),
  saveCylinder: (id: string, basedOn: number, body: CylinderSave) =>
    call<Cylinder>('PUT', `/stock/cylinders/${encodeURIComponent(id)}`, { body, basedOn }),
  addSpool: (body: SpoolSave) => call<Spool>('POST', '/stock/spools', { body }),
  saveSpool: (id: string, basedOn: number, body: SpoolSave) =>
    call<Spool>('PUT', `/stock/spools/${encodeURIComponent(id)}`, { body, basedOn }),
  partsDone: (orderId: string, count: number) =>
    call<{ order: Order; drawn: { what: string; amount: number; unit: 'L' | 'kg' }[] }>(
      'POST',
      `/orders/${encodeURIComponent(orderId)}/done`,
      { body: { count } },
    ),
  seams: (signal?: AbortSignal) => all<SeamResource>('/seams', signal),
  seam: (id: string, signal?: AbortSignal) =>
    call<SeamResource>('GET', `/seams/${encodeURIComponent(id)}`, signal ? { signal } : {}),
  revisions: (id: string) => all<Revision>(`/seams/${encodeURIComponent(id)}/revisions`),
  createSeam: (body: SeamCreate) => call<SeamResource>('POST', '/seams', { body }),
  saveSeam: (id: string, basedOn: number, body: SeamSave) =>
    call<SeamResource>('PUT', `/seams/${encodeURIComponent(id)}`, { body, basedOn }),
};
