/** Width of an element, followed as it changes. */
import { useEffect, useState, type RefObject } from 'react';

export function useWidth(holder: RefObject<HTMLElement | null>, first = 800): number {
  const [width, setWidth] = useState(first);
  useEffect(() => {
    const element = holder.current;
    if (!element) return undefined;
    const observer = new ResizeObserver(([entry]) => {
      const next = Math.floor(entry?.contentRect.width ?? 0);
      if (next > 0) setWidth(next);
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, [holder]);
  return width;
}
