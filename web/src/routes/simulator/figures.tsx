/** All figures of the simulated arc in one table. */
import { t, format, formatQuantity } from '../../lib/words.ts';
import { Box, chakra } from '@chakra-ui/react';
import type { Program } from '@fox-tempo/core/setting/program';
import type { Plan } from '@fox-tempo/core/setting/plan';
import type { SimulationMetrics } from '@fox-tempo/core/weld/simulation';
import { memo, useCallback, useState } from 'react';
import { useSettings } from '../../session/settings.ts';
import { Panel } from '../../ui/panel.tsx';
import { figureRows, type FigureRow } from './figure-rows.ts';
import type { ArcRun } from './use-arc.ts';
import { Unfold } from '../../ui/unfold.tsx';

/** Said once for the table: its cells are plain, because they are drawn again with every move of a dial. */
const cellLooks = {
  '& td': { borderTopWidth: '1px', borderColor: 'line', textAlign: 'end', whiteSpace: 'nowrap', py: '0.5' },
  '& td.now': { fontFamily: 'mono', fontWeight: 500, fontSize: 'body' },
  '& td.now small': { fontSize: 'label', color: 'quiet' },
  '& td.beside': { fontFamily: 'mono', fontSize: 'label', color: 'quiet', ps: '2' },
} as const;

export function ArcFigures({
  run,
  ghost,
  program,
  plan,
}: {
  readonly run: ArcRun;
  readonly ghost: SimulationMetrics | null;
  readonly program: Program;
  readonly plan: Plan;
}) {
  const [open, setOpen] = useState<string | null>(null);
  const rows = figureRows(run, ghost, program, plan);
  const onToggle = useCallback((key: string) => setOpen((now) => (now === key ? null : key)), []);
  return (
    <Panel
      title={t('view.simulator.all-figures')}
      aria-label={t('view.simulator.all-figures')}
      aside={
        <Box textStyle="label" color="quiet">
          {format(run.simulation.words)}
        </Box>
      }
    >
      <Box asChild width="100%" fontSize="small" css={cellLooks}>
        <table>
          <thead>
            <tr>
              {[
                '',
                t('view.simulator.now-word'),
                t('view.simulator.band-word'),
                ...(ghost ? [t('view.simulator.held')] : []),
              ].map((head) => (
                <Box
                  asChild
                  key={head}
                  textStyle="label"
                  color="quiet"
                  textAlign={head === '' ? 'left' : 'right'}
                  fontWeight={500}
                >
                  {head === '' ? <td /> : <th scope="col">{head}</th>}
                </Box>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((row) => (
              <RowView key={row.key} row={row} hasGhost={ghost !== null} open={open === row.key} onToggle={onToggle} />
            ))}
          </tbody>
        </table>
      </Box>
    </Panel>
  );
}

function RowView({
  row,
  hasGhost,
  open,
  onToggle,
}: {
  row: FigureRow;
  hasGhost: boolean;
  open: boolean;
  onToggle: (key: string) => void;
}) {
  const units = useSettings((state) => state.units);
  const said = (value: number) => formatQuantity(value, row.of, units, row.digits);
  const now = said(row.value);
  const held = row.ghost === null ? null : said(row.ghost);
  return (
    <>
      <tr>
        <RowHead rowKey={row.key} label={row.label} open={open} onToggle={onToggle} />
        <td className="now">
          {now.text} <small>{now.unit}</small>
        </td>
        <td className="beside">
          {row.band && t('view.ui.band', { low: said(row.band[0]).text, high: said(row.band[1]).text })}
        </td>
        {hasGhost && (
          <td className="beside">
            {held?.text} {held?.unit}
          </td>
        )}
      </tr>
      {open && (
        <tr>
          <Box asChild fontSize="label" color="quiet" pb="1">
            <td colSpan={hasGhost ? 4 : 3} style={{ textAlign: 'start', whiteSpace: 'normal', border: 0 }}>
              <strong>{t('view.simulator.because')}</strong> {row.because}
            </td>
          </Box>
        </tr>
      )}
    </>
  );
}

/** Of a row only the figures change, many times a second while a dial is turned. */
const RowHead = memo(function RowHead({
  rowKey,
  label,
  open,
  onToggle,
}: {
  rowKey: string;
  label: string;
  open: boolean;
  onToggle: (key: string) => void;
}) {
  return (
    <Box asChild borderTopWidth="1px" borderColor="line" textAlign="start" fontWeight={400}>
      <th scope="row">
        <chakra.button
          type="button"
          aria-expanded={open}
          onClick={() => onToggle(rowKey)}
          minHeight="30px"
          cursor="pointer"
          textAlign="start"
          width="100%"
          _hover={{ bg: 'accentSoft' }}
        >
          {label}{' '}
          <Box as="span" fontSize="label" aria-hidden="true">
            <Unfold open={open} />
          </Box>
        </chakra.button>
      </th>
    </Box>
  );
});
