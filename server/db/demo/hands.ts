/** How fast the invented welders travel against a plan; everybody else as planned. */
const hands: Readonly<Record<string, number>> = {
  'teo-varnholt': 0.98,
  'runa-felswick': 1.06,
  'bastian-oxmere': 0.94,
  // Careful and slow.
  'odile-trennaby': 0.76,
};

export function handOf(personId: string): number {
  return hands[personId] ?? 1;
}
