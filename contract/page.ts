/** A page of a list, and how a page is asked for. */
import { z } from 'zod';

export const pageQuery = z.object({
  limit: z.coerce.number().int().min(1).max(200).default(100),
  cursor: z.string().max(200).optional(),
});

/** A page of a list; `next` is the cursor of the following page, or null at the end. */
export function pageOf<S extends z.ZodType>(item: S) {
  return z.object({ items: z.array(item), next: z.string().nullable() });
}

export type Page<T> = { items: T[]; next: string | null };
