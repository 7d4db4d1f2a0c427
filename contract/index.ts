/** Everything that crosses a border, as Zod shapes and the types they infer. */
export { type Id, type Noun } from './fields.ts';
export { meltInput } from './verbs/melt.ts';
export { planInput, questionOfVerb } from './verbs/plan.ts';
export { pulseInput } from './verbs/pulse.ts';
export { verbNames, verbs, type VerbName } from './verbs/index.ts';
export type { Verb } from './verbs/verb.ts';
export { openApiDocument } from './openapi.ts';
export { exampleFiles } from './files/examples.ts';
export { fileSchemas } from './files/schemas.ts';
export { parseWith } from './issues.ts';
export { chartCsvExample, largestChartCsvBytes, readChartCsv } from './files/chart-csv.ts';
export { csvOf, csvOfRecords, type CsvCell, type CsvColumns } from './files/csv.ts';
export {
  blankMachine,
  machineFile,
  machineVersion,
  outlineOf,
  readMachineFile,
  type MachineFile,
} from './files/machine.ts';
export { type MachineCalibration } from './resources/machines.ts';
export { machineCreate, machineSave } from './resources/machines.ts';
export { cardQuery, type CardPaper } from './resources/papers.ts';
export {
  cylinder,
  cylinderSave,
  readingConvention,
  spool,
  spoolSave,
  stock,
  type Cylinder,
  type CylinderSave,
  type Spool,
  type SpoolSave,
  type Stock,
} from './resources/stock.ts';
export { directionSave, type DirectionSave } from './resources/machines.ts';
export { leadReading, leadReadingCreate, type LeadReadingRow } from './resources/lead-readings.ts';
export { partsDone, type CountQuestion, type PartsDone } from './resources/orders.ts';
export { slotEntry, slotFound, slotStore, type SlotEntry, type SlotFound, type SlotStore } from './resources/slots.ts';
export { stepTimeCreate, stepTimes, type StepTimeCreate, type StepTimes } from './resources/step-times.ts';
export {
  machineStanding,
  machineWithStanding,
  readStanding,
  standingSave,
  type MachineResource,
  type MachineStanding,
  type StandingSave,
} from './resources/machines.ts';
export { knownSite, readSite, siteField } from './site.ts';
export { problemShape } from './problem.ts';
export { fateOf, problemKind, problems, problemType, type Fate, type Problem, type ProblemKind } from './errors.ts';
export { programChoice, type ProgramChoice } from './program-choice.ts';
export { programFile, readProgramFile, triggerSequence, type ProgramFile } from './files/program.ts';
export {
  order,
  orderCreate,
  orderSave,
  type Order,
  type Counted,
  type OrderCreate,
  type OrderSave,
  type CloseQuestion,
} from './resources/orders.ts';
export { pageOf, pageQuery, type Page } from './page.ts';
export { part, partCreate, partSave, type Part, type PartCreate, type PartSave } from './resources/parts.ts';
export {
  revisionUse,
  revision,
  seamCreate,
  seamResource,
  seamSave,
  seamSpec,
  type RevisionUse,
  type Revision,
  type SeamCopy,
  type SeamCreate,
  type SeamIssue,
  type SeamOffset,
  type SeamRelease,
  type SeamLock,
  type SeamResource,
  type SeamSave,
  type SeamSpec,
} from './resources/seams.ts';
export { type LeadPin } from './lead-pin.ts';
export {
  contractHeader,
  contractVersion,
  mayCall,
  needsKey,
  needsVersion,
  pathOf,
  rolesOf,
  type Endpoint,
  type EndpointFacts,
} from './endpoint.ts';
export {
  endpointNames,
  endpointOf,
  endpoints,
  type AnswerOf,
  type BodyOf,
  type EndpointName,
  type ObservedEndpoint,
  type ParamsOf,
  type QueryOf,
  type SendOf,
} from './endpoints.ts';
export { blobLimitBytes, blobTypes } from './resources/blobs.ts';
export {
  observation,
  observationCreate,
  recordedKinds,
  type ActKind,
  type Observation,
  type ObservationCreate,
  type RecordedKind,
} from './resources/observations.ts';
export {
  person,
  newPinField,
  pinField,
  type Person,
  type PersonCreate,
  type PersonSave,
  type WrongTries,
  personCreate,
  personSave,
} from './resources/people.ts';
export {
  sessionState,
  type Preferences,
  type PreferencesSave,
  type OwnSession,
  type SessionState,
} from './resources/session.ts';
export { ratesSave, shopState, type ShopSave, type RatesSave, type ShopState, shopSave } from './resources/shop.ts';
export { type WordReview } from './resources/words.ts';
export { roleNames, roles, type Role } from './roles.ts';
export { acts, may, mayGiveRole, mayKeepPerson, rights, states, type Act, type Right, type State } from './rights.ts';
export { authorHeader, hoursAfterSession, keptAnswerDays, madeAtHeader, outboxDays } from './outbox.ts';
export { bundle, readBundle, readSeamFile, type Bundle, type SeamFile } from './files/shop.ts';
export { type ImportReport } from './resources/bundles.ts';
export { job, mapRow, readMapJob, type Job, type JobCreate, type MapJob } from './resources/jobs.ts';
export { findTrouble, isStorable, type TextTrouble } from './text-trouble.ts';
export { limitsField, type LimitsHistory, type SeamLimits, seamLimits } from './limits.ts';
export {
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
} from './resources/trials.ts';
export { learned, learnedQuery, type Learned } from './resources/learned.ts';
export { standInBead, standInWeld, type StandInAsk, type StandInBead } from './resources/stand-ins.ts';
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
} from './resources/runs.ts';
export { shift, type ShiftSlot } from './resources/shift.ts';
export { wear, type WearRow } from './resources/wear.ts';
export { diagnosis, type DiagnosisAnswer, type MoveAnswer } from './resources/diagnosis.ts';
export { windowField } from './window.ts';
export type { SeamWindow } from './window.ts';
