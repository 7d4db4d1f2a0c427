/** Colours by meaning, day and night. Never the only carrier of a meaning: a shape or a word stands beside each. */
export const colours = {
  page: { day: '#F4EEE2', night: '#191512' },
  surface: { day: '#FCF9F2', night: '#231E19' },
  line: { day: '#DCD2BF', night: '#40372D' },
  /** Borders of things that take input: 3:1 against the surface, as WCAG 2.2 asks. */
  edge: { day: '#948871', night: '#7B6E5E' },
  ink: { day: '#25211B', night: '#EFE6D6' },
  quiet: { day: '#6A6053', night: '#B3A592' },
  accent: { day: '#A8431C', night: '#E88956' },
  accentSoft: { day: '#F2DDCF', night: '#4A2E1F' },
  onAccent: { day: '#FFFAF3', night: '#20140C' },
  spruce: { day: '#2C6653', night: '#86C7AA' },
  spruceSoft: { day: '#CFE3D8', night: '#22443A' },
  ochre: { day: '#83560A', night: '#E3B655' },
  ochreSoft: { day: '#F1E0B6', night: '#4A3B18' },
  crimson: { day: '#A3182B', night: '#F27C88' },
  crimsonSoft: { day: '#F6DADB', night: '#4B2128' },
  volt: { day: '#2F5D86', night: '#92BBDD' },
  metal: { day: '#E3D7C2', night: '#393027' },
  metalEdge: { day: '#8B7E69', night: '#8E7F6C' },
} as const;

export type ColourName = keyof typeof colours;
export type Theme = 'day' | 'night';

/** A colour as a CSS value, for drawings and charts that are not styled through Chakra. */
export function cssColour(name: ColourName): string {
  return `var(--chakra-colors-${name.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`)})`;
}
