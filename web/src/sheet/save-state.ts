/** How a save went. */
import type { SeamResource } from '@fox-tempo/contract';

export type SaveState =
  | { readonly kind: 'idle' }
  | { readonly kind: 'saving' }
  | { readonly kind: 'saved' }
  | { readonly kind: 'failed'; readonly title: string; readonly detail: string; readonly isLocked?: boolean }
  | { readonly kind: 'conflict'; readonly stored: SeamResource };
