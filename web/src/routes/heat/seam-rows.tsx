/** Seam by seam: its wait, its warmth, the levels it wants, and one of them carried into the score. */
import { Box } from '@chakra-ui/react';
import type { Plan } from '@fox-tempo/core/setting/plan';
import { amount } from '@fox-tempo/core/base/messages';
import { schoolFacts } from '@fox-tempo/core/weld/sequence';
import { tapLevels, type OrderedSoak, type SoakedSeam } from '@fox-tempo/core/weld/soak';
import { useState } from 'react';
import { Link } from 'react-router';
import { t, format } from '../../lib/words.ts';
import type { SheetSession } from '../../sheet/session.ts';
import { Action } from '../../ui/action.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { Cell, Heads, Table } from '../../ui/table.tsx';

export function SeamRows({
  open,
  found,
  plan,
}: {
  readonly open: SheetSession;
  readonly found: OrderedSoak;
  readonly plan: Plan;
}) {
  const [carried, setCarried] = useState<{ readonly place: number; readonly seam: SoakedSeam } | null>(null);
  const feed = open.program?.wireFeedMPerMin;
  return (
    <Panel title={t('view.heat.seam-by-seam')}>
      <Table label={t('view.heat.seam-by-seam')}>
        <Heads
          names={[
            t('view.heat.place'),
            t('view.heat.wait'),
            t('view.heat.starts'),
            t('view.heat.column-ahead'),
            t('view.heat.levels'),
            t('view.heat.column-leg'),
            '',
          ]}
          right={[t('view.heat.wait'), t('view.heat.starts')]}
        />
        <tbody>
          {found.soaked.seams.map((seam, place) => (
            <tr key={place}>
              <Cell head>
                {place + 1}{' '}
                <Box as="span" color="quiet" fontWeight={400}>
                  ({t('view.heat.seam-number', { at: (found.order[place] ?? 0) + 1 })})
                </Box>
              </Cell>
              <Cell figure>{seam.waitS < 1 ? '–' : format(amount('phaseTime', seam.waitS, 0))}</Cell>
              <Cell figure>{format(amount('phaseTime', seam.startAtS, 0))}</Cell>
              <Cell>
                {format(amount('temperature', seam.aheadC[0]?.[1] ?? 0, 0))} …{' '}
                {format(amount('temperature', seam.aheadC.at(-1)?.[1] ?? 0, 0))}
              </Cell>
              <Cell>
                {seam.levels.map(([fromMm, percent]) => (
                  <Box key={fromMm} whiteSpace="nowrap">
                    {format(amount('percent', percent, 0))}{' '}
                    {feed !== undefined && (
                      <Box as="span" color="quiet">
                        {format(amount('wireFeed', (feed * percent) / 100, 1))}
                      </Box>
                    )}{' '}
                    {t('view.heat.from-mm', { from: amount('length', fromMm, 0) })}
                  </Box>
                ))}
              </Cell>
              <Cell>{plan.legMm === null ? '–' : format(amount('shortLength', plan.legMm * seam.legShare, 1))}</Cell>
              <Cell>
                <Action
                  kind="quiet"
                  aria-label={t('view.heat.carry-seam', { place: place + 1 })}
                  onClick={() => {
                    carry(open, seam);
                    setCarried({ place: place + 1, seam });
                  }}
                >
                  {t('view.heat.to-sequence')}
                </Action>
              </Cell>
            </tr>
          ))}
        </tbody>
      </Table>
      {carried && (
        <Carried
          open={open}
          {...carried}
          onBack={() => {
            open.undo();
            setCarried(null);
          }}
        />
      )}
      <Box fontSize="label" color="quiet" mt="1">
        {t('view.heat.levels-why')}
      </Box>
    </Panel>
  );
}

function carry(open: SheetSession, seam: SoakedSeam): void {
  const usual = open.program?.sequence;
  if (!usual) return;
  const tap = tapLevels(seam.levels, seam.lengthMm);
  const change = tap ? { secondPercent: tap.secondPercent, tapsAtMm: [tap.tapAtMm] } : { tapsAtMm: [] };
  open.store.getState().edit(
    (current) => ({
      ...current,
      choice: { ...current.choice, sequence: { ...(current.choice.sequence ?? usual), ...change } },
    }),
    t('view.heat.levels-by-heat'),
  );
}

/** What stands in the score's draft now, and what a hand still has to do. */
function Carried({
  open,
  place,
  seam,
  onBack,
}: {
  readonly open: SheetSession;
  readonly place: number;
  readonly seam: SoakedSeam;
  readonly onBack: () => void;
}) {
  const tap = tapLevels(seam.levels, seam.lengthMm);
  const trigger = open.program?.sequence.trigger;
  return (
    <Notice level="note">
      {tap
        ? t('view.heat.carried', {
            place,
            tapAt: amount('length', tap.tapAtMm, 0),
            second: amount('percent', tap.secondPercent, 0),
            off: amount('percent', tap.offPercent, 0),
          })
        : t('view.heat.main-holds', { place })}{' '}
      {tap && trigger && !schoolFacts[trigger].second && <>{t('view.heat.needs-second-level')} </>}
      <Link to={`/sequence/${open.seam.id}`}>{t('view.heat.open-sequence')}</Link>{' '}
      {open.canUndo && (
        <Action kind="quiet" minHeight="32px" onClick={onBack}>
          {t('view.heat.take-it-back')}
        </Action>
      )}
    </Notice>
  );
}
