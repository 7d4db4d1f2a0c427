export { type JobQueue, createJobQueue } from './queue.ts';
