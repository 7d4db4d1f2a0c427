/** A play session for the score on the page, with the driven arc in a worker where there are workers. */
import { useEffect, useMemo } from 'react';
import { createDriveClient } from '../../workers/drive-client.ts';
import { createPlaySession, type PlaySession } from './play-session.ts';
import type { Score } from './use-score.ts';

const pageClock = () => performance.now();

/** A session for this very score; another score is another session. */
export function useSession(whole: NonNullable<Score['whole']>, circuitMOhm: number): PlaySession {
  const session = useMemo(
    () =>
      createPlaySession({
        whole,
        circuitMOhm,
        now: pageClock,
        makeDrive:
          typeof Worker === 'undefined'
            ? null
            : (heard) =>
                createDriveClient(
                  () => new Worker(new URL('../../workers/drive.worker.ts', import.meta.url), { type: 'module' }),
                  heard,
                ),
      }),
    [whole, circuitMOhm],
  );
  useEffect(() => () => session.close(), [session]);
  return session;
}
