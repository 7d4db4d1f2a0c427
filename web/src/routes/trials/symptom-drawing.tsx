/** A symptom drawn small: a bead from above, across or at its end, and what is wrong with it. Our own drawings; the name stands beside. */
import type { SymptomCode } from '@fox-tempo/core/evidence/trial';
import type { ReactNode } from 'react';
import { cssColour } from '../../ui/theme/colours.ts';

const ink = cssColour('ink');
const metal = cssColour('metal');
const edge = cssColour('metalEdge');
const wrong = cssColour('crimson');

const line = { fill: 'none', stroke: wrong, strokeWidth: 2, strokeLinecap: 'round' } as const;

/** Bead on a plate from above, welded from the left. */
function above(over: ReactNode, under?: ReactNode): ReactNode {
  return (
    <>
      <rect x="1" y="3" width="62" height="30" rx="2" fill={metal} />
      {under}
      <rect x="6" y="12" width="52" height="12" rx="6" fill={edge} />
      {[16, 24, 32, 40, 48].map((x) => (
        <path key={x} d={`M${x} 13q4 5 0 10`} fill="none" stroke={ink} strokeWidth="0.8" opacity="0.5" />
      ))}
      {over}
    </>
  );
}

/** A fillet across: two plates, the bead by its face. */
function across(face: string, over?: ReactNode): ReactNode {
  return (
    <>
      <path d="M4 26h56v7H4ZM22 3h7v23h-7Z" fill={metal} stroke={edge} />
      <path d={face} fill={edge} />
      {over}
    </>
  );
}
const soundFace = 'M29 12L43 26H29Z';

/** A tip with its wire, and the plate below it. */
function wireEnd(over: ReactNode): ReactNode {
  return (
    <>
      <path d="M24 2h16l-3 9h-10Z" fill={metal} stroke={edge} />
      <path d="M4 31h56" stroke={edge} strokeWidth="3" />
      {over}
    </>
  );
}

/** What is heard, as its loudness over time. */
function loudness(path: string): ReactNode {
  return (
    <>
      <path d="M3 18h58" stroke={edge} strokeWidth="0.8" />
      <path d={path} {...line} strokeWidth={1.6} />
    </>
  );
}

const dots = (places: readonly (readonly [number, number])[], size: number, filled = true) =>
  places.map(([x, y]) => (
    <circle
      key={`${x} ${y}`}
      cx={x}
      cy={y}
      r={size}
      {...(filled ? { fill: wrong } : { fill: 'none', stroke: wrong, strokeWidth: 1.4 })}
    />
  ));

