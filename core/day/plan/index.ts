export { bareJobs, dayJobs, type NamedJob, type OrderedPart, type SetSeam } from './day-jobs.ts';
export {
  barsOn,
  dayProblem,
  handlingMinutes,
  jobMinutes,
  nearestTo,
  planDay,
  halfDescribed,
  type DayBar,
  type DayJob,
  type DayMachine,
  type DayPlan,
  type DayProblem,
  type HalfDescribed,
} from './day-plan.ts';
export {
  shortagesOf,
  shiftPage,
  type Shortage,
  type NextJob,
  type NextOn,
  type NextStock,
  type ShiftPage,
} from './next-on.ts';
export { hoursMinutes, usualShifts, workMoment, type Shifts } from './work-clock.ts';
export { pauseOn, type Pause } from './pauses.ts';
export { runsOut, type RunsOut } from './runs-out.ts';
