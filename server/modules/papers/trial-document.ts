/** The record of a trial: what was set, what was found against its limits, whether it stood inside the procedure, and its photographs. */
import { coldPlateC } from '@fox-tempo/core/setting/plan';
import { message as phraseOf } from '@fox-tempo/core/base/messages';
import { type MachineResource, type Revision, type SeamResource, type Trial } from '@fox-tempo/contract';
import { fillerOf, gasName, wireSizeLabel } from '@fox-tempo/core/metal/consumables';
import { displayed } from '@fox-tempo/core/machine/description';
import { asStands } from '@fox-tempo/core/machine/teaching';
import { outsideProcedure } from '@fox-tempo/core/evidence/procedure';
import {
  lineNames,
  measuredFigure,
  measuredNames,
  severityNames,
  symptoms,
  testNames,
  timedFigures,
  trialVerdict,
  type SymptomCode,
} from '@fox-tempo/core/evidence/trial';
import type { UnitSystem } from '@fox-tempo/core/base/units';
import type { Language, Words } from '@fox-tempo/words';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import { dayIn } from '@fox-tempo/core/base/calendar';
import { heading, quiet, recordPage, ruled, russet } from './paper-parts.ts';

export interface RecordContent {
  readonly trial: Trial;
  readonly seam: SeamResource;
  readonly revision: Revision;
  readonly machine: MachineResource;
  readonly shopName: string;
  /** As data addresses. */
  readonly photos: readonly string[];
  readonly paper: 'A4' | 'LETTER';
  readonly language: Language;
  readonly units: UnitSystem;
  readonly printedAt: Date;
  readonly timeZone: string;
}

/** Shapes of our own: the font has none. */
const marks = {
  pass: `<svg viewBox="0 0 10 10"><path d="M1 5.5L4 8.5L9 1.5" fill="none" stroke="#2C6653" stroke-width="1.6"/></svg>`,
  fail: `<svg viewBox="0 0 10 10"><path d="M1.5 1.5L8.5 8.5M8.5 1.5L1.5 8.5" fill="none" stroke="${russet}" stroke-width="1.6"/></svg>`,
  open: `<svg viewBox="0 0 10 10"><path d="M1.5 5H8.5" fill="none" stroke="${quiet}" stroke-width="1.6"/></svg>`,
} as const;
const capital = (text: string) => text.charAt(0).toLocaleUpperCase() + text.slice(1);