const drawings: Readonly<Record<SymptomCode, ReactNode>> = {
  'pores-row': above(
    dots(
      [
        [18, 18],
        [25, 18],
        [32, 18],
        [39, 18],
        [46, 18],
      ],
      1.8,
    ),
  ),
  'pores-start': above(
    dots(
      [
        [11, 16],
        [14, 20],
        [17, 16],
      ],
      1.8,
    ),
  ),
  wormholes: above(<path d="M16 20l6-4M28 20l6-4M40 20l6-4" {...line} strokeWidth={2.6} />),
  'crater-crack': above(<path d="M50 15l2 3-2 2 2 3M49 18h5" {...line} strokeWidth={1.6} />),
  'centre-crack': above(<path d="M12 18l6-1 6 2 8-2 8 2 10-1" {...line} strokeWidth={1.6} />),
  'undercut-upper': across(soundFace, <path d="M29 12q-4 1-3 5" {...line} strokeWidth={2.6} />),
  'undercut-lower': across(soundFace, <path d="M43 26q0 4-5 3" {...line} strokeWidth={2.6} />),
  'legs-unequal': across('M29 19L53 26H29Z', <path d="M33 19v7M29 30h24" {...line} strokeWidth={1.4} />),
  'bead-high': across('M29 12Q48 8 43 26H29Z', <path d="M30 11Q49 6 45 25" {...line} />),
  'bead-flat-wide': across('M29 15Q33 24 53 26H29Z', <path d="M29 15Q33 24 53 26" {...line} />),
  'cold-lap': across('M29 12Q46 13 50 23Q48 27 40 26H29Z', <path d="M50 23Q48 27 41 25.5" {...line} />),
  'no-root-fusion': across('M29 12L43 26H33L29 22Z', <path d="M29 26l4 0M29 26v-4" {...line} strokeWidth={3} />),
  'printed-through': across(soundFace, <path d="M22 15q-6 4 0 9" {...line} />),
  sag: across(soundFace, <path d="M27 33q6 6 12 0" {...line} strokeWidth={3} />),
  hole: above(<ellipse cx="32" cy="18" rx="7" ry="5" fill={cssColour('page')} stroke={wrong} strokeWidth="2" />),
  'spatter-fine': above(
    dots(
      [
        [10, 8],
        [20, 6],
        [30, 9],
        [41, 7],
        [52, 8],
        [14, 29],
        [26, 28],
        [38, 30],
        [49, 28],
      ],
      1,
    ),
  ),
  'spatter-coarse': above(
    dots(
      [
        [14, 8],
        [33, 7],
        [50, 29],
        [22, 29],
      ],
      2.8,
    ),
  ),
  hiss: loudness('M4 18l2-4 2 8 2-9 2 10 2-8 2 7 2-9 2 9 2-8 2 8 2-9 2 8 2-7 2 9 2-8 2 8 2-9 2 8 2-7 2 6'),
  popping: loudness('M4 18h8l2-13 2 13h12l2-12 2 12h12l2-14 2 14h8'),
  soot: above(null, <path d="M4 7q14 5 28 0t28 0v6H4ZM4 30q14-5 28 0t28 0v-5H4Z" fill={ink} opacity="0.75" />),
  'oxide-grey': above(<rect x="6" y="12" width="52" height="12" rx="6" fill={ink} opacity="0.45" />),
  tint: above(
    null,
    <>
      <rect x="4" y="6" width="56" height="24" rx="12" fill={cssColour('volt')} opacity="0.55" />
      <rect x="5" y="9" width="54" height="18" rx="9" fill={cssColour('ochre')} opacity="0.5" />
    </>,
  ),
  'uneven-ripples': above(
    <path
      d="M14 13q6 5 0 10M18 13q5 5 0 10M31 13q9 5 0 10M35 13q3 5 0 10M50 13q6 5 0 10"
      {...line}
      strokeWidth={1.4}
    />,
  ),
  'wire-stuck': wireEnd(<path d="M32 11v19M27 31q5-4 10 0" {...line} />),
  'wire-ball': wireEnd(
    <>
      <path d="M32 11v5" {...line} />
      <circle cx="32" cy="20" r="4" fill={wrong} />
    </>,
  ),
  'wire-long': wireEnd(<path d="M32 11q4 8 12 14" {...line} />),
  'stubbing-start': wireEnd(<path d="M32 11v14l-4 4M32 25l5 3" {...line} />),
  'exploding-start': wireEnd(<path d="M32 11v8M32 22l-8 6M32 22l8 6M32 22v8M32 22l-10-1M32 22l10-1" {...line} />),
  'arc-wanders': above(<path d="M6 18q8-8 13 0t13 0 13 0 12 0" {...line} />),
  crackle: loudness('M4 18q3-6 6 0t6 0l1-10 1 10q3-6 6 0t6 0l1-12 1 12q3-6 6 0l1-9 1 9q3-6 6 0t6 0'),
  flutter: loudness('M4 18q4-16 8 0t8 0 8 0 8 0 8 0 8 0 8 0'),
  'frying-rough': loudness(
    'M4 18l2-3 1 5 2-9 2 11 1-3 3-10 2 12 2-4 1 5 3-12 2 9 2-3 2 6 2-11 2 12 2-6 2 5 2-9 2 6 2-3',
  ),
  slipping: wireEnd(<path d="M32 11q-7 3 0 6t0 6 0 5" {...line} />),
  'tip-burnt': wireEnd(<path d="M25 8l3 4h8l3-4M29 12l1 4M35 12l-1 3" {...line} strokeWidth={2.6} />),
};

export function SymptomDrawing({ code, width = 64 }: { readonly code: SymptomCode; readonly width?: number }) {
  return (
    <svg width={width} height={(width * 36) / 64} viewBox="0 0 64 36" aria-hidden="true" style={{ flexShrink: 0 }}>
      {drawings[code]}
    </svg>
  );
}
