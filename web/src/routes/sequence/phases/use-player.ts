/** A play session for the score on the page, with the driven arc in a worker where there are workers. */
import { useEffect, useMemo } from 'react';
import { createDriveClient } from '../../../workers/drive-client.ts';
import { createPlaySession, type PlaySession } from './play-session.ts';
import type { Score } from '../use-score.ts';

const pageClock = () => performance.now();

/** A session for this very score; another score is another session. */
export function usePlayer(whole: NonNullable<Score['whole']>, circuitMOhm: number): PlaySession {
  const player = useMemo(
    () =>
      createPlaySession({
        whole,
        circuitMOhm,
        now: pageClock,
        makeDrive: typeof Worker === 'undefined' ? null : createDriveClient,
      }),
    [whole, circuitMOhm],
  );
  useEffect(() => () => player.close(), [player]);
  return player;
}
