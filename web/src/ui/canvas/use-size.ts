/** Size of an element, followed as it changes. */
import { useEffect, useState, type RefObject } from 'react';

export interface Size {
  readonly width: number;
  readonly height: number;
}

export function useSize(holder: RefObject<HTMLElement | null>, first: Size): Size {
  const [size, setSize] = useState(first);
  useEffect(() => {
    const element = holder.current;
    if (!element) return undefined;
    const observer = new ResizeObserver(([entry]) => {
      const width = Math.floor(entry?.contentRect.width ?? 0);
      const height = Math.floor(entry?.contentRect.height ?? 0);
      // Hidden elements have no size; what was drawn stays.
      if (width > 0) setSize((now) => (now.width === width && now.height === height ? now : { width, height }));
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, [holder]);
  return size;
}

export function useWidth(holder: RefObject<HTMLElement | null>, first = 800): number {
  return useSize(holder, { width: first, height: 0 }).width;
}
