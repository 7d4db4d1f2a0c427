/** The day's run for the wall: a lane for each machine, and under it what is welded when, with a box to tick. */
import { asStands } from '@fox-tempo/core/machine/teaching';
import { type MachineResource } from '@fox-tempo/contract';
import {
  barsOn,
  hoursMinutes,
  planDay,
  usualShifts,
  type DayPlan,
  bareJobs,
  type NamedJob,
} from '@fox-tempo/core/day/plan';
import type { UnitSystem } from '@fox-tempo/core/base/units';
import type { Language, Words } from '@fox-tempo/words';
import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import { clockIn, dayIn } from '@fox-tempo/core/base/calendar';
import { headCells, heading, ink, line, quiet, recordPage, ruled, russet } from './paper-parts.ts';

export interface DayContent {
  readonly shopName: string;
  readonly jobs: readonly NamedJob[];
  /** Those that are there. */
  readonly machines: readonly MachineResource[];
  readonly fixed: Readonly<Record<string, readonly string[]>>;
  readonly paper: 'A4' | 'LETTER';
  readonly language: Language;
  readonly units: UnitSystem;
  readonly printedAt: Date;
  readonly timeZone: string;
}

const box = `<svg viewBox="0 0 10 10"><rect x="0.8" y="0.8" width="8.4" height="8.4" fill="none" stroke="${ink}" stroke-width="0.9"/></svg>`;

export function runPlanDocument(content: DayContent, say: Words): TDocumentDefinitions {
  const { t } = say;
  const { jobs, machines, fixed, paper, printedAt, timeZone } = content;
  const plan = planDay(
    bareJobs(jobs),
    machines.map((machine) => ({ id: machine.id, file: asStands(machine), state: machine.standing })),
    fixed,
  );
  const jobOf = (id: string) => jobs.find((job) => job.id === id);
  const title = t('server.papers.run-plan.title', { day: dayIn(timeZone, printedAt) });
  const left = plan.unplaced.flatMap((id) => jobOf(id) ?? []);
  return {
    ...recordPage(paper, title, t('server.papers.run-plan.hours', { at: momentIn(timeZone, printedAt) })),
    pageOrientation: 'landscape',
    content: [
      {
        columns: [
          { text: title, fontSize: 18, bold: true },
          { text: content.shopName, bold: true, alignment: 'right', width: 240 },
        ],
      },
      {
        text: t('server.papers.changeovers-and-late', {
          setup: say.quantity(plan.setupMinutes, 'minutes', 0),
          late: say.quantity(plan.lateMinutes, 'minutes', 0),
        }),
        color: quiet,
        margin: [0, 2, 0, 6],
      },
      { svg: lanes(plan, machines, jobOf), width: paper === 'A4' ? 760 : 710 },
      ...(left.length > 0
        ? [
            {
              text: [
                { text: `${t('view.run-plan.no-machine')}: `, bold: true },
                left.map(({ name, order }) => `${name}, ${order}`).join('; '),
              ],
              color: russet,
              margin: [0, 6, 0, 0],
            } satisfies Content,
          ]
        : []),
      ...machines.flatMap((machine): Content[] => {
        const bars = barsOn(plan, machine.id);
        if (bars.length === 0) return [];
        return [
          heading(`${machine.file.name}, ${machine.file.place}`),
          {
            layout: ruled,
            table: {
              headerRows: 1,
              dontBreakRows: true,
              widths: [14, 70, '*', 90, 50, 60, 60],
              body: [
                headCells([
                  '',
                  t('view.run-plan.column-time'),
                  t('view.run-plan.seam'),
                  t('view.run-plan.order'),
                  t('view.run-plan.pieces'),
                  t('view.run-plan.change'),
                  t('view.run-plan.late-head'),
                ]),
                ...bars.map((bar): TableCell[] => {
                  const job = jobOf(bar.jobId);
                  return [
                    { svg: box, width: 8, margin: [0, 1.5, 0, 0] as [number, number, number, number] },
                    `${hoursMinutes(bar.fromMinute)} – ${hoursMinutes(bar.toMinute)}`,
                    { text: job?.name ?? bar.jobId, bold: true },
                    job?.order ?? '',
                    String(job?.quantity ?? ''),
                    bar.setupMinutes === 0 ? '–' : say.quantity(bar.setupMinutes, 'minutes', 0),
                    bar.lateMinutes === 0
                      ? '–'
                      : { text: say.quantity(bar.lateMinutes, 'minutes', 0), color: russet, bold: true },
                  ];
                }),
              ],
            },
          },
        ];
      }),
    ],
  };
}

