/** British words of the catalogue as they are spelt in the US: an English page follows the units that its reader chose. */
const pairs: readonly (readonly [british: string, american: string])[] = [
  ['aluminium', 'aluminum'],
  ['anodis', 'anodiz'],
  ['calliper', 'caliper'],
  ['cancelled', 'canceled'],
  ['centimetre', 'centimeter'],
  ['colour', 'color'],
  ['draught', 'draft'],
  ['galvanis', 'galvaniz'],
  ['grey', 'gray'],
  ['millimetre', 'millimeter'],
  ['metre', 'meter'],
  ['modelled', 'modeled'],
  ['oxidis', 'oxidiz'],
  ['practise', 'practice'],
  ['vapour', 'vapor'],
];

const british = new Map(pairs);
const words = new RegExp(`\\b(${pairs.map(([one]) => one).join('|')})`, 'gi');

/** `text` without the names of values and choices: the text that a person reads. */
export function american(text: string): string {
  return text.replaceAll(words, (word) => {
    const said = british.get(word.toLowerCase()) ?? word;
    return word.startsWith(word.charAt(0).toUpperCase()) ? said.charAt(0).toUpperCase() + said.slice(1) : said;
  });
}

interface Element {
  readonly type: number;
  readonly value?: unknown;
  readonly options?: Readonly<Record<string, { readonly value: readonly Element[] }>>;
}

/** The same message with its texts so spelt; a text has type 0. */
export function americanMessage<T extends Element>(elements: readonly T[]): T[] {
  return elements.map((element) => ({
    ...element,
    ...(element.type === 0 && typeof element.value === 'string' ? { value: american(element.value) } : {}),
    ...(element.options
      ? {
          options: Object.fromEntries(
            Object.entries(element.options).map(([name, option]) => [
              name,
              { ...option, value: americanMessage(option.value) },
            ]),
          ),
        }
      : {}),
  }));
}
