/** Somebody saved in between: both versions line by line, what each changed, and the person decides line by line. */
import { t } from '../../lib/words.ts';
import { Box, Heading } from '@chakra-ui/react';
import type { SeamResource } from '@fox-tempo/contract';
import { useMemo, useState, type ReactNode } from 'react';
import { useSettings } from '../../session/settings.ts';
import { shopTime } from '../../lib/time.ts';
import type { SheetSession } from '../../sheet/session.ts';
import { sheetOf } from '../../sheet/sheet.ts';
import { differingLines, mergedSheet } from '../../sheet/sheet-lines.ts';
import { Action } from '../../ui/action.tsx';

export interface ConflictProps {
  readonly session: SheetSession;
  readonly stored: SeamResource;
}

export function Conflict({ session, stored }: ConflictProps) {
  const units = useSettings((state) => state.units);
  const { sheet: mine, store } = session;
  const theirs = useMemo(() => sheetOf(stored), [stored]);
  const lines = useMemo(() => differingLines(store.getState().base.sheet, mine, theirs), [store, mine, theirs]);
  const [chosen, setChosen] = useState<Readonly<Record<string, 'mine' | 'theirs'>>>({});
  const takes = (label: string, proposed: 'mine' | 'theirs') => chosen[label] ?? proposed;
  const fromTheirs = lines.filter(({ line, proposed }) => takes(line.label, proposed) === 'theirs');
  return (
    <Box
      as="section"
      role="alertdialog"
      aria-labelledby="conflict-title"
      bg="ochreSoft"
      borderWidth="1px"
      borderColor="ochre"
      borderRadius="4px"
      p="4"
    >
      <Heading as="h2" id="conflict-title" textStyle="heading" mb="1">
        {t('view.seam-frame.conflict.title')}
      </Heading>
      <Box fontSize="small" mb="2">
        {t('view.seam-frame.conflict.what', {
          changedBy: stored.changedBy,
          changedAt: shopTime(stored.changedAt),
        })}
      </Box>
      <Box asChild width="100%" fontSize="small">
        <table>
          <thead>
            <tr>
              <Cell head>{t('view.seam-frame.line')}</Cell>
              <Cell head>{t('view.seam-frame.conflict.stored-by', { changedBy: stored.changedBy })}</Cell>
              <Cell head>{t('view.seam-frame.yours')}</Cell>
            </tr>
          </thead>
          <tbody>
            {lines.map(({ line, proposed, isContested }) => (
              <tr key={line.label}>
                <Cell>
                  {line.label}
                  {isContested && (
                    <Box as="span" color="ochre">
                      {' '}
                      {t('view.seam-frame.conflict.both')}
                    </Box>
                  )}
                </Cell>
                {(['theirs', 'mine'] as const).map((side) => (
                  <Cell key={side}>
                    <Box asChild display="inline-flex" alignItems="center" gap="2" minHeight="44px">
                      <label>
                        <input
                          type="radio"
                          name={`conflict ${line.label}`}
                          aria-label={`${line.label}: ${side === 'mine' ? t('view.seam-frame.yours-in-line') : t('view.seam-frame.conflict.stored')}`}
                          checked={takes(line.label, proposed) === side}
                          onChange={() => setChosen({ ...chosen, [line.label]: side })}
                        />
                        {line.says(side === 'mine' ? mine : theirs, units)}
                      </label>
                    </Box>
                  </Cell>
                ))}
              </tr>
            ))}
            {lines.length === 0 && (
              <tr>
                <Cell>{t('view.seam-frame.conflict.same')}</Cell>
              </tr>
            )}
          </tbody>
        </table>
      </Box>
      <Box display="flex" gap="2" mt="3" flexWrap="wrap">
        <Action
          kind="main"
          onClick={() =>
            void session.keepMine(
              stored,
              mergedSheet(
                mine,
                theirs,
                fromTheirs.map(({ line }) => line),
              ),
            )
          }
        >
          {fromTheirs.length > 0 ? t('view.seam-frame.conflict.merge') : t('view.seam-frame.conflict.keep-mine')}
        </Action>
        {fromTheirs.length > 0 && (
          <Action onClick={() => void session.keepMine(stored, mine)}>{t('view.seam-frame.keep-only-mine')}</Action>
        )}
        <Action onClick={() => session.takeTheirs(stored)}>{t('view.seam-frame.conflict.take-stored')}</Action>
      </Box>
    </Box>
  );
}

function Cell({ head = false, children }: { readonly head?: boolean; readonly children: ReactNode }) {
  return (
    <Box
      asChild
      textAlign="start"
      py="1"
      pe="4"
      borderBottomWidth="1px"
      borderColor="ochre"
      fontWeight={head ? 600 : 400}
    >
      {head ? <th scope="col">{children}</th> : <td>{children}</td>}
    </Box>
  );
}
