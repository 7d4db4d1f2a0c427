export { chanceOf, type Chance } from './chance.ts';
export { hiddenFaultCodes, hiddenFaults, type HiddenFaultCode } from './hidden-faults.ts';
export { weldOnStandIn, type StandInTask, type StandInWeld } from './weld.ts';
