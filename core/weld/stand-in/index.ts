export { chanceOf, type Chance } from './chance.ts';
export { hiddenFaultCodes, hiddenFaults, type HiddenFault, type HiddenFaultCode } from './hidden-faults.ts';
export { gradeOf, notedOf, type Noted } from './noted.ts';
export { weldOnStandIn, type StandInTask, type StandInWeld } from './weld.ts';
