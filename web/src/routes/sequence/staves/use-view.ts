/** What of a score is seen: its time map, fold and window, moved by wheel, keys, buttons and the hand. */
import { type ScoreOf, foldsOf, timeMap, type TimeMap } from '@fox-tempo/core/weld/score';
import { useCallback, useMemo, useState } from 'react';
import { fitted, held, zoomed, type Window } from './window.ts';

export interface View {
  readonly map: TimeMap;
  readonly window: Window;
  readonly folded: boolean;
  /** There is something that folding would hide. */
  readonly canFold: boolean;
  readonly isWhole: boolean;
  setFolded: (folded: boolean) => void;
  zoom: (by: number, aboutPx?: number) => void;
  scroll: (byPx: number) => void;
  whole: () => void;
  /** Shows a stretch of time with some room beside it. */
  show: (fromS: number, toS: number) => void;
}

export function useView(played: ScoreOf['score']['played'], untilS: number, widthPx: number): View {
  const [folded, setFolded] = useState(true);
  const mains = useMemo(() => played.filter(({ name }) => name === 'main' || name === 'second'), [played]);
  const foldable = useMemo(() => foldsOf(mains), [mains]);
  const map = useMemo(() => timeMap(untilS, folded ? foldable : []), [untilS, folded, foldable]);
  const [chosen, setChosen] = useState<Window | null>(null);
  const whole = fitted(map, widthPx);
  const window = chosen ? held({ ...chosen, pxPerS: Math.max(chosen.pxPerS, whole.pxPerS) }, map, widthPx) : whole;
  const zoom = useCallback(
    (by: number, aboutPx = widthPx / 2) =>
      setChosen((now) => {
        const next = zoomed(now ?? fitted(map, widthPx), by, aboutPx, map, widthPx);
        return next.pxPerS <= fitted(map, widthPx).pxPerS * 1.001 ? null : next;
      }),
    [map, widthPx],
  );
  const scroll = useCallback(
    (byPx: number) =>
      setChosen((now) => (now ? held({ ...now, from: now.from + byPx / now.pxPerS }, map, widthPx) : now)),
    [map, widthPx],
  );
  const show = useCallback(
    (fromS: number, toS: number) => {
      const from = map.place(fromS);
      const room = Math.max(map.place(toS) - from, 0.02);
      const pxPerS = (widthPx * 0.7) / room;
      setChosen(held({ pxPerS, from: from - 0.15 * (widthPx / pxPerS) }, map, widthPx));
    },
    [map, widthPx],
  );
  return {
    map,
    window,
    folded: folded && foldable.length > 0,
    canFold: foldable.length > 0,
    isWhole: chosen === null,
    setFolded,
    zoom,
    scroll,
    whole: useCallback(() => setChosen(null), []),
    show,
  };
}
