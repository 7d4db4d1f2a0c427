export { issueCodes, type IssueCode } from './codes.ts';
export { failure, success, type Issue, type Outcome, type Warning } from './outcome.ts';
export { rangeIssue, rangeIssues, ranges, type Range, type RangedField } from './range.ts';
