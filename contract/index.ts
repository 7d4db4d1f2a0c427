/** Everything that crosses a border, as Zod shapes and the types they infer. */
export { meltInput, planInput, pulseInput, questionOfVerb } from './compute.ts';
export { verbNames, verbs, type VerbName } from './verbs.ts';
export type { Verb } from './verb.ts';
export { openApiDocument } from './openapi.ts';
export { bareJobs, dayJobs, daysBetween, type NamedJob } from './day-jobs.ts';
export { exampleFiles } from './example-files.ts';
export { fileSchemas } from './file-schemas.ts';
export { parseWith } from './issues.ts';
export { foundOn, slotDrift } from './slot-drift.ts';
export {
  chartCsvExample,
  largestChartCsvBytes,
  readChartCsv,
  type ChartCsv,
  type CsvProblem,
} from './files/chart-csv.ts';
export { csvOf, csvOfRecords, type CsvCell, type CsvColumns } from './files/csv.ts';
export {
  asStands,
  blankMachine,
  machineFile,
  machineVersion,
  outlineOf,
  readMachineFile,
  type MachineFile,
  type MachineCalibration,
  type StandingFile,
} from './machine.ts';
export { machineCreate, machineSave } from './machine-save.ts';
export {
  cardQuery,
  cylinder,
  cylinderSave,
  directionSave,
  leadReading,
  leadReadingCreate,
  partsDone,
  readingConvention,
  slotEntry,
  slotFound,
  slotStore,
  spool,
  spoolSave,
  stepTimeCreate,
  stepTimes,
  stock,
  type CardPaper,
  type Cylinder,
  type CylinderSave,
  type DirectionSave,
  type LeadReadingRow,
  type CountQuestion,
  type PartsDone,
  type SlotEntry,
  type SlotFound,
  type SlotStore,
  type Spool,
  type SpoolSave,
  type StepTimeCreate,
  type StepTimes,
  type Stock,
} from './shop-floor.ts';
export {
  machineStanding,
  machineWithStanding,
  readStanding,
  standingSave,
  type MachineResource,
  type MachineStanding,
  type StandingSave,
} from './standing.ts';
export { knownSite, readSite, siteField } from './site.ts';
export { choiceOfProgram } from './choice-of-program.ts';
export { problemShape } from './problem-shape.ts';
export { problemKind, problems, problemType, type Problem, type ProblemKind } from './problem.ts';
export {
  programChoice,
  programFile,
  readProgramFile,
  triggerSequence,
  type ProgramChoice,
  type ProgramFile,
} from './program.ts';
export {
  order,
  pageOf,
  pageQuery,
  part,
  revisionUse,
  revision,
  seamCreate,
  seamResource,
  seamSave,
  orderCreate,
  orderSave,
  partCreate,
  partSave,
  seamSpec,
  type Order,
  type Page,
  type Part,
  type Counted,
  type OrderCreate,
  type OrderSave,
  type PartCreate,
  type PartSave,
  type RevisionUse,
  type Revision,
  type SeamCopy,
  type SeamCreate,
  type SeamIssue,
  type CloseQuestion,
  type LeadPin,
  type SeamOffset,
  type SeamRelease,
  type SeamLock,
  type SeamResource,
  type SeamSave,
  type SeamSpec,
} from './shop.ts';
export {
  addressOf,
  contractHeader,
  contractVersion,
  doorFacts,
  doorNames,
  mayPass,
  needsKey,
  needsVersion,
  type DoorFacts,
  type DoorName,
} from './doors.ts';
export {
  doors,
  type Door,
  type DoorAnswer,
  type DoorBody,
  type DoorParams,
  type DoorQuery,
  type DoorSends,
} from './endpoints.ts';
export {
  blobLimitBytes,
  blobTypes,
  observation,
  observationCreate,
  recordedKinds,
  type ActKind,
  type Observation,
  type ObservationCreate,
  type RecordedKind,
} from './observations.ts';
export {
  person,
  newPinField,
  pinField,
  sessionState,
  ratesSave,
  shopState,
  type Person,
  type PersonCreate,
  type PersonSave,
  type Preferences,
  type PreferencesSave,
  type OwnSession,
  type SessionState,
  type WrongTries,
  type ShopSave,
  type RatesSave,
  type WordReview,
  type ShopState,
  personCreate,
  personSave,
  shopSave,
} from './people.ts';
export { roleNames, roles, type Role } from './roles.ts';
export { acts, may, mayGiveRole, mayKeepPerson, rights, states, type Act, type Right, type State } from './rights.ts';
export {
  authorHeader,
  comesLate,
  fates,
  hoursAfterSession,
  keptAnswerDays,
  madeAtHeader,
  observedDoors,
  outboxDays,
  type Fate,
  type ObservedDoor,
} from './outbox.ts';
export { bundle, readBundle, readSeamFile, type Bundle, type ImportReport, type SeamFile } from './bundle.ts';
export { job, mapRow, readMapJob, type Job, type JobCreate, type MapJob } from './jobs.ts';
export { effective } from './effective.ts';
export { findTrouble, isStorable, type TextTrouble } from './text-trouble.ts';
export {
  limitsField,
  type LimitsHistory,
  type SeamLimits,
  seamLimits,
  symptomAnswer,
  trial,
  trialBody,
  trialCreate,
  trialMeasured,
  trialQuery,
  trialRow,
  trialTiming,
  type Trial,
  type TrialBody,
  type TrialCreate,
  type TrialQuery,
  type TrialRow,
} from './trial.ts';
export { learned, learnedQuery, type Learned } from './learned.ts';
export { standInBead, standInWeld, type StandInAsk, type StandInBead } from './stand-in.ts';
export {
  run,
  runBody,
  runCreate,
  runDecision,
  runDecisions,
  runStates,
  type Run,
  type RunBody,
  type RunCreate,
  type RunDecision,
  type RunQuery,
} from './run.ts';
export { shift, type ShiftSlot } from './shift.ts';
export { wear, type WearRow } from './wear.ts';
export { diagnosis, type DiagnosisAnswer, type MoveAnswer } from './diagnosis.ts';
export { windowField } from './window-field.ts';
export type { SeamWindow } from './shop.ts';
