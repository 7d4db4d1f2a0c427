/** The sign-in page, with the way back to where somebody was. */
export function signInAddress(back: string): string {
  return `/sign-in?next=${encodeURIComponent(back)}`;
}
