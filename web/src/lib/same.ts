/** The same object until something in it changes, so that a memoised panel is not drawn for nothing. Its keys never change. */
import { useMemo } from 'react';

export function useSame<T extends object>(value: T): T {
  // eslint-disable-next-line react-hooks/exhaustive-deps, react-hooks/use-memo -- the values are all that the object holds
  return useMemo(() => value, Object.values(value));
}
