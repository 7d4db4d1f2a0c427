/** Cylinders and spools: what is left as arc minutes and parts of a chosen seam, read anew or moved in place. */
import { hoursOf } from '@fox-tempo/core/base/units';
import { useKept } from '../../data/queries.ts';
import { absent, amount } from '@fox-tempo/core/base/messages';
import { hazard } from '@fox-tempo/words';
import { fixed, t, format, named } from '../../lib/words.ts';
import { Box, Heading } from '@chakra-ui/react';
import type { MachineResource, SeamResource, Stock } from '@fox-tempo/contract';
import { fillerOf, gasName, wireSizeLabel, sameWire } from '@fox-tempo/core/metal/consumables';
import { cylinderOutlook, isWeighed, type Outlook, spoolOutlook } from '@fox-tempo/core/day/consumption';
import { useMemo, useState } from 'react';
import { measureSeam } from '../../data/part-use.ts';
import { shopTime } from '../../lib/time.ts';
import { Action } from '../../ui/action.tsx';
import { HazardText } from '../../ui/hazard-text.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { CylinderForm, SpoolForm } from './stock-forms.tsx';

export function StockShelf({
  loaded,
  machines,
  seams,
}: {
  readonly loaded: Stock;
  readonly machines: readonly MachineResource[];
  readonly seams: readonly SeamResource[];
}) {
  const [stock, setStock] = useKept('stock', loaded);
  const [adding, setAdding] = useState<'cylinder' | 'spool' | null>(null);
  const measured = useMemo(() => seams.flatMap(measureSeam), [seams]);
  // A form that has been saved closes itself, and not the one that was opened while it was on its way.
  const close = (form: 'cylinder' | 'spool') => setAdding((now) => (now === form ? null : now));
  return (
    <>
      <Notice level="hazard" word={t('view.library.cylinders-list')}>
        <HazardText said={hazard('view.library.cylinder-caution')} />
      </Notice>
      <Panel
        title={t('view.library.cylinders')}
        aside={
          <Action kind="quiet" my="-2" onClick={() => setAdding('cylinder')}>
            {t('view.library.add-a-cylinder')}
          </Action>
        }
      >
        {adding === 'cylinder' && (
          <CylinderForm
            cylinder={null}
            machines={machines}
            onDone={(cylinder) => {
              if (cylinder) setStock({ ...stock, cylinders: [...stock.cylinders, cylinder] });
              close('cylinder');
            }}
          />
        )}
        {stock.cylinders.length === 0 && <Notice level="note">{t('view.library.no-cylinder')}</Notice>}
        {stock.cylinders.map((cylinder) => (
          <Row
            key={cylinder.id}
            title={cylinder.name}
            line={`${format(gasName(cylinder.gas))} · ${whereWords(cylinder.machineId, machines)}`}
            content={
              isWeighed(cylinder.gas)
                ? format(amount('spoolMass', cylinder.massKg ?? 0, 1))
                : t('view.library.in', {
                    pressure: amount('pressure', cylinder.pressureBar ?? 0, 0),
                    volume: amount('volume', cylinder.volumeL),
                  })
            }
            read={`${named(cylinder.convention)}, ${shopTime(cylinder.changedAt)}, ${cylinder.changedBy}`}
            outlooks={measured
              .filter(({ seam }) => seam.revision?.program.gas === cylinder.gas)
              .map(({ seam, use }) => ({ seam, outlook: cylinderOutlook(cylinder, use), unit: 'L' }))}
            form={(close) => (
              <CylinderForm
                cylinder={cylinder}
                machines={machines}
                onDone={(next) => {
                  if (next)
                    setStock({ ...stock, cylinders: stock.cylinders.map((one) => (one.id === next.id ? next : one)) });
                  close();
                }}
              />
            )}
          />
        ))}
      </Panel>
      <Panel
        title={t('view.library.spools')}
        aside={
          <Action kind="quiet" my="-2" onClick={() => setAdding('spool')}>
            {t('view.library.add-a-spool')}
          </Action>
        }
      >
        {adding === 'spool' && (
          <SpoolForm
            spool={null}
            machines={machines}
            onDone={(spool) => {
              if (spool) setStock({ ...stock, spools: [...stock.spools, spool] });
              close('spool');
            }}
          />
        )}
        {stock.spools.length === 0 && <Notice level="note">{t('view.library.no-spool')}</Notice>}
        {stock.spools.map((spool) => (
          <Row
            key={spool.id}
            title={spool.name}
            line={`${format(fillerOf(spool.filler).name)}, ${format(wireSizeLabel(spool.diameterMm))} · ${whereWords(spool.machineId, machines)}`}
            content={format(amount('spoolMass', spool.massKg, 2))}
            read={`${shopTime(spool.changedAt)}, ${spool.changedBy}`}
            outlooks={measured
              .filter(({ seam }) => seam.revision && sameWire(seam.revision.program, spool))
              .map(({ seam, use }) => ({ seam, outlook: spoolOutlook(spool, use), unit: 'kg' }))}
            form={(close) => (
              <SpoolForm
                spool={spool}
                machines={machines}
                onDone={(next) => {
                  if (next)
                    setStock({ ...stock, spools: stock.spools.map((one) => (one.id === next.id ? next : one)) });
                  close();
                }}
              />
            )}
          />
        ))}
      </Panel>
    </>
  );
}

