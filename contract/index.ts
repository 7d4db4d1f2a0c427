/** Everything that crosses a border, as Zod shapes and the types they infer. */
export { meltInput, planInput, pulseInput } from './compute.ts';
export { verbNames, verbs, type VerbName } from './verbs.ts';
export type { Verb } from './verb.ts';
export { openApiDocument } from './openapi.ts';
export { exampleFiles } from './example-files.ts';
export { fileSchemas } from './file-schemas.ts';
export { parseWith } from './issues.ts';
export { chartCsvExample, readChartCsv, type ChartCsv, type CsvProblem } from './chart-csv.ts';
export { machineFile, machineVersion, readMachineFile, type MachineFile } from './machine.ts';
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
  type SlotEntry,
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
export { planRequest, programOf } from './plan-request.ts';
export { problemKind, problems, problemShape, problemType, type Problem, type ProblemKind } from './problem.ts';
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
  person,
  revision,
  seamCreate,
  seamResource,
  seamSave,
  seamSpec,
  type Order,
  type Page,
  type Part,
  type Person,
  type Revision,
  type SeamCreate,
  type SeamResource,
  type SeamSave,
  type SeamSpec,
} from './shop.ts';
