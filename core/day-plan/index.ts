export {
  canWeld,
  handlingMinutes,
  jobMinutes,
  planDay,
  type DayBar,
  type DayJob,
  type DayMachine,
  type DayPlan,
} from './day-plan.ts';
export {
  endingsOf,
  shiftPage,
  type Ending,
  type NextJob,
  type NextOn,
  type NextStock,
  type ShiftPage,
} from './next-on.ts';
export { usualShifts, workMoment, type Shifts } from './work-clock.ts';
export { pauseOn, type Pause } from './pauses.ts';