function whereWords(machineId: string | null, machines: readonly MachineResource[]): string {
  const machine = machines.find((one) => one.id === machineId);
  return machine ? t('view.library.on', { file: machine.file.name }) : t('view.library.on-the-shelf');
}

interface SeamOutlook {
  readonly seam: SeamResource;
  readonly outlook: Outlook;
  readonly unit: string;
}

const levels = {
  plenty: { sign: '●', colour: 'spruce' },
  low: { sign: '◇', colour: 'ochre' },
  'not enough for one part': { sign: '✕', colour: 'crimson' },
} as const;

function Row({
  title,
  line,
  content,
  read,
  outlooks,
  form,
}: {
  readonly title: string;
  readonly line: string;
  readonly content: string;
  readonly read: string;
  readonly outlooks: readonly SeamOutlook[];
  readonly form: (close: () => void) => React.ReactNode;
}) {
  const [open, setOpen] = useState<'edit' | 'sums' | null>(null);
  return (
    <Box as="section" aria-label={title} borderTopWidth="1px" borderColor="line" py="2">
      <Box display="grid" gridTemplateColumns={{ base: '1fr', md: '220px 150px 1fr auto' }} gap="3" alignItems="start">
        <Box>
          <Heading as="h3" fontSize="body" fontWeight={600}>
            {title}
          </Heading>
          <Box fontSize="small" color="quiet">
            {line}
          </Box>
        </Box>
        <Box>
          <Box textStyle="figure">{content}</Box>
          <Box textStyle="label" color="quiet">
            {read}
          </Box>
        </Box>
        <Box fontSize="small">
          {outlooks.length === 0 ? (
            <Box color="quiet">{t('view.library.no-use')}</Box>
          ) : (
            outlooks.map(({ seam, outlook, unit }) => (
              <Box key={seam.id} py="0.5">
                <Box as="span" color={levels[outlook.words].colour} fontWeight={600}>
                  {t('view.library.parts-left', {
                    sign: levels[outlook.words].sign,
                    partsLeft: outlook.partsLeft ?? '∞',
                    spec: seam.spec.name,
                  })}
                </Box>
                {' · '}
                {t('view.library.of-arc', {
                  arcMinutes: minutes(outlook.arcMinutes),
                  words: outlook.words === 'plenty' ? absent : named(outlook.words),
                })}
                {open === 'sums' && (
                  <Box textStyle="label" color="quiet">
                    {t('view.library.because-a-part', {
                      because: outlook.because,
                      amount: `${fixed(outlook.perPart, unit === 'kg' ? 3 : 1)} ${unit}`,
                    })}
                  </Box>
                )}
              </Box>
            ))
          )}
        </Box>
        <Box display="flex" gap="1" flexWrap="wrap" maxWidth={{ md: '150px', lg: 'none' }}>
          <Action
            kind="quiet"
            fontSize="small"
            aria-expanded={open === 'sums'}
            onClick={() => setOpen(open === 'sums' ? null : 'sums')}
            aria-label={t('view.library.calculation', { title })}
          >
            {t('view.library.sums')}
          </Action>
          <Action
            kind="quiet"
            fontSize="small"
            aria-expanded={open === 'edit'}
            onClick={() => setOpen(open === 'edit' ? null : 'edit')}
            aria-label={t('view.library.read-or-move-one', { title })}
          >
            {t('view.library.read-or-move')}
          </Action>
        </Box>
      </Box>
      {open === 'edit' && form(() => setOpen(null))}
    </Box>
  );
}

function minutes(value: number): string {
  if (!Number.isFinite(value)) return t('view.library.without-end');
  return value >= 120
    ? t('view.library.h', { value: amount('plain', hoursOf(value), 1) })
    : format(amount('minutes', value, 0));
}
