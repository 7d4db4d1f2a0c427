import { describe, expect, it } from '@jest/globals';
import { colours, type ColourName } from './colours.ts';

/** Relative luminance and contrast ratio as WCAG 2.2 defines them. */
function luminance(hex: string): number {
  const [r = 0, g = 0, b = 0] = [1, 3, 5]
    .map((at) => parseInt(hex.slice(at, at + 2), 16) / 255)
    .map((c) => (c <= 0.03928 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4));
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}
function contrast(one: string, other: string): number {
  const [light = 0, dark = 0] = [luminance(one), luminance(other)].sort((a, b) => b - a);
  return (light + 0.05) / (dark + 0.05);
}

const texts: readonly (readonly [ColourName, readonly ColourName[]])[] = [
  ['ink', ['page', 'surface', 'accentSoft', 'ochreSoft', 'crimsonSoft', 'spruceSoft', 'metal']],
  ['quiet', ['page', 'surface', 'accentSoft']],
  ['accent', ['page', 'surface', 'accentSoft']],
  ['onAccent', ['accent']],
  ['ochre', ['surface', 'ochreSoft', 'accentSoft']],
  ['crimson', ['surface', 'crimsonSoft']],
  ['spruce', ['surface', 'spruceSoft']],
];

describe.each(['day', 'night'] as const)('colours by %s', (theme) => {
  it.each(texts.flatMap(([text, grounds]) => grounds.map((ground) => [text, ground] as const)))(
    '%s reads on %s (AA, 4.5)',
    (text, ground) => {
      expect(contrast(colours[text][theme], colours[ground][theme])).toBeGreaterThanOrEqual(4.5);
    },
  );

  it('edges of inputs stand out (AA, 3)', () => {
    expect(contrast(colours.edge[theme], colours.surface[theme])).toBeGreaterThanOrEqual(3);
  });
});
