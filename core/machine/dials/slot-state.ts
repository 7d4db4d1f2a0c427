/** Whether what stands in a memory slot is what the shop wants there. */
export const slotStates = ['in-force', 'stale', 'unknown'] as const;
/** `in-force`: the reference issued on this machine; `stale`: another one was issued; `unknown`: nothing was ever issued here. */
export type SlotState = (typeof slotStates)[number];

export function slotState(stored: number, issued: number | null): SlotState {
  if (issued === null) return 'unknown';
  return stored === issued ? 'in-force' : 'stale';
}
