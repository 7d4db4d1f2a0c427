/** The arc to the ear: off until asked for, level-limited, the held setting's sound beside the present one's. */
import { t } from '../../lib/words.ts';
import { Box, chakra } from '@chakra-ui/react';
import type { Simulation } from '@fox-tempo/core/weld/simulation';
import { useEffect, useState } from 'react';
import { Action } from '../../ui/action.tsx';
import { hasSound, playArc } from '../../parts/arc-view/index.ts';

type Heard = 'none' | 'now' | 'held';

export function Listen({ now, held }: { readonly now: Simulation; readonly held: Simulation | null }) {
  const [heard, setHeard] = useState<Heard>('none');
  const [volume, setVolume] = useState(0.3);
  const played = heard === 'held' ? held : heard === 'now' ? now : null;
  useEffect(() => {
    if (!played) return undefined;
    const hum = playArc(played, volume);
    return () => hum?.stop();
  }, [played, volume]);
  const toggle = (which: Heard) => setHeard(heard === which ? 'none' : which);
  const isMute = heard !== 'none' && !hasSound();
  return (
    <Box display="flex" gap="1" alignItems="center" flexWrap="wrap">
      <Action kind="plain" px="2.5" fontSize="small" aria-pressed={heard === 'now'} onClick={() => toggle('now')}>
        {heard === 'now' ? t('view.simulator.silence') : t('view.simulator.listen')}
      </Action>
      {held && (
        <Action kind="quiet" px="2" fontSize="small" aria-pressed={heard === 'held'} onClick={() => toggle('held')}>
          {heard === 'held' ? t('view.simulator.silence') : t('view.simulator.listen-held')}
        </Action>
      )}
      {heard !== 'none' && (
        <chakra.input
          type="range"
          aria-label={t('view.simulator.loudness')}
          min={0}
          max={1}
          step={0.05}
          value={volume}
          width="90px"
          minHeight="44px"
          accentColor="var(--chakra-colors-accent)"
          onChange={(event) => setVolume(Number(event.target.value))}
        />
      )}
      <Box fontSize="label" color="quiet" role="status">
        {isMute ? t('view.simulator.no-sound') : heard === 'none' ? '' : t('view.simulator.sound-from-power')}
      </Box>
    </Box>
  );
}
