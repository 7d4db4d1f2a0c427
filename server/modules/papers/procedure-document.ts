/** The procedure sheet of one revision on one machine: what it is, its ranges, what the machine is set to, and what it stands on. */
import { atMachine, questionOf } from '@fox-tempo/core/site';
import { amount } from '@fox-tempo/core/base/messages';
import { type MachineResource, type Revision, type SeamResource, type TrialRow } from '@fox-tempo/contract';
import { cardOf } from '@fox-tempo/core/machine/dials';
import { asStands } from '@fox-tempo/core/machine/teaching';
import { jointRule, planSeam } from '@fox-tempo/core/setting/plan';
import { procedureSheet, type ProcedureSection } from '@fox-tempo/core/evidence/procedure';
import type { UnitSystem } from '@fox-tempo/core/base/units';
import type { Language, Words } from '@fox-tempo/words';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import { dayIn } from '@fox-tempo/core/base/calendar';
import { jointPicture } from './joint-picture.ts';
import { headCells, heading, quiet, recordPage, ruled, russet } from './paper-parts.ts';

export interface SheetContent {
  readonly seam: SeamResource;
  readonly revision: Revision;
  readonly machine: MachineResource;
  readonly shopName: string;
  /** Passed trials of this revision on this machine, the newest first. */
  readonly passed: readonly TrialRow[];
  readonly paper: 'A4' | 'LETTER';
  readonly language: Language;
  readonly units: UnitSystem;
  readonly printedAt: Date;
  readonly timeZone: string;
}

/** More evidence than this is counted, not listed. */
const mostListed = 8;

export function procedureDocument(content: SheetContent, say: Words): TDocumentDefinitions {
  const { seam, revision, machine, paper, passed } = content;
  const { spec, choice, program } = revision;
  const { t } = say;
  const file = asStands(machine);
  const asked = questionOf(spec, choice, atMachine(revision.site, file));
  const planned = planSeam(asked);
  const window = seam.windows.find((one) => one.machineId === machine.id && one.revision === revision.number);
  const issued = seam.issued.find((one) => one.machineId === machine.id && one.revision === revision.number);
  const day = (at: string) => dayIn(content.timeZone, new Date(at));
  const title = t('server.papers.procedure.title', { seam: spec.name, machine: file.name, number: revision.number });
  const sections = planned.ok
    ? procedureSheet({ seam: asked.seam, program, plan: planned.value, window: window?.window })
    : [];
  return {
    ...recordPage(paper, title, t('procedure.no-qualification')),
    content: [
      {
        columns: [
          { text: t('server.papers.procedure-sheet'), fontSize: 18, bold: true, width: '*' },
          {
            text: [
              { text: `${content.shopName}\n`, bold: true },
              { text: `${seam.id} / ${machine.id} / r${revision.number}`, color: quiet },
            ],
            alignment: 'right',
            width: 220,
          },
        ],
      },
      { text: `${spec.name}, ${seam.partName}`, fontSize: 12, bold: true, margin: [0, 2, 0, 0] },
      {
        text: t('server.papers.written-by-printed', {
          by: revision.createdBy,
          at: day(revision.createdAt),
          printed: dayIn(content.timeZone, content.printedAt),
          machine: file.name,
        }),
        color: quiet,
      },
      { text: t('procedure.no-qualification'), color: russet, bold: true, margin: [0, 3, 0, 2] },
      {
        columns: [
          { width: '*', stack: sections.slice(0, 1).map((one) => part(say, one)) },
          planned.ok
            ? {
                width: 200,
                margin: [0, 10, 0, 0],
                svg: jointPicture(
                  {
                    joint: spec.joint,
                    position: spec.position,
                    thicknessesMm: spec.thicknessesMm,
                    gapMm: spec.gapMm,
                    legMm: jointRule(spec.joint).isFillet ? planned.value.legMm : null,
                    areaMm2: planned.value.areaMm2,
                    preparation: spec.preparation,
                    places: planned.value.passTable.map(({ place }) => place),
                  },
                  say.quantity(10, 'shortLength', 0),
                ),
              }
            : { width: 200, text: planned.issues.map(({ message }) => say.format(message)).join(' ') },
        ],
        columnGap: 14,
      },
      { columns: sections.slice(1, 3).map((one) => ({ width: '*', stack: [part(say, one)] })), columnGap: 14 },
      {
        columns: [
          { width: '*', stack: sections.slice(3).map((one) => part(say, one)) },
          { width: '*', stack: dialsPart(say, content) },
        ],
        columnGap: 14,
      },
      ...(planned.ok && planned.value.passes > 1 ? passPart(say, planned.value.passTable) : []),
      heading(t('server.papers.procedure.evidence')),
      {
        ul: [
          window
            ? t('server.papers.procedure.window', {
                by: window.by,
                at: day(window.at),
                reason: window.reason,
                share: amount('percent', window.failureBelow95 * 100, 1),
              })
            : t('server.papers.no-window'),
          issued
            ? t('server.papers.procedure.issued', { by: issued.by, at: day(issued.at), reason: issued.reason })
            : t('server.papers.not-issued'),
          passed.length === 0
            ? t('server.papers.no-trial-passed')
            : t('server.papers.trials-passed', { count: passed.length }),
          ...passed.slice(0, mostListed).map((trial) =>
            t('server.papers.trial-line', {
              at: day(trial.at),
              welder: trial.weldedBy,
              how: trial.byEyeOnly ? t('server.papers.by-eye') : t('server.papers.with-a-test'),
              id: trial.id.slice(-6),
            }),
          ),
        ],
      },
      { text: t('procedure.essential-and-ranges'), color: quiet, fontSize: 7.5, margin: [0, 8, 0, 0] },
    ],
  };
}

