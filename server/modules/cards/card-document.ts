/** The dial card as a printed page, A5, A4 or Letter: one line a dial, large figures, readable with a glove on it. */
import type { CardPaper, MachineResource, SeamResource } from '@fox-tempo/contract';
import { dayIn } from '@fox-tempo/core/base/calendar';
import { absent, amount, inSentence, type Phrase, message as sayCode, signed } from '@fox-tempo/core/base/messages';
import type { UnitSystem } from '@fox-tempo/core/base/units';
import { dialWindowWords, type Offset, windowOnDials, withOffset } from '@fox-tempo/core/evidence/window';
import { type DialQuantity, type HeldInSlot, quantityFacts } from '@fox-tempo/core/machine/description';
import { cardOf, type DialSetting, whyNotWords } from '@fox-tempo/core/machine/dials';
import { dialsToSet, firstArcList, neededSetup, rollOf } from '@fox-tempo/core/machine/setup';
import { asStands } from '@fox-tempo/core/machine/teaching';
import { fillerOf, gasName, wireSizeLabel } from '@fox-tempo/core/metal/consumables';
import { gunWords, jointRule, modeName, planSeam, positionName } from '@fox-tempo/core/setting/plan';
import type { Program } from '@fox-tempo/core/setting/program';
import { atMachine, questionOf } from '@fox-tempo/core/site';
import { hazard, type Language, type Shown, type Words } from '@fox-tempo/words';
import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import {
  type CardDensity,
  glanceWords,
  line,
  opensBlock,
  passBlock,
  quiet,
  sequenceBlock,
  showBlock,
} from './card-blocks.ts';

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
