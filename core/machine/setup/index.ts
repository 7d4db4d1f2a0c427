export { foundOn, slotDrift, type FoundDials, type KnownOnMachine, type StoredSlot } from './slot-drift.ts';
export { changeover, setUpFor, type Changeover, type SetupStep } from './changeover.ts';
export { dialsToSet } from './dials-to-set.ts';
export {
  dialSources,
  knownDials,
  newestKnown,
  standsAt,
  type DialEvidence,
  type DialSource,
  type KnownDial,
  type KnownDials,
} from './known-dials.ts';
export { sourceNames } from './source-names.ts';
export { stepNames } from './step-names.ts';
export { stepKinds, usualMinutes, type StepKind } from './step-kinds.ts';
export { gunTroubles, rollOf } from './gun-troubles.ts';
export { leadEffect, leadTrend, type LeadReading, type LeadTrend } from './lead-resistance.ts';
export { checkLoaded, type CheckRow, type LoadedCheck } from './loaded-check.ts';
export { placeCautions, workPlaceNames, workPlaces, type WorkPlace } from './place-cautions.ts';
export { refillSteps, type Refilled } from './refill.ts';
export { firstArcList } from './setup-cautions.ts';
export {
  grooves,
  liners,
  neededSetup,
  processWords,
  setupProcesses,
  unknownState,
  type FeederState,
  type Groove,
  type Liner,
  type MachineState,
  type NeededSetup,
  type SetupProcess,
} from './state.ts';
