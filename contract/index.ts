/** Everything that crosses a border, as Zod shapes and the types they infer. */
export { meltInput, planInput, pulseInput } from './compute.ts';
export { verbNames, verbs, type Verb, type VerbName } from './verbs.ts';
export { openApiDocument } from './openapi.ts';
export { fileSchemas } from './file-schemas.ts';
export { parseWith } from './issues.ts';
export { machineFile, machineResource, machineStanding, type MachineFile, type MachineResource } from './machine.ts';
export { planRequest } from './plan-request.ts';
export { problemKind, problems, problemShape, problemType, type Problem, type ProblemKind } from './problem.ts';
export { programChoice, programFile, type ProgramChoice, type ProgramFile } from './program.ts';
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
