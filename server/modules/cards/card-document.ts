/** The dial card as a printed page, A5, A4 or Letter: one line a dial, large figures, readable with a glove on it. */
import { asStands, planRequest, type CardPaper, type MachineResource, type SeamResource } from '@fox-tempo/contract';
import { fillerOf, gasName, wireSizeLabel } from '@fox-tempo/core/consumables';
import {
  type DialQuantity,
  type DialSetting,
  type HeldInSlot,
  type Program,
  quantityFacts,
  shouldShow,
  translate,
  type Translation,
} from '@fox-tempo/core/machine';
import { gunWords, jointRule, modeName, type Plan, planSeam, positionName } from '@fox-tempo/core/plan';
import { scoreOf, sequenceOnMachine } from '@fox-tempo/core/score';
import { firstArcList } from '@fox-tempo/core/setup';
import { formatWithUnit, type UnitSystem } from '@fox-tempo/core/units';
import { dayIn } from '../../http/timestamp.ts';
import { sequenceLines } from './sequence-lines.ts';
import { sequencePicture } from './sequence-picture.ts';
import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces.js';

const quiet = '#6A6053';
const line = '#DCD2BF';
const russet = '#A8431C';

/** Everything a card says; plain data, so that it can go to a worker thread. */
export interface CardContent {
  readonly seam: SeamResource;
  readonly revision: NonNullable<SeamResource['revision']>;
  readonly machine: MachineResource;
  readonly paper: CardPaper;
  readonly units: UnitSystem;
  readonly printedAt: Date;
  readonly timeZone: string;
  readonly slots: readonly HeldInSlot[];
}

/** How close a card is set, so that it stays on one page: as it likes; lines that stand folded and less air; start and stop beside their picture too. */
export const cardDensities = [0, 1, 2, 3] as const;
export type CardDensity = (typeof cardDensities)[number];

