/** Who stands behind a record, and how it came: from whose session, and when by the device's clock. */

export interface Author {
  readonly id: string;
  /** Whose session it came under, where that was somebody else's. */
  readonly sentBy: string | null;
  /** ISO moment by the device's clock; null: made as it arrived. */
  readonly deviceAt: string | null;
}

/** Somebody at work on a session of their own, now. */
export function self(id: string): Author {
  return { id, sentBy: null, deviceAt: null };
}