const laneHeight = 30;
const labelWidth = 70;
const wide = 760;

/** Lanes over the hours of work: changeovers hatched by a lighter ground, work outlined, shift ends as lines. */
function lanes(
  plan: DayPlan,
  machines: readonly MachineResource[],
  jobOf: (id: string) => NamedJob | undefined,
): string {
  const end = Math.max(60, ...plan.bars.map(({ toMinute }) => toMinute));
  const x = (minute: number) => labelWidth + ((wide - labelWidth - 2) * minute) / end;
  const drawn = machines.flatMap((machine, lane) => {
    const top = lane * laneHeight;
    return [
      `<text x="0" y="${top + 18}" font-size="10" font-weight="bold" fill="${ink}">${escaped(machine.file.name)}</text>`,
      `<rect x="${labelWidth}" y="${top + 2}" width="${wide - labelWidth - 2}" height="${laneHeight - 6}" fill="none" stroke="${line}" stroke-width="0.6"/>`,
      ...barsOn(plan, machine.id).flatMap((bar) => {
        const job = jobOf(bar.jobId);
        const width = x(bar.toMinute) - x(bar.fromMinute);
        const letters = Math.floor(width / 4.4);
        return [
          ...(bar.setupMinutes > 0
            ? [
                `<rect x="${x(bar.fromMinute - bar.setupMinutes)}" y="${top + 2}" width="${x(bar.fromMinute) - x(bar.fromMinute - bar.setupMinutes)}" height="${laneHeight - 6}" fill="#F0E0B8"/>`,
              ]
            : []),
          `<rect x="${x(bar.fromMinute)}" y="${top + 4}" width="${width}" height="${laneHeight - 10}" fill="${bar.lateMinutes > 0 ? '#F6D9D5' : '#DCEAE2'}" stroke="${bar.lateMinutes > 0 ? russet : '#2C6653'}" stroke-width="0.8"/>`,
          ...(letters > 2
            ? [
                `<text x="${x(bar.fromMinute) + 2}" y="${top + 16}" font-size="7.5" fill="${ink}">${escaped((job?.name ?? bar.jobId).slice(0, letters))}</text>`,
              ]
            : []),
        ];
      }),
    ];
  });
  const shifts = Array.from(
    { length: Math.floor(end / usualShifts.minutes) },
    (_, at) => (at + 1) * usualShifts.minutes,
  );
  const high = machines.length * laneHeight;
  return `<svg viewBox="0 0 ${wide} ${high + 10}">${drawn.join('')}${shifts
    .map(
      (minute) =>
        `<line x1="${x(minute)}" y1="0" x2="${x(minute)}" y2="${high}" stroke="${quiet}" stroke-width="1.2"/>`,
    )
    .join(
      '',
    )}<text x="${labelWidth}" y="${high + 8}" font-size="7" fill="${quiet}">0:00</text><text x="${wide - 24}" y="${high + 8}" font-size="7" fill="${quiet}">${hoursMinutes(end)}</text></svg>`;
}

function escaped(text: string): string {
  return text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;');
}

function momentIn(timeZone: string, moment: Date): string {
  return `${dayIn(timeZone, moment)} ${clockIn(timeZone, moment)}`;
}
