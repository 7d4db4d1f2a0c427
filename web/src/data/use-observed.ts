/** Observations of one kind at one machine or seam: read from the shop's record, and added to it. */
import { effective } from '@fox-tempo/core/evidence/record';
import { type Observation, type ObservationCreate } from '@fox-tempo/contract';
import { useCallback, useMemo, useState } from 'react';
import { useStore } from 'zustand';
import { t } from '../lib/words.ts';
import { api, ProblemError } from './api.ts';
import { sendWaiting, waitingRecords, type Entry } from './outbox/index.ts';
import { placeInCache, useEndpoint } from './queries.ts';

export interface Observed {
  /** In the order of arrival, corrected and without what was taken back; null while loading. */
  readonly rows: readonly Observation[] | null;
  /** Why the record could not be read or written; null when it could. */
  readonly problem: string | null;
  /** Shown at once, and sent; false while it waits or where it is refused. */
  record: (observation: ObservationCreate) => Promise<boolean>;
  /** Sends again what did not reach the record; each counts once. */
  retry: () => void;
}

export function useObserved(
  kind: Observation['kind'],
  where: { readonly machine?: string; readonly seam?: string },
  limit = 60,
): Observed {
  const { machine, seam } = where;
  const asked = useMemo(
    () => ({
      query: {
        kind,
        limit: String(limit),
        ...(machine === undefined ? {} : { machine }),
        ...(seam === undefined ? {} : { seam }),
      },
    }),
    [kind, machine, seam, limit],
  );
  const { data, error } = useEndpoint('observations', asked);
  const [refused, setRefused] = useState<string | null>(null);
  const entries = useStore(waitingRecords, (state) => state.entries);
  const waiting = useMemo(() => entries.flatMap((entry) => waitingRow(entry, kind, { machine, seam })), [entries, kind, machine, seam]);

  const record = useCallback(
    async (sent: ObservationCreate) => {
      setRefused(null);
      try {
        const added = await api.observe(sent);
        if (added)
          placeInCache('observations', asked, (page) => ({
            ...page,
            items: [...page.items.filter(({ id }) => id !== added.id), added],
          }));
        return added !== null;
      } catch (thrown) {
        if (!(thrown instanceof ProblemError)) throw thrown;
        setRefused(thrown.message);
        return false;
      }
    },
    [asked],
  );
  // A record that cannot be read is empty, and says why.
  const read = data?.items ?? (error ? [] : null);
  const arrived = new Set((read ?? []).map(({ id }) => id));
  const rows = [...(read ?? []), ...waiting.filter(({ id }) => !arrived.has(id))];
  return {
    rows: read === null && waiting.length === 0 ? null : effective(rows),
    problem: refused ?? error?.message ?? (waiting.length > 0 ? t('view.outbox.kept-here') : null),
    record,
    retry: () => void sendWaiting(),
  };
}

/** Row number of what has not reached the record: after everything that has, and not yet to be taken back. */
export const onTheWay = Number.MAX_SAFE_INTEGER;

/** What waits on this device of that kind and place: shown after everything that is there. */
function waitingRow(
  { key, name, body, at, by }: Entry,
  wanted: Observation['kind'],
  { machine, seam }: { readonly machine: string | undefined; readonly seam: string | undefined },
): Observation[] {
  if (name !== 'observe') return [];
  const { kind, machineId = null, seamId = null, corrects = null, ...sent } = body as ObservationCreate;
  if (kind !== wanted && kind !== 'withdrawal') return [];
  if (kind !== 'withdrawal' && ((machine ?? machineId) !== machineId || (seam ?? seamId) !== seamId)) return [];
  return [
    {
      id: key,
      row: onTheWay,
      kind,
      at,
      deviceAt: at,
      recordedBy: by?.name ?? '',
      sentBy: null,
      weldedBy: null,
      machineId,
      seamId,
      revision: null,
      contentHash: null,
      corrects,
      body: sent.body,
      attachments: [],
    },
  ];
}
