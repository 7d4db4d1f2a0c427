/** Whether every view says the same of a seam: `npm run agree`. Ends with code 1 on the first figure that two views tell differently. */
import { agreeCases } from './agree/cases.ts';
import { compare } from './agree/compare.ts';
import { views } from './agree/views.ts';

const cases = [...agreeCases()];
const { compared, disagreements } = compare(cases);
for (const { view, figure, says, truth, where } of disagreements.slice(0, 60))
  process.stdout.write(`${view}: ${figure} ${says}, not ${truth} (${where})\n`);
process.stdout.write(
  `${views.length} views, ${cases.length} cases, ${compared} figures compared: ${disagreements.length} disagreements\n`,
);
process.exitCode = disagreements.length === 0 ? 0 : 1;