export function cardDocument(
  { seam, revision, machine, paper, units, printedAt, timeZone, slots }: CardContent,
  density: CardDensity = 0,
): TDocumentDefinitions {
  const { program, spec } = revision;
  const { standing } = machine;
  const file = asStands(machine);
  const card = translate(file, program);
  const changed = ({ dialId, value }: DialSetting) => {
    const now = standing?.dials[dialId];
    return now !== undefined && Math.abs(now - value) > 1e-9;
  };
  const small = ([8, 7.5, 7, 6.5] as const)[density];
  const air = ([8, 5, 4, 2] as const)[density];
  const figure = density > 2 ? 12 : 15;
  const row = (label: string, where: string, value: string, unit: string, set: boolean): TableCell[] => [
    { text: set ? '›' : '', color: russet, bold: true, fontSize: 15 },
    {
      stack: [
        { text: label, bold: true },
        { text: where, fontSize: density > 2 ? 6.5 : 7.5, color: quiet },
      ],
    },
    {
      text: [
        { text: value, fontSize: value.length > 8 ? 10 : figure, bold: true },
        { text: unit === '' ? '' : `\u00a0\u00a0${unit.replaceAll(' ', '\u00a0')}`, color: quiet },
      ],
      alignment: 'right',
      noWrap: value.length <= 8,
    },
  ];
  const hand = (label: string, where: string, text: string): TableCell[] => {
    const [value = '', ...unit] = text.split(' ');
    return row(label, where, value, unit.join(' '), false);
  };
  // Folded only where it is known that they stand.
  const stands = (dial: DialSetting) => density > 0 && standing?.dials[dial.dialId] !== undefined && !changed(dial);
  const folded = card.dials.filter(stands);
  const changing = card.dials.filter(changed);
  const glance = glanceWords(standing !== null, changing);
  const dialRows = card.dials
    .filter((dial) => !stands(dial))
    .map((dial) =>
      row(
        dial.label,
        [dial.where, dial.level, dial.sense, missOf(dial)].filter(Boolean).join('; '),
        dial.display,
        dial.unit,
        changed(dial),
      ),
    );
  const planned = planSeam(planRequest(revision.spec, revision.choice, { circuitMOhm: file.circuitMOhm }));
  const plan = planned.ok ? planned.value : undefined;
  const cautions = plan?.warnings.filter(({ level }) => level !== 'note').map(({ message }) => message) ?? [];
  const notes = [
    ...cautions,
    ...card.warnings.map((warning) => warning.message),
    ...card.notCarried.map(({ what, nearest }) => `Not on this machine: ${what}. Nearest: ${nearest}.`),
  ];
  const startAndStop = sequenceBlock(file, program, spec, card, paper, slots, density);
  const two = dialRows.length > (density > 1 ? 4 : paper === 'A5' ? 8 : 12);
  return {
    pageSize: paper,
    pageMargins: paper === 'A5' ? (density > 1 ? [18, 14, 18, 30] : [24, 24, 24, 34]) : [40, 40, 40, 44],
    info: { title: `${file.name}: ${spec.name}, revision ${revision.number}`, creator: 'Fox Tempo' },
    defaultStyle: { font: 'Roboto', fontSize: 9, color: '#25211B' },
    content: [
      {
        columns: [
          { text: file.name, fontSize: 20, bold: true, width: 'auto' },
          { text: file.place, alignment: 'right', color: quiet, margin: [0, 9, 0, 0] },
        ],
      },
      { text: `${spec.name}, ${seam.partName}`, fontSize: 12, bold: true, margin: [0, 2, 0, 0] },
      {
        text: `${jointRule(spec.joint).name.toLowerCase()} ${spec.thicknessesMm.map((mm) => formatWithUnit(mm, 'thickness', units)).join(' + ')}, ${positionName(spec.position, spec.joint)} · ${fillerOf(program.filler).name}, ${wireSizeLabel(program.diameterMm)}, ${gasName(program.gas)} · ${modeName(program.mode)} · revision ${revision.number}`,
        color: quiet,
        margin: [0, 1, 0, 2],
      },
      { text: glance, color: russet, bold: true, margin: [0, 0, 0, 4] },
      two
        ? { columns: halves(dialRows).map((half) => dialTable(half, density)), columnGap: paper === 'A5' ? 12 : 16 }
        : dialTable(dialRows, density),
      ...(folded.length > 0
        ? [
            {
              text: [
                { text: 'Stand as needed: ', bold: true },
                folded.map(({ label, display, unit }) => `${label} ${display} ${unit}`.trim()).join(', '),
              ],
              fontSize: small,
              margin: [0, 3, 0, 0],
            } satisfies Content,
          ]
        : []),
      { text: 'By hand', bold: true, fontSize: density > 1 ? 9 : 11, margin: [0, air, 0, 1] },
      {
        columns: [
          hand('Gas flow', 'at the nozzle', formatWithUnit(program.gasFlowLPerMin, 'gasFlow', units)),
          hand('Stick-out', 'tip to plate', formatWithUnit(program.ctwdMm, 'shortLength', units)),
          hand('Travel', 'time it', formatWithUnit(program.travelMmPerMin, 'travel', units)),
        ].map((own) => dialTable([own], density)),
        columnGap: 12,
      },
      ...(program.gun
        ? [
            {
              text: [{ text: 'Gun ', bold: true }, gunWords(program.gun)],
              margin: [6, 2, 0, 0],
            } satisfies Content,
          ]
        : []),
      ...showBlock(program, file),
      ...(plan && plan.passes > 1 ? passBlock(plan, units) : []),
      ...startAndStop,
      ...(notes.length > 0 ? [{ ul: notes, fontSize: small, margin: [0, air - 2, 0, 0] } satisfies Content] : []),
      { text: 'Before the first arc', bold: true, fontSize: density > 1 ? 8.5 : 10, margin: [0, air, 0, 1] },
      {
        columns: halves(firstArcList(spec.materialGroup, program.mode)).map((half) => ({
          ul: half,
          fontSize: small - 0.5,
        })),
        columnGap: 12,
      },
    ],
    footer: (page, pages) => ({
      margin: paper === 'A5' ? [24, 6, 24, 0] : [40, 8, 40, 0],
      fontSize: 7,
      color: quiet,
      columns: [
        {
          text: '› changes from how the machine stands. A starting point from a model: verify on scrap. Your local code and qualified procedure come first.',
        },
        {
          text: `${dayIn(timeZone, printedAt)}, ${revision.createdBy}   ${page}/${pages}`,
          alignment: 'right',
          width: 110,
        },
      ],
    }),
  };
}

/** What the machine's own figures should read, so that a wrong wire or line is seen at the first arc. */
function showBlock(program: Program, file: MachineResource['file']): Content[] {
  const show = shouldShow(program, file);
  if (!show) return [];
  const preset =
    show.presetA === null && show.presetV === null
      ? 'before the arc: as its own chart says'
      : `before the arc ${[show.presetA === null ? '' : `${show.presetA.toFixed(0)} A`, show.presetV === null ? '' : `${show.presetV.toFixed(1)} V`].filter(Boolean).join(', ')}`;
  return [
    {
      text: [
        { text: 'It should show ', bold: true },
        `${preset}; while it burns about ${show.runningA.toFixed(0)} A, ${show.runningV.toFixed(1)} V at the machine (${show.tipV.toFixed(1)} V at the tip, ${file.circuitMOhm} mΩ of leads).`,
      ],
      fontSize: 8.5,
      margin: [0, 6, 0, 0],
    },
  ];
}

