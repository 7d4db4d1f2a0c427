/** The seam last open in a view on this device: where its endpoint on the rail leads. */
import { useEffect } from 'react';
import { redirect } from 'react-router';
import { api } from '../data/api.ts';
import { keep, recall } from '../lib/device.ts';

type SeamView = 'bench' | 'score';

export function useLastSeam(view: SeamView, seamId: string): void {
  useEffect(() => {
    keep(`last-${view}`, seamId);
  }, [view, seamId]);
}

/** To the seam last open in this view, else to the first that has a setting, else to the list. */
export function loaderOfLast(view: SeamView) {
  return async ({ request }: { request: Request }): Promise<Response> => {
    const seams = await api.seams(request.signal);
    const last = recall(`last-${view}`);
    const seam = seams.find((one) => one.id === last) ?? seams.find((one) => one.revision) ?? seams[0];
    return redirect(seam ? `/${view}/${seam.id}` : '/seams');
  };
}
