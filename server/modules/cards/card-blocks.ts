/** Blocks of a printed card: what opens it, the display, passes and the trigger sequence. */
import type { CardPaper, MachineResource, SeamResource } from '@fox-tempo/contract';
import { amount } from '@fox-tempo/core/base/messages';
import type { HeldInSlot } from '@fox-tempo/core/machine/description';
import { type DialSetting, shouldShow, type Translation } from '@fox-tempo/core/machine/dials';
import { type Plan, thinnerMm } from '@fox-tempo/core/setting/plan';
import type { Program } from '@fox-tempo/core/setting/program';
import { scoreOf, sequenceOnMachine } from '@fox-tempo/core/weld/score';
import type { Words } from '@fox-tempo/words';
import type { Column, Content } from 'pdfmake/interfaces.js';
import { sequenceLines } from './sequence-lines.ts';
import { sequencePicture } from './sequence-picture.ts';

/** How close a card is set, so that it stays on one page: as it likes; lines that stand folded and less air; start and stop beside their picture too. */
export const cardDensities = [0, 1, 2, 3] as const;

export type CardDensity = (typeof cardDensities)[number];

/** The code that a telephone reads, with what it does. Its quiet edge is the paper around it. */
export function opensBlock({ t }: Words, opens: string): Column {
  return {
    width: 74,
    stack: [
      { qr: opens, fit: 70, eccLevel: 'M', foreground: '#25211B' },
      { text: t('server.cards.opens-this-card'), fontSize: 5.5, color: quiet, alignment: 'center' },
    ],
  };
}

/** What the machine's own figures should read, so that a wrong wire or line is seen at the first arc. */
export function showBlock({ t }: Words, program: Program, file: MachineResource['file']): Content[] {
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
export function passBlock({ t, format, quantity }: Words, { passTable }: Plan): Content[] {
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
export function sequenceBlock(
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

export const quiet = '#6A6053';

export const line = '#DCD2BF';

/** More of them are no glance any more. */
const mostNamed = 5;

/** What changes, in one glance. */
export function glanceWords({ t }: Words, isKnown: boolean, changing: readonly DialSetting[]): string {
  if (!isKnown) return t('server.cards.state-unknown');
  if (changing.length === 0) return t('server.cards.no-change');
  if (changing.length > mostNamed) return t('server.cards.lines-change-marked', { changing: changing.length });
  const lines = changing
    .map(({ label, display, unit }) => t('server.cards.to', { label, display, unit }).trim())
    .join(', ');
  return `${t('server.cards.lines-change', { changing: changing.length })}: ${lines}.`;
}
