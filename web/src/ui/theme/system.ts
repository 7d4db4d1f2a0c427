/** Chakra's system with our tokens: warm paper or dark umber, ink, one russet accent, corners of 3 px, rules instead of shadows. */
import { createSystem, defaultConfig, defineConfig } from '@chakra-ui/react';
import { spoken } from '../../lib/words.ts';
import { colours } from './colours.ts';
import { fontsFor } from './fonts.ts';

const fonts = fontsFor(spoken().language);

const semanticColours = Object.fromEntries(
  Object.entries(colours).map(([name, { day, night }]) => [name, { value: { base: day, _dark: night } }]),
);

const config = defineConfig({
  globalCss: {
    'html, body': { background: 'page', color: 'ink', fontFamily: 'body', fontSize: '15px', lineHeight: 1.35 },
    // Date pickers and scroll bars of the platform follow.
    'html.dark': { colorScheme: 'dark' },
    // What the keyboard reaches comes to lie above the strip of dials that stays at the foot of narrow screens.
    html: { scrollPaddingBottom: { base: '72px', xl: '0' } },
    // One focus mark everywhere, visible on every ground.
    '*:focus-visible': { outline: '2px solid var(--chakra-colors-accent)', outlineOffset: '2px' },
    '::selection': { background: 'accentSoft', color: 'ink' },
    '*, *::before, *::after': {
      _motionReduce: { animationDuration: '0.01ms !important', transitionDuration: '0.01ms !important' },
    },
  },
  theme: {
    tokens: {
      fonts: {
        body: { value: fonts.body },
        heading: { value: fonts.body },
        mono: { value: fonts.figures },
      },
    },
    semanticTokens: { colors: semanticColours },
    textStyles: {
      title: { value: { fontSize: '20px', fontWeight: 650, fontStretch: '84%', lineHeight: 1.15 } },
      heading: { value: { fontSize: '16px', fontWeight: 650, fontStretch: '88%', lineHeight: 1.2 } },
      label: { value: { fontSize: '12px', fontWeight: 400, lineHeight: 1.3 } },
      figure: { value: { fontFamily: 'mono', fontWeight: 500, fontSize: '16px', fontVariantNumeric: 'tabular-nums' } },
      bigFigure: {
        value: {
          fontFamily: 'mono',
          fontWeight: 500,
          fontSize: '24px',
          lineHeight: 1.1,
          fontVariantNumeric: 'tabular-nums',
        },
      },
    },
  },
});

export const system = createSystem(defaultConfig, config);
