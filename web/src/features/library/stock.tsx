/** Cylinders and spools: what is left as arc minutes and parts of a chosen seam, read anew or moved in place. */
import { Box, Heading } from '@chakra-ui/react';
import type { MachineResource, SeamResource, Stock } from '@fox-tempo/contract';
import { fillerOf, gasName, wireSizeLabel } from '@fox-tempo/core/consumables';
import { cylinderOutlook, isWeighed, type Outlook, spoolOutlook } from '@fox-tempo/core/consumption';
import { sameWire } from '@fox-tempo/core/machine';
import { useMemo, useState } from 'react';
import { measureSeam } from '../../lib/part-use.ts';
import { shopTime } from '../../lib/time.ts';
import { Action } from '../../ui/action.tsx';
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
  const [stock, setStock] = useState(loaded);
  const [adding, setAdding] = useState<'cylinder' | 'spool' | null>(null);
  const measured = useMemo(() => seams.flatMap(measureSeam), [seams]);
  return (
    <>
      <Notice level="hazard" word="Cylinders:">
        chained, capped when moved, valve cracked standing aside, no oil or grease; argon and CO₂ push the air out of
        small rooms. Spools: hold the wire end, it springs.
      </Notice>
      <Panel
        title="Cylinders"
        aside={
          <Action kind="quiet" my="-2" onClick={() => setAdding('cylinder')}>
            Add a cylinder
          </Action>
        }
      >
        {adding === 'cylinder' && (
          <CylinderForm
            cylinder={null}
            machines={machines}
            onDone={(cylinder) => {
              if (cylinder) setStock({ ...stock, cylinders: [...stock.cylinders, cylinder] });
              setAdding(null);
            }}
          />
        )}
        {stock.cylinders.length === 0 && <Notice level="note">No cylinder is entered yet.</Notice>}
        {stock.cylinders.map((cylinder) => (
          <Row
            key={cylinder.id}
            title={cylinder.name}
            line={`${gasName(cylinder.gas)} · ${whereWords(cylinder.machineId, machines)}`}
            content={
              isWeighed(cylinder.gas)
                ? `${(cylinder.massKg ?? 0).toFixed(1)} kg`
                : `${(cylinder.pressureBar ?? 0).toFixed(0)} bar in ${cylinder.volumeL} L`
            }
            read={`${cylinder.convention}, ${shopTime(cylinder.changedAt)}, ${cylinder.changedBy}`}
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
        title="Spools"
        aside={
          <Action kind="quiet" my="-2" onClick={() => setAdding('spool')}>
            Add a spool
          </Action>
        }
      >
        {adding === 'spool' && (
          <SpoolForm
            spool={null}
            machines={machines}
            onDone={(spool) => {
              if (spool) setStock({ ...stock, spools: [...stock.spools, spool] });
              setAdding(null);
            }}
          />
        )}
        {stock.spools.length === 0 && <Notice level="note">No spool is entered yet.</Notice>}
        {stock.spools.map((spool) => (
          <Row
            key={spool.id}
            title={spool.name}
            line={`${fillerOf(spool.filler).name}, ${wireSizeLabel(spool.diameterMm)} · ${whereWords(spool.machineId, machines)}`}
            content={`${spool.massKg.toFixed(2)} kg`}
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
  return machine ? `on ${machine.file.name}` : 'on the shelf';
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
          <Heading as="h3" fontSize="15px" fontWeight={600}>
            {title}
          </Heading>
          <Box fontSize="13px" color="quiet">
            {line}
          </Box>
        </Box>
        <Box>
          <Box textStyle="figure">{content}</Box>
          <Box textStyle="label" color="quiet">
            {read}
          </Box>
        </Box>
        <Box fontSize="13.5px">
          {outlooks.length === 0 ? (
            <Box color="quiet">No saved setting takes it.</Box>
          ) : (
            outlooks.map(({ seam, outlook, unit }) => (
              <Box key={seam.id} py="0.5">
                <Box as="span" color={levels[outlook.words].colour} fontWeight={600}>
                  {levels[outlook.words].sign} {outlook.partsLeft ?? '∞'} × {seam.spec.name}
                </Box>
                , {minutes(outlook.arcMinutes)} of arc
                {outlook.words === 'plenty' ? '' : `: ${outlook.words}`}
                {open === 'sums' && (
                  <Box textStyle="label" color="quiet">
                    because {outlook.because}; {outlook.perPart.toFixed(unit === 'kg' ? 3 : 1)} {unit} a part
                  </Box>
                )}
              </Box>
            ))
          )}
        </Box>
        <Box display="flex" gap="1">
          <Action
            kind="quiet"
            fontSize="13px"
            aria-expanded={open === 'sums'}
            onClick={() => setOpen(open === 'sums' ? null : 'sums')}
            aria-label={`Sums of ${title}`}
          >
            Sums
          </Action>
          <Action
            kind="quiet"
            fontSize="13px"
            aria-expanded={open === 'edit'}
            onClick={() => setOpen(open === 'edit' ? null : 'edit')}
            aria-label={`Read or move ${title}`}
          >
            Read or move
          </Action>
        </Box>
      </Box>
      {open === 'edit' && form(() => setOpen(null))}
    </Box>
  );
}

function minutes(value: number): string {
  if (!Number.isFinite(value)) return 'without end';
  return value >= 120 ? `${(value / 60).toFixed(1)} h` : `${value.toFixed(0)} min`;
}
