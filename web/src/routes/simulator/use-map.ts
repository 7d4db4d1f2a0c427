/** A map drawn by the pool of workers, growing while it is computed; the last finished one stays until the next has something to show. */
import { saidIssues } from '../../lib/words.ts';
import type { MapRequest, ZoneMap } from '@fox-tempo/core/weld/zone-map';
import { useEffect, useState } from 'react';
import { mapPool } from '../../workers/map-pool.ts';

export type MapState =
  | { readonly kind: 'off' }
  | { readonly kind: 'drawing'; readonly map: ZoneMap | null; readonly share: number }
  | { readonly kind: 'done'; readonly map: ZoneMap }
  | { readonly kind: 'failed'; readonly message: string };

/** A hand that still drags is not worth a new map, ms. */
const restMs = 120;

/** `request` null draws nothing. The map is of the surroundings, so what lies on its axes is not part of the question. */
export function useMap(request: Omit<MapRequest, 'seconds'> | null, attempt: number): MapState {
  const [state, setState] = useState<MapState>({ kind: 'off' });
  const key = request === null ? null : JSON.stringify(request);
  useEffect(() => {
    if (key === null) return undefined;
    const abort = new AbortController();
    const timer = setTimeout(() => {
      void mapPool
        .draw(JSON.parse(key) as Omit<MapRequest, 'seconds'>, {
          signal: abort.signal,
          onPicture: (map, share) => {
            if (!abort.signal.aborted) setState({ kind: 'drawing', map, share });
          },
        })
        .then((outcome) => {
          if (abort.signal.aborted) return;
          setState(
            outcome.ok
              ? { kind: 'done', map: outcome.value }
              : {
                  kind: 'failed',
                  message: saidIssues(outcome.issues),
                },
          );
        });
    }, restMs);
    return () => {
      clearTimeout(timer);
      abort.abort();
    };
  }, [key, attempt]);
  return key === null ? { kind: 'off' } : state;
}
