/** Every reason to refuse a simulation before it runs. */
import { message, type Phrase } from '../../base/messages/index.ts';
import { gasIssues } from '../../setting/pulse/index.ts';
import { rangeIssues, ranges, type Issue } from '../../base/outcome/index.ts';
import type { SimulationInput } from './input.ts';

/** Limits of the fields that only a simulation has. */
export const simulationLimits = {
  seconds: [0.02, 60],
  seed: [0, 2 ** 31],
  voltageV: [8, 60],
  inductanceUh: [20, 3000],
  stiffness: [ranges.stiffness.min, ranges.stiffness.max],
  trim: [ranges.trimMm.min, ranges.trimMm.max],
  noise: [0, 3],
  stepS: [1e-6, 4e-5],
  runInPercent: [20, 150],
  runInAfterS: [0, 2],
  burnBackS: [0, 1],
  slewAPerMs: [100, 600],
  feedSlip: [0, 0.3],
  kAFactor: [0.5, 2],
  kBFactor: [0.2, 5],
  arcVoltageV: [-8, 8],
} as const;

type LimitedField = keyof typeof simulationLimits;

export function simulationIssues(input: SimulationInput): Issue[] {
  const { diameterMm, wireFeedMPerMin, ctwdMm, source } = input;
  const issues: Issue[] = rangeIssues({ diameterMm, wireFeedMPerMin, ctwdMm });
  const check = (field: LimitedField, value: number | undefined, path: string = field) => {
    const [min, max] = simulationLimits[field];
    if (value !== undefined && !(value >= min && value <= max)) {
      issues.push({
        path,
        code: 'out-of-range',
        message: message('simulation.error.out-of-range', { path, min, max, value }),
        limit: [min, max],
        got: value,
      });
    }
  };
  check('seconds', input.seconds);
  check('seed', input.seed);
  check('noise', input.noise);
  check('stepS', input.stepS);
  check('feedSlip', input.feedSlip);
  for (const field of ['kAFactor', 'kBFactor', 'arcVoltageV'] as const)
    check(field, input.correction?.[field], `correction.${field}`);
  check('voltageV', source.voltageV, 'source.voltageV');
  check('stiffness', source.stiffness, 'source.stiffness');
  issues.push(...rangeIssues({ circuitMOhm: source.circuitMOhm }, 'source.'));
  if (source.kind === 'constant-voltage') {
    check('inductanceUh', source.inductanceUh, 'source.inductanceUh');
    if (source.inductanceUh !== undefined && source.stiffness !== undefined) {
      issues.push(contradiction('source.stiffness', message('simulation.error.inductance-or-stiffness')));
    }
    // Pulse has gates of its own, which the solved pulse names.
    issues.push(...gasIssues(input.filler, input.gas));
  } else {
    if (input.really?.gas !== undefined) issues.push(...gasIssues(input.filler, input.really.gas));
    check('trim', source.trim, 'source.trim');
    check('slewAPerMs', source.pulse?.slewAPerMs, 'source.pulse.slewAPerMs');
    if (source.trim !== undefined && source.voltageV !== undefined) {
      issues.push(contradiction('source.trim', message('simulation.error.trim-or-voltage')));
    }
    if (source.slowBeat) {
      const { highFeedMPerMin, lowFeedMPerMin, highShare, frequencyHz } = source.slowBeat;
      issues.push(
        ...rangeIssues({ wireFeedMPerMin: highFeedMPerMin }, 'source.slowBeat.high.'),
        ...rangeIssues({ wireFeedMPerMin: lowFeedMPerMin }, 'source.slowBeat.low.'),
      );
      if (!(highShare > 0 && highShare < 1 && frequencyHz >= 0.2 && frequencyHz <= 10)) {
        issues.push(contradiction('source.slowBeat', message('simulation.error.double-pulse')));
      }
    }
  }
  if (input.startStop) {
    for (const field of ['runInPercent', 'runInAfterS', 'burnBackS'] as const)
      check(field, input.startStop[field], `startStop.${field}`);
  }
  return issues;
}

function contradiction(path: string, message: Phrase): Issue {
  return { path, code: 'contradiction', message };
}
