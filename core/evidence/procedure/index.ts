export { outsideProcedure, type ProcedureTrial } from './outside.ts';
export { procedureSheet, processNumber, type ProcedureRow, type ProcedureSection } from './procedure.ts';
