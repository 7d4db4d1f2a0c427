/** Every saved revision of the program; an old one can be brought back as the present draft. */
import { Box } from '@chakra-ui/react';
import type { Revision } from '@fox-tempo/contract';
import { formatWithUnit, wireSizeLabel } from '@fox-tempo/core';
import { useEffect, useState } from 'react';
import { api } from '../../lib/api.ts';
import { useSettings } from '../../lib/settings.ts';
import { shopTime } from '../../lib/time.ts';
import { Action } from '../../ui/action.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import type { Sheet } from '../../sheet/sheet-fields.ts';

export interface RevisionsProps {
  readonly seamId: string;
  /** The newest revision's number; a new one makes the list load again. */
  readonly newest: number;
  readonly onBringBack: (sheet: Sheet) => void;
}

export function Revisions({ seamId, newest, onBringBack }: RevisionsProps) {
  const units = useSettings((state) => state.units);
  const [loaded, setLoaded] = useState<{ of: number; revisions: readonly Revision[] | null }>({
    of: 0,
    revisions: null,
  });
  useEffect(() => {
    let current = true;
    const show = (revisions: readonly Revision[] | null) => {
      if (current) setLoaded({ of: newest, revisions });
    };
    api.revisions(seamId).then(show, () => show(null));
    return () => {
      current = false;
    };
  }, [seamId, newest]);

  return (
    <Panel title="Revisions">
      {loaded.of !== newest ? (
        <Box color="quiet" fontSize="13px" role="status">
          Loading the revisions…
        </Box>
      ) : loaded.revisions === null ? (
        <Notice level="caution">The revisions could not be loaded; the sheet itself works on.</Notice>
      ) : (
        <Box as="ol" listStyleType="none">
          {loaded.revisions.map(({ number, program, spec, choice, createdAt, createdBy }) => (
            <Box
              as="li"
              key={number}
              display="flex"
              alignItems="center"
              gap="3"
              minHeight="44px"
              borderBottomWidth="1px"
              borderColor="line"
              fontSize="13.5px"
            >
              <Box textStyle="figure" width="2.2em">
                {number}
              </Box>
              <Box flex="1" minWidth={0}>
                {formatWithUnit(program.wireFeedMPerMin, 'wireFeed', units)}, {wireSizeLabel(program.diameterMm)},{' '}
                {program.origin}
                <Box textStyle="label" color="quiet">
                  {createdBy}, {shopTime(createdAt)}
                </Box>
              </Box>
              {number === newest ? (
                <Box color="quiet" fontSize="12px">
                  newest
                </Box>
              ) : (
                <Action
                  kind="quiet"
                  fontSize="13px"
                  onClick={() => onBringBack({ spec, choice })}
                  aria-label={`Bring back revision ${number}`}
                >
                  Bring back
                </Action>
              )}
            </Box>
          ))}
        </Box>
      )}
    </Panel>
  );
}
