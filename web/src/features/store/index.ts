export { loadStore, Store } from './store.tsx';
