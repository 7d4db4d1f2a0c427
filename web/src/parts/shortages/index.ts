export { CannotFinish } from './cannot-finish.tsx';