/** Every pass with its setting, in the order it is laid. */
function passBlock({ passTable }: Plan, units: UnitSystem): Content[] {
  const head = ['Pass', 'Kind', 'Feed', 'Current', 'Travel', 'Metal', 'Gun'].map((text) => ({ text, color: quiet }));
  return [
    { text: 'Passes', bold: true, fontSize: 10, margin: [0, 8, 0, 2] },
    {
      fontSize: 7.5,
      layout: 'lightHorizontalLines',
      table: {
        headerRows: 1,
        widths: ['auto', 'auto', 'auto', 'auto', 'auto', 'auto', '*'],
        body: [
          head,
          ...passTable.map((pass) => [
            String(pass.pass),
            pass.kind,
            formatWithUnit(pass.wireFeedMPerMin, 'wireFeed', units),
            `${pass.meanCurrentA.toFixed(0)} A`,
            formatWithUnit(pass.travelMmPerMin, 'travel', units),
            formatWithUnit(pass.areaMm2, 'area', units),
            pass.gun,
          ]),
        ],
      },
    },
  ];
}

/** The sequence as a picture in this machine's words, with what the hand does. Nothing where it cannot be made. */
function sequenceBlock(
  file: MachineResource['file'],
  program: Program,
  { lengthMm, thicknessesMm }: SeamResource['spec'],
  card: Translation,
  paper: CardPaper,
  slots: readonly HeldInSlot[],
  density: CardDensity,
): Content[] {
  const there = sequenceOnMachine(file, program, card);
  const whole = scoreOf(there.asRun, { lengthMm, thicknessMm: Math.min(...thicknessesMm) }, there.habit);
  if (!whole.ok) return [];
  const lines = sequenceLines(whole.value, file, slots);
  const wide = paper === 'A5' ? 352 : 440;
  return [
    {
      unbreakable: true,
      stack: [
        {
          text: ['Start and stop', there.mode ? `: ${there.mode.label}` : ''].join(''),
          bold: true,
          fontSize: density > 1 ? 9 : 11,
          margin: [0, density > 1 ? 3 : 8, 0, 2],
        },
        ...(density > 1
          ? [
              {
                columns: [
                  { svg: sequencePicture(whole.value, there), width: wide * (density > 2 ? 0.44 : 0.52) },
                  { ol: lines, fontSize: density > 2 ? 6 : 6.5, width: '*' },
                ],
                columnGap: 10,
              } satisfies Content,
            ]
          : [
              { svg: sequencePicture(whole.value, there), width: wide * (density === 1 ? 0.8 : 1) } satisfies Content,
              { ol: lines, fontSize: 7.5, margin: [0, 2, 0, 0] } satisfies Content,
            ]),
      ],
    },
  ];
}

/** More of them are no glance any more. */
const mostNamed = 5;

/** What changes, in one glance. */
function glanceWords(isKnown: boolean, changing: readonly DialSetting[]): string {
  if (!isKnown) return 'Nobody has entered how it stands: set every line.';
  if (changing.length === 0) return 'Nothing changes from how it stands.';
  if (changing.length > mostNamed) return `${changing.length} lines change, marked ›.`;
  const lines = changing.map(({ label, display, unit }) => `${label} to ${display} ${unit}`.trim()).join(', ');
  return `${changing.length === 1 ? '1 line changes' : `${changing.length} lines change`}: ${lines}.`;
}

function halves<T>(list: readonly T[]): [T[], T[]] {
  const middle = Math.ceil(list.length / 2);
  return [list.slice(0, middle), list.slice(middle)];
}

function dialTable(body: TableCell[][], density: CardDensity): Content {
  const padding = density > 2 ? 1 : 2.5;
  return {
    table: {
      widths: [6, '*', 'auto'],
      body: body.length > 0 ? body : [['', 'This machine’s dials are not described.', '']],
    },
    layout: {
      hLineWidth: (at) => (at === 0 ? 0 : 0.6),
      vLineWidth: () => 0,
      hLineColor: () => line,
      paddingTop: () => padding,
      paddingBottom: () => padding,
      paddingLeft: () => 0,
      paddingRight: () => 2,
    },
  };
}

function missOf({ error, quantity, clipped }: DialSetting): string | undefined {
  if (error === undefined) return undefined;
  const { noticed, unit, digits } = quantityFacts(quantity as DialQuantity);
  if (Math.abs(error) < noticed && !clipped) return undefined;
  return `misses by ${error > 0 ? '+' : '−'}${Math.abs(error).toFixed(digits)} ${unit}`.trim();
}
