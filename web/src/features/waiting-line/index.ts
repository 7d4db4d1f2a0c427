/** One line while records wait on this device; its code is fetched with the first of them. */
export { WaitingLine } from './when-something-waits.tsx';
