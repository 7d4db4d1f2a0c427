/** Who may do what here, by role. One person has one role; an owner may do everything. */
import { message, type Phrase } from '@fox-tempo/core/base/messages';

export const roles = ['welder', 'lead', 'office', 'owner'] as const;
export type Role = (typeof roles)[number];

export const roleNames: Record<Role, Phrase> = {
  welder: message('contract.role-welder'),
  lead: message('contract.lead-hand'),
  office: message('contract.role-office'),
  owner: message('contract.role-owner'),
};

export const everybody: readonly Role[] = [...roles];
/** Weld, log, and change settings of seams. */
export const floor: readonly Role[] = ['welder', 'lead', 'owner'];
/** Machines, locks, issued references, the plan. */
export const leads: readonly Role[] = ['lead', 'owner'];
/** Orders, parts, stock. */
export const planners: readonly Role[] = ['lead', 'office', 'owner'];
export const desk: readonly Role[] = ['office', 'owner'];
export const owners: readonly Role[] = ['owner'];
