/** Where a record was made and may be made right, and what can be done about one that the server would not take. */
import { may, type ObservationCreate } from '@fox-tempo/contract';
import { newKey } from '../../data/keys.ts';
import { discardRecord, observed, sendAgain, type Entry } from '../../data/outbox/index.ts';
import type { Me } from '../../session/session.ts';
import { t } from '../../lib/words.ts';

export const recordNames: Record<Entry['name'], string> = {
  addRun: t('view.outbox.logged-weld'),
  addTrial: t('view.outbox.trial'),
  observe: t('view.outbox.observation'),
  partsDone: t('view.outbox.parts-counted'),
  saveStanding: t('view.outbox.standing'),
  addLeadReading: t('view.outbox.lead-reading'),
  addStepTime: t('view.outbox.step-time'),
  noteFound: t('view.outbox.slot-read'),
  saveCylinder: t('view.outbox.cylinder-read'),
  saveSpool: t('view.outbox.spool-weighed'),
};

/** The page on which it is corrected: its own form where it has one, filled in; else where such a record is made. */
export function placeOf({ key, name, params, body }: Entry): string {
  const { seamId, machineId, corrects } = body as {
    readonly seamId?: string;
    readonly machineId?: string;
    readonly corrects?: string;
  };
  const { id = machineId } = params;
  if (name === 'addRun') return `/at-machine/${seamId ?? ''}?machine=${machineId ?? ''}&refused=${key}`;
  if (name === 'addTrial')
    return corrects === undefined ? `/seams/${seamId ?? ''}/trial?refused=${key}` : `/trials/${corrects}`;
  if (name === 'partsDone') return '/today';
  if (name === 'saveCylinder' || name === 'saveSpool') return '/library';
  if (name === 'noteFound') return '/shift';
  if (seamId !== undefined) return `/seams/${seamId}`;
  return id === undefined ? '/today' : `/machines/${id}`;
}

export interface Way {
  readonly label: string;
  readonly go: () => Promise<unknown>;
}

/** One way to have a refused record taken as it is, where there is one. */
export function wayToSend(entry: Entry, me: Me): Way | null {
  const { key, body, refused, by } = entry;
  const mine = { id: me.id, name: me.name, ticket: me.ticket };
  switch (refused?.kind) {
    case 'ask-first': {
      const confirmed = (refused.problem?.issues ?? []).map(({ code }) => code);
      const sure = { ...body, confirmed } as Entry['body'];
      return { label: t('view.outbox.all-the-same'), go: () => sendAgain(key, { key: newKey(), body: sure }) };
    }
    case 'stale-version': {
      const current = refused.problem?.current as { readonly version?: number } | undefined;
      if (current?.version === undefined) return null;
      const basedOn = current.version;
      return { label: t('view.outbox.overwrite'), go: () => sendAgain(key, { key: newKey(), basedOn }) };
    }
    case 'no-author':
      return { label: t('view.outbox.it-was-me'), go: () => sendAgain(key, { by: mine }) };
    case 'author-unknown':
    case 'too-old': {
      if (by?.id === me.id)
        return {
          label: t('view.outbox.send-as-is'),
          go: () => sendAgain(key, { by: mine, at: new Date().toISOString() }),
        };
      if (!may('settleHandedOver', me.role)) return null;
      // Recorded by the lead hand, welded by whoever made it.
      const welded = 'seamId' in body && by ? ({ weldedBy: by.id, ...body } as Entry['body']) : body;
      return {
        label: t('view.outbox.take-over'),
        go: () => sendAgain(key, { key: newKey(), by: mine, body: welded, at: new Date().toISOString() }),
      };
    }
    default:
      return null;
  }
}

/** Gives everything in it to the lead hands, and leaves the device only when the server has that. */
export async function handOver(entry: Entry): Promise<void> {
  const { key, name, params, body, files, about, by, at, refused } = entry;
  const { seamId, machineId } = body as Pick<ObservationCreate, 'seamId' | 'machineId'>;
  const record: ObservationCreate = {
    kind: 'handed-over',
    ...(seamId === undefined ? {} : { seamId }),
    ...(machineId === undefined ? {} : { machineId }),
    body: {
      what: name,
      about: [recordNames[name], about, by?.name ?? '', at]
        .filter((one) => one !== '')
        .join(', ')
        .slice(0, 300),
      why: (refused?.detail ?? '').slice(0, 600),
      params: { ...params },
      sent: { ...(body as object) },
    },
  };
  // With its photographs: what leaves the device is all there.
  const taken = await observed('observe', { body: record, files });
  if (taken) await discardRecord(key);
}
