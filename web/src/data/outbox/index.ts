export { useRefused } from './use-refused.ts';
export type { Entry, EntryAuthor } from './entry.ts';
export {
  discardRecord,
  observed,
  sendAgain,
  sendWaiting,
  waitingRecords,
  watchOutbox,
  type Observing,
} from './outbox.ts';
