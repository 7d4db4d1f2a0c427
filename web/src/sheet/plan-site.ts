/** The site of a plan on a page: what the shop says now or said when the setting was saved, with the machine in front of the welder. */
import type { MachineResource, SeamResource } from '@fox-tempo/contract';
import { atMachine, completeSite, type Site } from '@fox-tempo/core/site';
import { useMemo } from 'react';
import { useStore } from 'zustand';
import { session } from '../session/session.ts';

/** What the shop says now. */
export function useShopSite(): Site {
  const thicknessRule = useStore(session, ({ state }) => state?.shop.thicknessRule);
  return useMemo(() => completeSite({ thicknessRule }), [thicknessRule]);
}

/** A saved setting keeps the site it was planned with; a seam without one is planned with what the shop says now. */
export function siteOfSeam({ revision }: Pick<SeamResource, 'revision'>, shop: Site): Site {
  return revision ? revision.site : shop;
}

export function usePlanSite(site: Site, machine: MachineResource | undefined): Site {
  const file = machine?.file;
  return useMemo(() => (file ? atMachine(site, file) : site), [site, file]);
}
