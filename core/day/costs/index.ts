export { foundOf, type Found, type LoggedWeld } from './found.ts';
export { fullPrice, savingOfClass, waysOfClass, type ClassSaving, type ClassWay } from './class-way.ts';
export { candidatesFor, type CostSite, type Candidate, type RuledOut } from './candidates.ts';
export {
  moneyOf,
  moneyParts,
  moneySum,
  nothingTaken,
  plus,
  takesOf,
  times,
  type Money,
  type MoneyPart,
  type Rates,
  type Takes,
} from './costs.ts';
