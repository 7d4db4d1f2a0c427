import { inEnglish } from '@fox-tempo/words/english';
import { describe, expect, it } from '@jest/globals';
import { alder, hazel, medlar, rowan } from '@fox-tempo/core/scenarios';
import { chartCsvExample, readChartCsv, readMachineFile, readProgramFile, readStanding, verbs } from '../index.ts';

const file = (machine: object) => ({ format: 'fox-tempo/machine', version: 2, ...machine });
const program = {
  format: 'fox-tempo/program',
  version: 1,
  filler: 'steel-solid',
  gas: 'M21-ArC-18',
  diameterMm: 1,
  mode: 'pulse',
  wireFeedMPerMin: 7.8,
  trimMm: -0.5,
  stiffness: 0,
  pulse: { peakCurrentA: 390, peakTimeMs: 1.8, backgroundCurrentA: 70, frequencyHz: 180, slewAPerMs: 600 },
  ctwdMm: 16.5,
  travelMmPerMin: 500,
  gasFlowLPerMin: 16,
  origin: 'rule',
};

describe('files', () => {
  it.each([rowan, hazel, alder, medlar].map((machine) => [machine.name, machine] as const))(
    '%s goes out and comes in as it was',
    (_name, machine) => {
      const read = readMachineFile(JSON.parse(JSON.stringify(file(machine))));
      expect(read).toEqual({ ok: true, value: JSON.parse(JSON.stringify(file(machine))) });
    },
  );

  it('of programs are brought up from the first version', () => {
    const read = readProgramFile(program);
    expect(read).toMatchObject({ ok: true, value: { version: 2, slowBeat: null, sequence: { trigger: 'latch' } } });
  });

  it.each([
    [{ ...program, version: 3 }, 'version-from-the-future'],
    [{ ...program, version: 0 }, 'unknown-version'],
    [{ ...program, version: '1' }, 'unknown-version'],
    [{ ...program, format: undefined }, 'wrong-format'],
    [[], 'not-a-file'],
  ])('%# are refused by name', (bad, code) => {
    expect(readProgramFile(bad)).toMatchObject({ ok: false, issues: [{ code }] });
  });

  it('name what a machine file means and cannot, with its place', () => {
    const bad = file({
      ...medlar,
      dials: medlar.dials.map((dial) => (dial.id === 'begin' ? { ...dial, id: 'start' } : dial)),
    });
    expect(readMachineFile(bad)).toMatchObject({
      ok: false,
      issues: [{ path: 'dials.8.scale.of', code: 'unknown-dial' }],
    });
  });

  it('bring the first shape of a standing up, and drop what makes no sense', () => {
    const old = { filler: 'cusi3', diameterMm: 1, gas: 'I1', dials: { a: 1 }, since: '2026-11-01T08:00:00.000Z' };
    expect(readStanding(old)).toMatchObject({
      feederId: 'one',
      feeders: { one: { filler: 'cusi3', rollMm: 1 } },
      dials: { a: 1 },
    });
    expect(readStanding({ ...old, filler: 'tin' })).toBeNull();
    expect(readStanding(null)).toBeNull();
  });
});

describe('translate and read-dials as verbs', () => {
  it('go there and back through files', () => {
    const said = verbs.translate.run({ machine: file(rowan), program });
    if (!said.ok) throw new Error(JSON.stringify(said.issues));
    const { dials } = said.value as { dials: { dialId: string; value: number }[] };
    const back = verbs['read-dials'].run({
      machine: file(rowan),
      dials: Object.fromEntries(dials.map((dial) => [dial.dialId, dial.value])),
      ctwdMm: 16.5,
    });
    if (!back.ok) throw new Error(JSON.stringify(back.issues));
    const read = (back.value as { program: { wireFeedMPerMin: number; format: string; gas: string } }).program;
    expect(read).toMatchObject({ format: 'fox-tempo/program', gas: 'M21-ArC-18' });
    expect(read.wireFeedMPerMin).toBeCloseTo(7.8, 6);
    expect(readProgramFile(read).ok).toBe(true);
  });

  it('list the issues of both files at once, each under its field', () => {
    const refused = verbs.translate.run({ machine: file({ ...rowan, name: '' }), program: { ...program, gas: 'C9' } });
    expect(refused.ok ? [] : refused.issues.map((issue) => issue.path)).toEqual(['machine.name', 'program.gas']);
    expect(
      verbs['read-dials'].run({ machine: file(rowan), dials: { line: 12, 'wire-feed': 99, warmth: 1 } }),
    ).toMatchObject({
      ok: false,
      issues: [
        { path: 'dials.warmth', code: 'unknown-dial' },
        { path: 'dials.wire-feed', code: 'not-on-dial', got: 99 },
      ],
    });
    expect(verbs['read-dials'].run({ machine: file(rowan), dials: { 'wire-feed': 8 } })).toMatchObject({
      issues: [{ code: 'wire-unknown' }],
    });
  });
});

