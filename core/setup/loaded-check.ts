/** Loaded against selected against needed: any mismatch blocks a trial, and is the first cause to look at when an arc is bad. */
import { fillerOf, gasOf, wireSizeLabel } from '../consumables/index.ts';
import { sameWire, type ChartLine, type Machine, type Program, servesGas } from '../machine/index.ts';
import { holds, neededSetup, type MachineState } from './state.ts';

export interface CheckRow {
  readonly what: 'wire' | 'gas' | 'mode' | 'polarity';
  /** On the machine. */
  readonly loaded: string;
  /** What the chart line chosen on the machine is made for. */
  readonly selected: string;
  readonly needed: string;
  readonly agrees: boolean;
}

export interface LoadedCheck {
  readonly rows: readonly CheckRow[];
  /** True while a trial must not begin. */
  readonly blocked: boolean;
  /** Chart line that the machine is on, if it is known. */
  readonly selectedLine: ChartLine | null;
}

export function checkLoaded(machine: Machine, state: MachineState, program: Program): LoadedCheck {
  const feeder = state.feeders[state.feederId];
  const dial = machine.dials.find((one) => one.scale.kind === 'chart-line');
  const number = dial && state.dials[dial.id];
  const line = machine.chartLines.find((one) => one.number === number) ?? null;
  const needed = neededSetup(program);
  const unknown = 'not known';
  const wireName = (wire: { filler: Program['filler']; diameterMm: number }) =>
    `${fillerOf(wire.filler).name}, ${wireSizeLabel(wire.diameterMm)}`;
  const gasName = (code: string) => (code === 'none' ? 'no gas' : gasOf(code).name);
  const lineMode = line?.mode.replace('-', ' ') ?? unknown;
  const modeFits =
    line !== null && (line.mode === program.mode || (program.mode === 'double-pulse' && line.mode === 'pulse'));
  const hasChart = dial !== undefined;
  const rows: CheckRow[] = [
    {
      what: 'wire',
      loaded: feeder ? wireName(feeder) : unknown,
      selected: line ? wireName(line) : hasChart ? unknown : 'no chart',
      needed: wireName(program),
      agrees:
        feeder !== undefined && sameWire(feeder, program) && (!hasChart || (line !== null && sameWire(line, program))),
    },
    {
      what: 'gas',
      loaded: feeder ? gasName(feeder.gas) : unknown,
      selected: line ? gasName(servesGas(line, program.gas) ? program.gas : line.gas) : hasChart ? unknown : 'no chart',
      needed: gasName(program.gas),
      agrees:
        feeder !== undefined &&
        holds({ ...feeder, filler: program.filler, diameterMm: program.diameterMm }, program) &&
        (!hasChart || (line !== null && servesGas(line, program.gas))),
    },
    {
      what: 'mode',
      loaded: '',
      selected: hasChart ? lineMode : 'no chart',
      needed: program.mode.replace('-', ' '),
      agrees: !hasChart || modeFits,
    },
    {
      what: 'polarity',
      loaded: state.polarity === 'electrode-positive' ? 'wire on plus' : 'wire on minus',
      selected: '',
      needed: needed.polarity === 'electrode-positive' ? 'wire on plus' : 'wire on minus',
      agrees: state.polarity === needed.polarity,
    },
  ];
  return { rows, blocked: rows.some((row) => !row.agrees), selectedLine: line };
}
