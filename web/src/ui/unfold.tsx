/** Shows whether what is under a head is open: a chevron beside words that say what it is. */
import { ChevronDown, ChevronRight } from 'lucide-react';

export function Unfold({ open }: { readonly open: boolean }) {
  const Icon = open ? ChevronDown : ChevronRight;
  return <Icon size="1.1em" aria-hidden="true" style={{ display: 'inline', verticalAlign: '-0.15em' }} />;
}
