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
