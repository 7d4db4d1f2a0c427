/** The staves' place on the page: the score, or what is being played with the word for the hand beside it. */
import { t, format } from '../../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import { phaseNames } from '@fox-tempo/core/weld/sequence';
import { useState, type ReactNode } from 'react';
import { useStore } from 'zustand';
import { Action } from '../../../ui/action.tsx';
import type { PlaySession } from '../phases/play-session.ts';

/** While a weld is played, and until somebody looks back, the staves show what was played. */
export function Drawn({
  session,
  isPlaying,
  children,
}: {
  readonly session: PlaySession;
  readonly isPlaying: boolean;
  readonly children: (isLive: boolean) => ReactNode;
}) {
  const running = useStore(session.store, (state) => state.running);
  const hasRecord = useStore(session.store, (state) => state.record.length > 1);
  const [looksBack, setLooksBack] = useState(false);
  const [wasRunning, setWasRunning] = useState(running);
  if (running !== wasRunning) {
    setWasRunning(running);
    if (running) setLooksBack(false);
  }
  const isLive = isPlaying && (running || (hasRecord && !looksBack));
  return (
    <>
      {isLive && (
        <Box display="flex" gap="3" alignItems="center" mb="1" minHeight="44px" flexWrap="wrap">
          {running ? (
            <Called session={session} />
          ) : (
            <>
              <Box fontWeight={600} fontSize="small">
                {t('view.sequence.as-played-title')}
              </Box>
              <Action kind="quiet" onClick={() => setLooksBack(true)}>
                {t('view.sequence.back')}
              </Action>
            </>
          )}
        </Box>
      )}
      {children(isLive)}
    </>
  );
}

/** What is called out beside the staves while a weld is played: the word for the hand, large, and what the machine does. */
function Called({ session }: { readonly session: PlaySession }) {
  const { word, detail, due } = useStore(session.store, (state) => state.cue);
  const phase = useStore(session.store, (state) => state.live.state.phase);
  return (
    <>
      <Box
        fontSize="big"
        fontWeight={650}
        lineHeight="1"
        px="3"
        py="2"
        bg={due ? 'ochreSoft' : 'page'}
        borderStartWidth="4px"
        borderColor={due ? 'ochre' : 'line'}
        minWidth="190px"
      >
        {format(word)}
      </Box>
      <Box fontSize="small">
        <Box fontWeight={600}>{format(phaseNames[phase])}</Box>
        <Box color="quiet">{format(detail)}</Box>
      </Box>
    </>
  );
}
