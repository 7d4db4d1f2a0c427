/** A dial's scale in one plain sentence: what a welder would say of it. */
import { isNumeric, quantityFacts, quantityText, type Dial, type Machine } from '@fox-tempo/core/machine';

export function scaleWords({ scale }: Dial, dials: Machine['dials']): string {
  switch (scale.kind) {
    case 'linear': {
      const { name } = quantityFacts(scale.quantity);
      const also = scale.also ? `; drags ${quantityFacts(scale.also.quantity).name} along` : '';
      const plain = scale.quantityPerUnit === 1 && scale.neutral === scale.quantityAtNeutral;
      return plain
        ? `${name}, as it reads${also}`
        : `${name}: ${shownPerUnit(scale.quantityPerUnit)} ${quantityFacts(scale.quantity).unit} a unit, ${quantityText(scale.quantity, scale.quantityAtNeutral)} at ${scale.neutral}${also}`;
    }
    case 'percent-of': {
      const base = dials.find((dial) => dial.id === scale.of);
      return `${quantityFacts(scale.quantity).name}: percent of ${base?.label ?? scale.of}`;
    }
    case 'line-offset':
      return `arc trim: ${shownPerUnit(scale.voltsPerUnit)} V a unit against the machine’s line`;
    case 'inverse':
      return `${quantityFacts(scale.quantity).name}: ${scale.product} divided by it`;
    case 'stepped':
      return `${quantityFacts(scale.quantity).name}: ${scale.positions.length} clicks`;
    case 'named':
      return `${facetWords[scale.facet]}: ${scale.positions.map((position) => position.label).join(', ')}`;
    case 'chart-line':
      return 'picks the line of the chart';
  }
}

const facetWords = { mode: 'transfer mode', filler: 'wire', trigger: 'trigger mode' } as const;

/** A dial whose sense somebody should try: described, never tested. */
export function isUntested({ scale, senseTested }: Dial): boolean {
  return senseTested === false && isNumeric(scale);
}

function shownPerUnit(value: number): string {
  return Number(value.toPrecision(4)).toString().replace('-', '−');
}