function part({ t, format }: Words, { title, rows }: ProcedureSection): Content {
  return {
    unbreakable: true,
    stack: [
      heading(format(title)),
      {
        layout: ruled,
        table: {
          widths: [70, '*', 74],
          body: [
            headCells(['', t('procedure.as-set'), t('procedure.range')]),
            ...rows.map(({ label, value, range, isEssential }) => [
              { text: `${isEssential ? '● ' : ''}${format(label)}`, color: quiet },
              { text: format(value), bold: true },
              { text: range === null ? '' : format(range), fontSize: 8 },
            ]),
          ],
        },
      },
    ],
  };
}

function dialsPart({ t }: Words, { machine, revision }: SheetContent): Content[] {
  const { dials } = cardOf(asStands(machine), revision.program);
  if (dials.length === 0) return [];
  return [
    heading(t('server.papers.procedure.dials', { machine: machine.file.name })),
    {
      layout: ruled,
      table: {
        widths: ['*', 'auto'],
        body: dials.map(({ label, display, unit }) => [
          { text: label, color: quiet },
          { text: `${display} ${unit}`.trim(), bold: true, alignment: 'right' as const },
        ]),
      },
    },
  ];
}

function passPart(
  { t, format, quantity }: Words,
  passes: Extract<ReturnType<typeof planSeam>, { ok: true }>['value']['passTable'],
): Content[] {
  return [
    heading(t('server.cards.passes')),
    {
      layout: ruled,
      table: {
        widths: ['auto', 'auto', 'auto', 'auto', 'auto', 'auto', 'auto', '*'],
        body: [
          headCells([
            t('server.cards.pass'),
            t('server.cards.kind'),
            t('server.cards.feed'),
            t('server.cards.current'),
            t('server.papers.volts'),
            t('server.cards.travel'),
            t('server.cards.metal'),
            t('server.cards.gun-field'),
          ]),
          ...passes.map((pass) => [
            String(pass.pass),
            t(`plan.pass-${pass.kind}`),
            quantity(pass.wireFeedMPerMin, 'wireFeed'),
            quantity(pass.meanCurrentA, 'current'),
            quantity(pass.voltageV, 'voltage'),
            quantity(pass.travelMmPerMin, 'travel'),
            quantity(pass.areaMm2, 'area'),
            format(pass.gun),
          ]),
        ],
      },
    },
  ];
}
