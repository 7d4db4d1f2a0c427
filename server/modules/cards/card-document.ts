/** The dial card as a printed page, A5, A4 or Letter: one line a dial, large figures, readable with a glove on it. */
import { hazard, type Language, type Shown, type Words } from '@fox-tempo/words';
import { atMachine, questionOf } from '@fox-tempo/core/site';
import { amount, inSentence, message as sayCode, type Phrase, signed, absent } from '@fox-tempo/core/base/messages';
import { type CardPaper, type MachineResource, type SeamResource } from '@fox-tempo/contract';
import { fillerOf, gasName, wireSizeLabel } from '@fox-tempo/core/metal/consumables';
import { type DialQuantity, type HeldInSlot, quantityFacts } from '@fox-tempo/core/machine/description';
import { type DialSetting, shouldShow, cardOf, type Translation, whyNotWords } from '@fox-tempo/core/machine/dials';
import { type Program } from '@fox-tempo/core/setting/program';
import { asStands } from '@fox-tempo/core/machine/teaching';
import {
  gunWords,
  jointRule,
  modeName,
  type Plan,
  planSeam,
  positionName,
  thinnerMm,
} from '@fox-tempo/core/setting/plan';
import { scoreOf, sequenceOnMachine } from '@fox-tempo/core/weld/score';
import { firstArcList, neededSetup, rollOf, dialsToSet } from '@fox-tempo/core/machine/setup';
import type { UnitSystem } from '@fox-tempo/core/base/units';
import { dialWindowWords, windowOnDials, withOffset, type Offset } from '@fox-tempo/core/evidence/window';
import { dayIn } from '@fox-tempo/core/base/calendar';
import { sequenceLines } from './sequence-lines.ts';
import { sequencePicture } from './sequence-picture.ts';
import type { Column, Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces.js';

const quiet = '#6A6053';
const line = '#DCD2BF';
const russet = '#A8431C';

/** Everything a card says; plain data, so that it can go to a worker thread. */
export interface CardContent {
  readonly seam: SeamResource;
  readonly revision: NonNullable<SeamResource['revision']>;
  readonly machine: MachineResource;
  readonly paper: CardPaper;
  readonly language: Language;
  readonly units: UnitSystem;
  readonly printedAt: Date;
  readonly timeZone: string;
  readonly slots: readonly HeldInSlot[];
  /** Address of this card on a screen in the shop; null where the shop's network is not opened. */
  readonly opens: string | null;
  /** Whose own steps inside the window stand beside the dials; null: nobody's. */
  readonly own: { readonly name: string; readonly offset: Offset } | null;
}

/** How close a card is set, so that it stays on one page: as it likes; lines that stand folded and less air; start and stop beside their picture too. */
export const cardDensities = [0, 1, 2, 3] as const;
export type CardDensity = (typeof cardDensities)[number];

export function cardDocument(
  { seam, revision, machine, paper, printedAt, timeZone, slots, opens, own }: CardContent,
  say: Words,
  density: CardDensity = 0,
): TDocumentDefinitions {
  const { t, format } = say;
  const hazardText = (said: Phrase) => [format(said), say.beside(said)].filter(Boolean).join(' / ');
  const { program, spec } = revision;
  const { standing } = machine;
  const file = asStands(machine);
  const card = cardOf(file, program);
  // A window is of one revision; another one's says nothing here.
  const written = seam.windows.find((one) => one.machineId === machine.id && one.revision === revision.number);
  const ends = written ? windowOnDials(file, program, written.window) : [];
  const ownDials = own ? cardOf(file, withOffset(program, own.offset)).dials : [];
  const ownWords = ({ dialId, value }: DialSetting): string => {
    const mine = ownDials.find((one) => one.dialId === dialId);
    return own && mine && Math.abs(mine.value - value) > 1e-9
      ? t('server.cards.own-steps', { name: own.name, value: mine.display })
      : '';
  };
  const toSet = dialsToSet(card, standing?.dials ?? {});
  const changed = (dial: DialSetting) => standing !== null && toSet.includes(dial);
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
  const hand = (label: string, where: string, { text, unit }: Shown): TableCell[] =>
    row(label, where, text, unit, false);
  // Folded only where it is known that they stand.
  const stands = (dial: DialSetting) => density > 0 && !toSet.includes(dial);
  const folded = card.dials.filter(stands);
  const changing = card.dials.filter(changed);
  const glance = glanceWords(say, standing !== null, changing);
  const dialRows = card.dials
    .filter((dial) => !stands(dial))
    .map((dial) =>
      row(
        dial.label,
        [
          dial.where,
          format(dial.level ?? ''),
          format(dial.sense ?? ''),
          missOf(say, dial),
          ownWords(dial),
          ends.length === 0 ? '' : format(dialWindowWords(file, ends, dial.dialId) ?? sayCode('window.stays-as-set')),
        ]
          .filter(Boolean)
          .join('; '),
        dial.display,
        dial.unit,
        changed(dial),
      ),
    );
  const planned = planSeam(questionOf(revision.spec, revision.choice, atMachine(revision.site, file)));
  const plan = planned.ok ? planned.value : undefined;
  const cautions =
    plan?.warnings.filter(({ level }) => level !== 'note').map(({ message }) => hazardText(message)) ?? [];
  const notes = [
    ...(card.cannot ? [format(whyNotWords(file, program, card.cannot))] : []),
    ...cautions,
    ...card.warnings.map((warning) => format(warning.message)),
    ...card.notCarried.map(({ what, nearest }) => t('server.cards.not-on-this-machine', { what, nearest })),
  ];
  const startAndStop = sequenceBlock(say, file, program, spec, card, paper, slots, density);
  const two = dialRows.length > (density > 1 ? 4 : paper === 'A5' ? 8 : 12);
  return {
    pageSize: paper,
    pageMargins: paper === 'A5' ? (density > 1 ? [18, 14, 18, 30] : [24, 24, 24, 34]) : [40, 40, 40, 44],
    info: {
      title: t('server.cards.revision', { file: file.name, spec: spec.name, number: revision.number }),
      creator: 'Fox Tempo',
    },
    defaultStyle: { font: 'Roboto', fontSize: 9, color: '#25211B' },
    content: [
      {
        columns: [
          {
            width: '*',
            stack: [
              {
                columns: [
                  { text: file.name, fontSize: 20, bold: true, width: 'auto' },
                  { text: file.place, alignment: 'right', color: quiet, margin: [0, 9, 0, 0] },
                ],
              },
              { text: `${spec.name}, ${seam.partName}`, fontSize: 12, bold: true, margin: [0, 2, 0, 0] },
            ],
          },
          ...(opens === null ? [] : [opensBlock(say, opens)]),
        ],
        columnGap: 10,
      },
      {
        text: t('server.cards.title', {
          name: inSentence(jointRule(spec.joint).name),
          part: spec.thicknessesMm.map((mm) => say.quantity(mm, 'thickness')).join(' + '),
          joint: positionName(spec.position, spec.joint),
          filler: fillerOf(program.filler).name,
          diameter: wireSizeLabel(program.diameterMm),
          gas: gasName(program.gas),
          mode: modeName(program.mode),
          number: revision.number,
        }),
        color: quiet,
        margin: [0, 1, 0, 1],
      },
      { text: fittedWords(say, file, standing?.feederId, program), color: quiet, margin: [0, 0, 0, 2] },
      { text: glance, color: russet, bold: true, margin: [0, 0, 0, 4] },
      two
        ? {
            columns: halves(dialRows).map((half) => dialTable(say, half, density)),
            columnGap: paper === 'A5' ? 12 : 16,
          }
        : dialTable(say, dialRows, density),
      ...(folded.length > 0
        ? [
            {
              text: t('server.cards.already-set', {
                lines: folded.map(({ label, display, unit }) => `${label} ${display} ${unit}`.trim()),
              }),
              fontSize: small,
              margin: [0, 3, 0, 0],
            } satisfies Content,
          ]
        : []),
      { text: t('server.cards.by-hand'), bold: true, fontSize: density > 1 ? 9 : 11, margin: [0, air, 0, 1] },
      {
        columns: [
          hand(
            t('server.cards.gas-flow'),
            t('server.cards.at-the-nozzle'),
            say.show(program.gasFlowLPerMin, 'gasFlow'),
          ),
          hand(t('server.cards.ctwd'), t('server.cards.tip-to-plate'), say.show(program.ctwdMm, 'shortLength')),
          hand(t('server.cards.travel'), t('server.cards.time-travel'), say.show(program.travelMmPerMin, 'travel')),
        ].map((own) => dialTable(say, [own], density)),
        columnGap: 12,
      },
      ...(program.gun
        ? [
            {
              text: t('server.cards.gun', { gun: gunWords(program.gun) }),
              margin: [6, 2, 0, 0],
            } satisfies Content,
          ]
        : []),
      ...showBlock(say, program, file),
      ...(plan && plan.passes > 1 ? passBlock(say, plan) : []),
      ...startAndStop,
      ...(notes.length > 0 ? [{ ul: notes, fontSize: small, margin: [0, air - 2, 0, 0] } satisfies Content] : []),
      {
        text: t('server.cards.first-arc'),
        bold: true,
        fontSize: density > 1 ? 8.5 : 10,
        margin: [0, air, 0, 1],
      },
      {
        columns: halves(firstArcList(spec.materialGroup, program.mode)).map((half) => ({
          ul: half.map(hazardText),
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
          text: hazardText(hazard('server.cards.legend')),
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

/** The code that a telephone reads, with what it does. Its quiet edge is the paper around it. */
function opensBlock({ t }: Words, opens: string): Column {
  return {
    width: 74,
    stack: [
      { qr: opens, fit: 70, eccLevel: 'M', foreground: '#25211B' },
      { text: t('server.cards.opens-this-card'), fontSize: 5.5, color: quiet, alignment: 'center' },
    ],
  };
}

/** Feeder and gun by their names, and what has to be fitted to them. */
function fittedWords(
  { t, format }: Words,
  file: MachineResource['file'],
  feederId: string | undefined,
  program: Program,
): string {
  const feeder = file.feeders.find(({ id }) => id === feederId) ?? file.feeders[0];
  const { polarity, tipMm, recessMm, rollMm, groove } = neededSetup(program, feeder?.paper?.tipRule);
  const colour = feeder && rollOf(feeder, groove, rollMm);
  return t('server.cards.fitted', {
    feeder: feeder?.label ?? '',
    gun: feeder?.gun ?? '',
    polarity: polarity === 'electrode-positive' ? sayCode('setup.wire-on-plus') : sayCode('setup.wire-on-minus'),
    tip: format(wireSizeLabel(tipMm)),
    recess: amount('shortLength', recessMm, 0),
    rolls: `${groove === 'knurled' ? t('server.cards.knurled') : groove} ${format(wireSizeLabel(rollMm))}${colour === undefined ? '' : ` (${colour})`}`,
  });
}

/** What the machine's own figures should read, so that a wrong wire or line is seen at the first arc. */
function showBlock({ t }: Words, program: Program, file: MachineResource['file']): Content[] {
  const show = shouldShow(program, file);
  if (!show) return [];
  const preset =
    show.presetA === null && show.presetV === null
      ? t('server.cards.display-from-chart')
      : t('server.cards.before-the-arc', {
          preset: [
            ...(show.presetA === null ? [] : [amount('current', show.presetA, 0)]),
            ...(show.presetV === null ? [] : [amount('voltage', show.presetV, 1)]),
          ],
        });
  return [
    {
      text: t('server.cards.display-while-welding', {
        preset,
        current: amount('current', show.runningA, 0),
        voltage: amount('voltage', show.runningV, 1),
        tip: amount('voltage', show.tipV, 1),
        circuit: amount('resistance', file.circuitMOhm),
      }),
      fontSize: 8.5,
      margin: [0, 6, 0, 0],
    },
  ];
}

/** Every pass with its setting, in the order it is laid. */
function passBlock({ t, format, quantity }: Words, { passTable }: Plan): Content[] {
  const head = [
    t('server.cards.pass'),
    t('server.cards.kind'),
    t('server.cards.feed'),
    t('server.cards.current'),
    t('server.cards.travel'),
    t('server.cards.metal'),
    t('server.cards.gun-field'),
  ].map((text) => ({ text, color: quiet }));
  return [
    { text: t('server.cards.passes'), bold: true, fontSize: 10, margin: [0, 8, 0, 2] },
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
            t(`plan.pass-${pass.kind}`),
            quantity(pass.wireFeedMPerMin, 'wireFeed'),
            quantity(pass.meanCurrentA, 'current'),
            quantity(pass.travelMmPerMin, 'travel'),
            quantity(pass.areaMm2, 'area'),
            format(pass.gun),
          ]),
        ],
      },
    },
  ];
}

/** The sequence as a picture in this machine's words, with what the hand does. Nothing where it cannot be made. */
function sequenceBlock(
  say: Words,
  file: MachineResource['file'],
  program: Program,
  { lengthMm, thicknessesMm }: SeamResource['spec'],
  card: Translation,
  paper: CardPaper,
  slots: readonly HeldInSlot[],
  density: CardDensity,
): Content[] {
  const there = sequenceOnMachine(file, program, card);
  const whole = scoreOf(there.asRun, { lengthMm, thicknessMm: thinnerMm(thicknessesMm) }, there.habit);
  if (!whole.ok) return [];
  const lines = sequenceLines(say, whole.value, file, slots);
  const wide = paper === 'A5' ? 352 : 440;
  return [
    {
      unbreakable: true,
      stack: [
        {
          text: [say.t('server.cards.start-and-stop'), there.mode ? `: ${there.mode.label}` : ''].join(''),
          bold: true,
          fontSize: density > 1 ? 9 : 11,
          margin: [0, density > 1 ? 3 : 8, 0, 2],
        },
        ...(density > 1
          ? [
              {
                columns: [
                  { svg: sequencePicture(say, whole.value, there), width: wide * (density > 2 ? 0.44 : 0.52) },
                  { ol: lines, fontSize: density > 2 ? 6 : 6.5, width: '*' },
                ],
                columnGap: 10,
              } satisfies Content,
            ]
          : [
              {
                svg: sequencePicture(say, whole.value, there),
                width: wide * (density === 1 ? 0.8 : 1),
              } satisfies Content,
              { ol: lines, fontSize: 7.5, margin: [0, 2, 0, 0] } satisfies Content,
            ]),
      ],
    },
  ];
}

/** More of them are no glance any more. */
const mostNamed = 5;

/** What changes, in one glance. */
function glanceWords({ t }: Words, isKnown: boolean, changing: readonly DialSetting[]): string {
  if (!isKnown) return t('server.cards.state-unknown');
  if (changing.length === 0) return t('server.cards.no-change');
  if (changing.length > mostNamed) return t('server.cards.lines-change-marked', { changing: changing.length });
  const lines = changing
    .map(({ label, display, unit }) => t('server.cards.to', { label, display, unit }).trim())
    .join(', ');
  return `${t('server.cards.lines-change', { changing: changing.length })}: ${lines}.`;
}

function halves<T>(list: readonly T[]): [T[], T[]] {
  const middle = Math.ceil(list.length / 2);
  return [list.slice(0, middle), list.slice(middle)];
}

function dialTable({ t }: Words, body: TableCell[][], density: CardDensity): Content {
  const padding = density > 2 ? 1 : 2.5;
  return {
    table: {
      widths: [6, '*', 'auto'],
      body: body.length > 0 ? body : [['', t('server.cards.dials-unknown'), '']],
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

function missOf({ t }: Words, { error, quantity, clipped }: DialSetting): string | undefined {
  if (error === undefined) return undefined;
  const { noticed, unit, digits } = quantityFacts(quantity as DialQuantity);
  if (Math.abs(error) < noticed && !clipped) return undefined;
  return t('server.cards.misses-by', {
    error: signed('plain', error, digits),
    unit: unit === '' ? absent : unit,
  });
}
