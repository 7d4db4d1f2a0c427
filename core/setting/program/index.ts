export { programFromPlan, type Program, type ProgramPulse } from './program.ts';
