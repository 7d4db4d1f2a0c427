export { usualSequence, triggerSchools, type TriggerSchool, type TriggerSequence } from './usual-sequence.ts';
