/** Loaded against selected against needed: any mismatch blocks a trial, and is the first cause to look at when an arc is bad. */
import { own } from '../../base/record/index.ts';
import { message, joined, type Phrase } from '../../base/messages/index.ts';
import { modeName } from '../../setting/plan/index.ts';
import { fillerOf, gasName, wireSizeLabel, sameWire } from '../../metal/consumables/index.ts';
import { chartLineFor, lineDial, runsOnLine, servesGas, type ChartLine, type Machine } from '../description/index.ts';
import { type Program } from '../../setting/program/index.ts';
import { holds, neededSetup, type MachineState } from './state.ts';

export interface CheckRow {
  readonly what: 'wire' | 'gas' | 'chart line' | 'mode' | 'slow beat' | 'polarity';
  /** On the machine. */
  readonly loaded: Phrase;
  /** What the chart line chosen on the machine is made for. */
  readonly selected: Phrase;
  readonly needed: Phrase;
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
  const feeder = own(state.feeders, state.feederId);
  const dial = lineDial(machine);
  const number = dial && own(state.dials, dial.id);
  const line = machine.chartLines.find((one) => one.number === number) ?? null;
  const needed = neededSetup(program);
  const unknown = message('setup.not-known');
  const wireName = (wire: { filler: Program['filler']; diameterMm: number }) =>
    joined([fillerOf(wire.filler).name, wireSizeLabel(wire.diameterMm)], ', ');
  const lineMode = line ? modeName(line.mode) : unknown;
  const hasChart = dial !== undefined;
  const wanted = chartLineFor(machine.chartLines, program);
  // Pulse and double pulse are two modes: the pulse line serves a double pulse only where the chart has no line of its own for it.
  const modeFits = line !== null && line.mode === (wanted?.mode ?? program.mode);
  const rows: CheckRow[] = [
    {
      what: 'wire',
      loaded: feeder ? wireName(feeder) : unknown,
      selected: line ? wireName(line) : hasChart ? unknown : message('setup.no-chart'),
      needed: wireName(program),
      agrees:
        feeder !== undefined &&
        sameWire(feeder, program) &&
        (!hasChart || (line !== null && runsOnLine(line, program))),
    },
    {
      what: 'gas',
      loaded: feeder ? gasName(feeder.gas) : unknown,
      selected: line
        ? gasName(servesGas(line, program.gas) ? program.gas : line.gas)
        : hasChart
          ? unknown
          : message('setup.no-chart'),
      needed: gasName(program.gas),
      agrees:
        feeder !== undefined &&
        holds({ ...feeder, filler: program.filler, diameterMm: program.diameterMm }, program) &&
        (!hasChart || (line !== null && servesGas(line, program.gas))),
    },
    ...(hasChart
      ? [
          {
            what: 'chart line' as const,
            loaded: '',
            selected: line ? `${line.number}` : unknown,
            needed: wanted ? `${wanted.number}` : message('setup.chart.none-for-wire'),
            agrees: wanted !== undefined && line?.number === wanted.number,
          },
        ]
      : []),
    ...beatRow(machine, state, program),
    {
      what: 'mode',
      loaded: '',
      selected: hasChart ? lineMode : message('setup.no-chart'),
      needed: modeName(program.mode),
      agrees: !hasChart || modeFits,
    },
    {
      what: 'polarity',
      loaded: state.polarity === 'electrode-positive' ? message('setup.wire-on-plus') : message('setup.wire-on-minus'),
      selected: '',
      needed: needed.polarity === 'electrode-positive' ? message('setup.wire-on-plus') : message('setup.wire-on-minus'),
      agrees: state.polarity === needed.polarity,
    },
  ];
  return { rows, blocked: rows.some((row) => !row.agrees), selectedLine: line };
}

/** Whether the machine's own switch for the way of transfer stands where the slow beat runs, or does not. */
function beatRow({ dials }: Machine, state: MachineState, program: Program): CheckRow[] {
  const dial = dials.find(({ scale }) => scale.kind === 'named' && scale.facet === 'mode');
  if (dial?.scale.kind !== 'named') return [];
  const { positions } = dial.scale;
  if (!positions.some(({ is }) => is.includes('double-pulse'))) return [];
  const at = own(state.dials, dial.id);
  const stands = at === undefined ? undefined : positions[at];
  const beats = stands?.is.includes('double-pulse') ?? false;
  const wants = program.mode === 'double-pulse';
  return [
    {
      what: 'slow beat',
      loaded: '',
      selected: stands?.label ?? message('setup.not-known'),
      needed: wants ? message('setup.on') : message('setup.off'),
      agrees: stands !== undefined && (stands.is.includes(program.mode) || beats === wants),
    },
  ];
}
