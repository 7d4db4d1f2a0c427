/** The window's name: what the page is about first, so that tabs and screen readers tell them apart. */
import { useEffect } from 'react';

export function usePageTitle(title: string): void {
  useEffect(() => {
    document.title = `${title} · Fox Tempo`;
  }, [title]);
}