describe('chart lines from a table', () => {
  const head = 'Number;Words;Filler;Diameter (mm);Gas;Mode';

  it('reads the example, with decimal commas, a mark in front and any line ends', () => {
    expect(readChartCsv(`\uFEFF${chartCsvExample}`)).toMatchObject({
      problems: [],
      lines: [
        {
          number: 12,
          filler: 'steel-solid',
          diameterMm: 1,
          points: [{ wireFeedMPerMin: 5.2, currentA: 112, voltageV: 23.5 }],
        },
      ],
    });
  });

  it('takes inch sizes by the head or in the cell, classes for wires, commas between cells', () => {
    const inches = readChartCsv(
      'no,wire,size (in),gas,transfer,words\n7,ER70S-6,0.035,M21-ArC-25,Pulse,"Steel, thin"\n8,steel-solid,0.9 mm,C1,dip,',
    );
    expect(inches.problems).toEqual([]);
    expect(inches.lines[0]).toMatchObject({ number: 7, filler: 'steel-solid', words: 'Steel, thin' });
    expect(inches.lines[0]!.diameterMm).toBeCloseTo(0.889, 9);
    expect(inches.lines[1]!.diameterMm).toBe(0.9);
  });

  it('names every bad cell by row and column, and keeps the good rows', () => {
    const read = readChartCsv(
      [
        head,
        '1;ok;steel-solid;1,0;M21-ArC-18;pulse',
        '2;x;tin;0,8 kg;M99;plasma',
        ';;;;;',
        '1;again;steel-solid;1,2;C1;dip',
        '9;here;cusi3;1;I1;pulse',
        'x;y;cusi3;4;I1;pulse',
      ].join('\n'),
      [9],
    );
    expect(read.lines.map((line) => line.number)).toEqual([1]);
    // The empty row is passed over and still counted.
    expect(read.problems.map(({ row, column }) => `${row} ${column}`)).toEqual([
      '3 filler',
      '3 diameter',
      '3 gas',
      '3 mode',
      '5 number',
      '6 number',
      '7 number',
      '7 diameter',
    ]);
  });

  it('gathers rows of one number as points of one line', () => {
    const read = readChartCsv(
      [
        `${head};Feed (ipm);A`,
        '4;;steel-solid;1;M21-ArC-18;pulse;200;112',
        '4;;steel-solid;1;M21-ArC-18;pulse;300;156',
      ].join('\n'),
    );
    expect(read.lines).toHaveLength(1);
    expect(read.lines[0]!.points!.map((point) => point.wireFeedMPerMin)).toEqual([5.08, 7.62]);
  });

  it('says what is missing, and refuses a table larger than an endpoint without choking on it', () => {
    expect(readChartCsv('')).toMatchObject({ problems: [{ row: 0 }] });
    expect(inEnglish(readChartCsv('a;b\n1;2').problems[0]!.message)).toContain('number, filler, diameter, gas, mode');
    const many = [head, ...Array.from({ length: 10_000 }, (_, at) => `${at};;steel-solid;1;M21-ArC-18;pulse`)].join(
      '\n',
    );
    const read = readChartCsv(many);
    expect(read.rows).toBe(10_000);
    expect(inEnglish(read.problems[0]!.message)).toContain('1000 chart lines');
  });
});
