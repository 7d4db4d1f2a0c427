export { addCount, listOrders, lockOrder } from './repo.ts';
export { countReady, requireOrder, seamCounts } from './service.ts';
