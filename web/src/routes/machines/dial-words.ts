/** A dial's scale in one plain sentence: what a welder would say of it. */
import { absent, amount } from '@fox-tempo/core/base/messages';
import { t, format, named, spoken } from '../../lib/words.ts';
import { isNumeric, quantityFacts, quantityText, type Dial, type Machine } from '@fox-tempo/core/machine/description';

export function scaleWords({ scale }: Dial, dials: Machine['dials']): string {
  switch (scale.kind) {
    case 'linear': {
      const { name } = quantityFacts(scale.quantity);
      const also = scale.also ? quantityFacts(scale.also.quantity).name : absent;
      const plain = scale.quantityPerUnit === 1 && scale.neutral === scale.quantityAtNeutral;
      return plain
        ? t('view.machines.as-it-reads', { name, also })
        : t('view.machines.dial.describes-linear', {
            name: format(name),
            quantityPerUnit: shownPerUnit(scale.quantityPerUnit),
            unit: quantityFacts(scale.quantity).unit,
            quantityAtNeutral: format(quantityText(scale.quantity, scale.quantityAtNeutral)),
            neutral: scale.neutral,
            also,
          });
    }
    case 'percent-of': {
      const base = dials.find((dial) => dial.id === scale.of);
      return t('view.machines.dial.describes-percent', {
        quantity: quantityFacts(scale.quantity).name,
        value: base?.label ?? scale.of,
      });
    }
    case 'line-offset':
      return t('view.machines.dial.describes-trim', {
        voltsPerUnit: amount('voltage', Number(shownPerUnit(scale.voltsPerUnit))),
      });
    case 'inverse':
      return t('view.machines.dial.describes-inverse', {
        quantity: quantityFacts(scale.quantity).name,
        product: scale.product,
      });
    case 'stepped':
      return t('view.machines.clicks', {
        quantity: format(quantityFacts(scale.quantity).name),
        positions: scale.positions.length,
      });
    case 'named':
      return `${facetWords[scale.facet]}: ${scale.positions.map((position) => position.label).join(', ')}`;
    case 'chart-line':
      return t('view.machines.dial.describes-chart-line');
  }
}

const facetWords = {
  mode: t('view.machines.transfer-mode'),
  filler: named('wire'),
  trigger: t('view.machines.trigger-mode'),
} as const;

/** A dial whose sense somebody should try: described, never tested. */
export function isUntested({ scale, senseTested }: Dial): boolean {
  return senseTested === false && isNumeric(scale);
}

function shownPerUnit(value: number): string {
  return spoken().number(Number(value.toPrecision(4)));
}
