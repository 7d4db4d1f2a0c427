/**
 * The trade's terms, one word per idea, and the standard that names each. The words and their meanings are in the catalogues, under
 * `view.term.<id>` and `view.term.<id>-means`; docs/terms.md and the glossary are made from both.
 */
export const terms = [
  { id: 'seam', standard: 'ISO 17659' },
  { id: 'weld', standard: 'ISO/TR 25901-1' },
  { id: 'test-weld', standard: '' },
  { id: 'welder', standard: 'ISO 9606-1' },
  { id: 'wire-feed-speed', standard: 'ISO 15609-1' },
  { id: 'travel-speed', standard: 'ISO 15609-1' },
  { id: 'ctwd', standard: 'ISO 15609-1, AWS A3.0' },
  { id: 'electrode-extension', standard: 'AWS A3.0' },
  { id: 'arc-length-trim', standard: '' },
  { id: 'inductance', standard: '' },
  { id: 'transfer-mode', standard: 'ISO 4063' },
  { id: 'peak-current', standard: '' },
  { id: 'background-current', standard: '' },
  { id: 'pulse-frequency', standard: '' },
  { id: 'double-pulse', standard: '' },
  { id: 'polarity', standard: 'ISO 15609-1' },
  { id: 'return-clamp', standard: 'IEC 60974-13' },
  { id: 'cylinder', standard: 'ISO 7225' },
  { id: 'filler-wire', standard: 'ISO 14341' },
  { id: 'trigger-sequence', standard: '' },
  { id: 'arc-simulator', standard: '' },
  { id: 'at-the-machine', standard: '' },
  { id: 'machine-simulator', standard: '' },
  { id: 'dial', standard: '' },
  { id: 'is-set-to', standard: '' },
  { id: 'dismiss', standard: '' },
  { id: 'procedure-sheet', standard: 'ISO 15609-1' },
  { id: 'isolate', standard: 'EN 50110-1' },
] as const;

export type TermId = (typeof terms)[number]['id'];
