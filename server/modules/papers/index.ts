export { pagesOf, renderPdf } from './pdf.ts';
export { type SheetContent, procedureDocument } from './procedure-document.ts';
export { type DayContent, runPlanDocument } from './run-plan-document.ts';
export { type RecordContent, trialDocument } from './trial-document.ts';
