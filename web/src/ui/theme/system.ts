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
    'html, body': { background: 'page', color: 'ink', fontFamily: 'body', fontSize: 'body', lineHeight: 1.35 },
    // Date pickers and scroll bars of the platform follow.
    'html.dark': { colorScheme: 'dark' },
    // What the keyboard reaches comes to lie above the strip of dials that stays at the foot of narrow screens.
    html: { scrollPaddingBottom: { base: '72px', xl: '0' } },
    // One focus mark everywhere, visible on every ground.
    '*:focus-visible': { outline: '2px solid var(--chakra-colors-accent)', outlineOffset: '2px' },
    // Ticks in the house's colour, large enough for a glove.
    'input[type=checkbox]': { accentColor: 'spruce', width: '22px', height: '22px', flexShrink: 0 },
    '::selection': { background: 'accentSoft', color: 'ink' },
    '*, *::before, *::after': {
      _motionReduce: { animationDuration: '0.01ms !important', transitionDuration: '0.01ms !important' },
    },
  },
  theme: {
    tokens: {
      // The type scale: every size of the interface. Drawings measure their letters in their own units.
      fontSizes: {
        label: { value: '12px' },
        small: { value: '13px' },
        text: { value: '14px' },
        body: { value: '15px' },
        lead: { value: '16px' },
        title: { value: '20px' },
        big: { value: '24px' },
        huge: { value: '34px' },
      },
      fonts: {
        body: { value: fonts.body },
        heading: { value: fonts.body },
        mono: { value: fonts.figures },
      },
    },
    semanticTokens: { colors: semanticColours },
    textStyles: {
      title: { value: { fontSize: 'title', fontWeight: 650, fontStretch: '84%', lineHeight: 1.15 } },
      heading: { value: { fontSize: 'lead', fontWeight: 650, fontStretch: '88%', lineHeight: 1.2 } },
      label: { value: { fontSize: 'label', fontWeight: 400, lineHeight: 1.3 } },
      figure: { value: { fontFamily: 'mono', fontWeight: 500, fontSize: 'lead', fontVariantNumeric: 'tabular-nums' } },
      bigFigure: {
        value: {
          fontFamily: 'mono',
          fontWeight: 500,
          fontSize: 'big',
          lineHeight: 1.1,
          fontVariantNumeric: 'tabular-nums',
        },
      },
    },
  },
});

export const system = createSystem(defaultConfig, config);
