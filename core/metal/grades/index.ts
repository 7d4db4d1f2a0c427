export { gradeFit, gradeNamed, type GradeFit } from './grade-filler.ts';
export { grades, type Grade } from './grades.ts';
