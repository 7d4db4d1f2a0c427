export { findSeam, listSeams, seamsOfPart } from './repo.ts';
export { createSeam } from './service.ts';
export { requireListedSeam, requireSeam } from './require.ts';
export { saveSeam } from './save-setting.ts';
export { writeWindow } from './hold.ts';
