export { HistoryLine } from './history-line.tsx';
export { OwnWelds } from './own-welds.tsx';
export { VerdictMark, VerdictShape, verdictWord } from './verdict-mark.tsx';
