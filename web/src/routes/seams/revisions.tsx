/** Every saved revision of the program; an old one can be brought back as the present draft. */
import { t, format, named, formatWithUnit } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import { wireSizeLabel } from '@fox-tempo/core/metal/consumables';
import { useEndpointList } from '../../data/queries.ts';
import { useSettings } from '../../session/settings.ts';
import { shopTime } from '../../lib/time.ts';
import { Action } from '../../ui/action.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import type { Sheet } from '../../sheet/sheet-fields.ts';

export interface RevisionsProps {
  readonly seamId: string;
  readonly onBringBack: (sheet: Sheet) => void;
}

export function Revisions({ seamId, onBringBack }: RevisionsProps) {
  const units = useSettings((state) => state.units);
  const { data: revisions, isError } = useEndpointList('revisions', { params: { id: seamId } });

  return (
    <Panel title={t('view.seams.revisions')}>
      {isError ? (
        <Notice level="caution">{t('view.seams.revisions-failed')}</Notice>
      ) : !revisions ? (
        <Box color="quiet" fontSize="small" role="status">
          {t('view.seams.loading-the-revisions')}
        </Box>
      ) : (
        <Box as="ol" listStyleType="none">
          {revisions.map(({ number, program, spec, choice, createdAt, createdBy }) => (
            <Box
              as="li"
              key={number}
              display="flex"
              alignItems="center"
              gap="3"
              minHeight="44px"
              borderBottomWidth="1px"
              borderColor="line"
              fontSize="small"
            >
              <Box textStyle="figure" width="2.2em">
                {number}
              </Box>
              <Box flex="1" minWidth={0}>
                {formatWithUnit(program.wireFeedMPerMin, 'wireFeed', units)},{' '}
                {format(wireSizeLabel(program.diameterMm))}, {named(program.origin)}
                <Box textStyle="label" color="quiet">
                  {createdBy}, {shopTime(createdAt)}
                </Box>
              </Box>
              {number === revisions[0]?.number ? (
                <Box color="quiet" fontSize="label">
                  {t('view.seams.newest')}
                </Box>
              ) : (
                <Action
                  kind="quiet"
                  fontSize="small"
                  onClick={() => onBringBack({ spec, choice })}
                  aria-label={t('view.seams.bring-back-revision', { number })}
                >
                  {t('view.seams.bring-back')}
                </Action>
              )}
            </Box>
          ))}
        </Box>
      )}
    </Panel>
  );
}