export function trialDocument(content: RecordContent, say: Words): TDocumentDefinitions {
  const { trial, seam, revision, machine, paper, photos } = content;
  const { t, format } = say;
  const { body } = trial;
  const file = asStands(machine);
  const verdict = trialVerdict(trial.limits, body);
  const timed = body.timing && timedFigures(body.timing, {});
  const window = seam.windows.find((one) => one.machineId === machine.id && one.revision === revision.number);
  const outside = outsideProcedure(
    revision.program,
    coldPlateC,
    {
      loaded: body.loaded,
      dials: body.dials,
      travelMmPerMin: timed?.travelMmPerMin,
      ctwdMm: body.ctwdMm,
      plateC: body.plateC,
    },
    window && { machine: file, window: window.window },
  );
  const title = t('server.papers.trial.title', {
    seam: trial.seamName,
    at: dayIn(content.timeZone, new Date(trial.at)),
  });
  const seen = Object.entries(body.symptoms).filter(([, { answer }]) => answer === 'yes');
  const clean = Object.values(body.symptoms).filter(({ answer }) => answer === 'no').length;
  const { measured } = body;
  const figures: (readonly [string, string])[] = [
    ...(measured.legsMm
      ? [[format(lineNames.legs), measured.legsMm.map((mm) => say.quantity(mm, 'shortLength', 1)).join(' / ')] as const]
      : []),
    ...measuredNames.flatMap((name) => {
      const value = measured[name];
      const { name: said, of, step } = measuredFigure(name);
      return value === undefined ? [] : [[format(said), say.quantity(value, of, step < 1 ? 1 : 0)] as const];
    }),
    ...(timed ? [[t('view.trials.travel'), say.quantity(timed.travelMmPerMin, 'travel', 0)] as const] : []),
    ...(body.displayed?.currentA === undefined
      ? []
      : [[t('view.trials.displayed-current'), say.quantity(body.displayed.currentA, 'current', 0)] as const]),
    ...(body.displayed?.voltageV === undefined
      ? []
      : [[t('view.trials.displayed-voltage'), say.quantity(body.displayed.voltageV, 'voltage', 1)] as const]),
    ...(body.ctwdMm === undefined
      ? []
      : [[t('server.cards.ctwd'), say.quantity(body.ctwdMm, 'shortLength', 0)] as const]),
    ...(body.plateC === undefined
      ? []
      : [[format(phraseOf('procedure.plate-at-start')), say.quantity(body.plateC, 'temperature', 0)] as const]),
  ];
  const setAs = file.dials.flatMap(({ id, label, scale, unit }) => {
    const value = body.dials[id];
    return value === undefined ? [] : [[label, `${displayed(scale, value)} ${unit}`.trim()] as const];
  });
  return {
    ...recordPage(paper, title, t('procedure.no-qualification')),
    content: [
      {
        columns: [
          { text: t('server.papers.trial.heading'), fontSize: 18, bold: true },
          {
            text: [
              { text: `${content.shopName}\n`, bold: true },
              { text: trial.id, color: quiet },
            ],
            alignment: 'right',
            width: 240,
          },
        ],
      },
      { text: `${trial.seamName}, ${trial.partName}`, fontSize: 12, bold: true, margin: [0, 2, 0, 0] },
      {
        text: t('server.papers.trial.welded', {
          welder: trial.weldedBy,
          machine: trial.machineName,
          at: dayIn(content.timeZone, new Date(trial.at)),
          number: trial.revision,
          by: trial.recordedBy,
        }),
        color: quiet,
      },
      {
        text: [
          t(`server.papers.verdict-${verdict.verdict}`),
          verdict.verdict === 'pass' && verdict.byEyeOnly ? ` (${t('server.papers.by-eye')})` : '',
        ],
        fontSize: 13,
        bold: true,
        color: verdict.verdict === 'fail' ? russet : undefined,
        margin: [0, 6, 0, 0],
      },
      ...(outside.length > 0
        ? [
            {
              text: [
                { text: `${t('server.papers.outside-the-procedure')} `, bold: true },
                outside.map(format).join(' '),
              ],
              color: russet,
              margin: [0, 3, 0, 0],
            } satisfies Content,
          ]
        : [{ text: t('server.papers.inside-the-procedure'), color: quiet, margin: [0, 3, 0, 0] } satisfies Content]),
      {
        columns: [
          {
            width: '*',
            stack: [
              heading(t('server.papers.against-its-limits', { level: trial.limits.level })),
              {
                layout: ruled,
                table: {
                  widths: [10, '*'],
                  body: verdict.lines.map(({ line: code, verdict: one, words }) => [
                    { svg: marks[one], width: 7, margin: [0, 1.5, 0, 0] as [number, number, number, number] },
                    { text: [{ text: `${capital(format(lineNames[code]))}: `, color: quiet }, format(words)] },
                  ]),
                },
              },
              heading(t('server.papers.trial.looked-at')),
              {
                ul: [
                  ...seen.map(
                    ([code, { severity }]) =>
                      `${format(symptoms[code as SymptomCode].name)}, ${format(severityNames[severity ?? 2])}`,
                  ),
                  t('view.trials.absent-count', { count: clean }),
                  ...body.tests.map(
                    ({ kind, result }) =>
                      `${format(testNames[kind])}: ${result === 'pass' ? t('view.trials.held') : t('view.trials.broke')}`,
                  ),
                  ...(body.note === '' ? [] : [`“${body.note}”`]),
                ],
              },
            ],
          },
          {
            width: '*',
            stack: [
              heading(t('server.papers.set-and-measured')),
              {
                layout: ruled,
                table: {
                  widths: ['*', 'auto'],
                  body: [
                    ...setAs,
                    ...figures,
                    [
                      t('server.papers.loaded'),
                      body.loaded
                        ? [
                            fillerOf(body.loaded.filler).name,
                            wireSizeLabel(body.loaded.diameterMm),
                            gasName(body.loaded.gas),
                          ]
                            .map(format)
                            .join(', ')
                        : t('server.papers.not-noted'),
                    ] as const,
                  ].map(([label, value]) => [
                    { text: capital(label), color: quiet },
                    { text: value, bold: true, alignment: 'right' as const },
                  ]),
                },
              },
              ...(trial.corrected.length > 0
                ? [
                    {
                      text: t('view.trials.corrected-times', { count: trial.corrected.length }),
                      color: quiet,
                      margin: [0, 4, 0, 0],
                    } satisfies Content,
                  ]
                : []),
            ],
          },
        ],
        columnGap: 16,
      },
      ...(photos.length > 0
        ? [
            heading(t('server.papers.photographs')),
            {
              columns: photos.map((image) => ({ image, fit: [120, 120] as [number, number] })),
              columnGap: 8,
            } satisfies Content,
          ]
        : []),
    ],
  };
}
