export { choiceOfProgram } from './choice-of-program.ts';
export {
  atMachine,
  questionOf,
  ruleQuestion,
  settingOf,
  type DescribedSeam,
  type Setting,
  type SettingChoice,
} from './question.ts';
export {
  completeSite,
  standardSite,
  withoutLearning,
  type HandPace,
  type KnownSite,
  type Site,
} from '../setting/plan/index.ts';
