/** Observations of one kind at one machine or seam: read from the shop's record, and added to it. */
import { effective, type Observation, type ObservationCreate } from '@fox-tempo/contract';
import { useCallback, useMemo, useState } from 'react';
import { api, ProblemError } from './api.ts';
import { newKey } from './keys.ts';
import { placeInCache, useDoor } from './queries.ts';

export interface Observed {
  /** In the order of arrival, corrected and without what was taken back; null while loading. */
  readonly rows: readonly Observation[] | null;
  /** Why the record could not be read or written; null when it could. */
  readonly problem: string | null;
  /** Shown at once, and sent. */
  record: (observation: ObservationCreate) => Promise<boolean>;
  /** Sends again what did not reach the record; each counts once. */
  retry: () => void;
}

interface Waiting {
  readonly row: Observation;
  readonly sent: ObservationCreate;
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
  const { data, error } = useDoor('observations', asked);
  const [waiting, setWaiting] = useState<readonly Waiting[]>([]);
  const [refused, setRefused] = useState<string | null>(null);

  const send = useCallback(
    async (one: Waiting) => {
      try {
        const added = await api.observe(one.sent);
        placeInCache('observations', asked, (page) => ({
          ...page,
          items: [...page.items.filter(({ id }) => id !== added.id), added],
        }));
        setWaiting((before) => before.filter((other) => other !== one));
        setRefused(null);
        return true;
      } catch (thrown) {
        if (!(thrown instanceof ProblemError)) throw thrown;
        setRefused(thrown.message);
        return false;
      }
    },
    [asked],
  );
  const record = useCallback(
    (sent: ObservationCreate) => {
      const one = { sent, row: notYetThere(sent) };
      setWaiting((before) => [...before, one]);
      return send(one);
    },
    [send],
  );
  // A record that cannot be read is empty, and says why.
  const read = data?.items ?? (error ? [] : null);
  return {
    rows: read === null && waiting.length === 0 ? null : effective([...(read ?? []), ...waiting.map((one) => one.row)]),
    problem: refused ?? error?.message ?? null,
    record,
    retry: () => {
      for (const one of waiting) void send(one);
    },
  };
}

/** Row number of what has not reached the record: after everything that has, and not yet to be taken back. */
export const onTheWay = Number.MAX_SAFE_INTEGER;

/** What stands on the screen until the record has answered: after everything that is there. */
function notYetThere({ kind, body, machineId, seamId, corrects }: ObservationCreate): Observation {
  const now = new Date();
  return {
    id: newKey(),
    row: onTheWay,
    kind,
    at: now.toISOString(),
    deviceAt: null,
    recordedBy: '',
    weldedBy: null,
    machineId: machineId ?? null,
    seamId: seamId ?? null,
    revision: null,
    contentHash: null,
    corrects: corrects ?? null,
    body,
    attachments: [],
  };
}
