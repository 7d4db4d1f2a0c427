/** The map as a file: a drawing that stands by itself, or a table of its places. */
import { t } from '../../lib/words.ts';
import type { ZoneMap } from '@fox-tempo/core/weld/zone-map';
import { csvOf } from '@fox-tempo/contract';
import { colours, cssColour, type ColourName } from '../../ui/theme/colours.ts';

/** Ground and what moves over it as one drawing by itself, with its colours written out. */
export function plainSvg(ground: SVGSVGElement | null, over: SVGSVGElement | null, theme: 'day' | 'night'): string {
  if (!ground || !over) return '';
  const whole = ground.cloneNode(true) as SVGSVGElement;
  for (const child of over.childNodes) whole.append(child.cloneNode(true));
  const [, , width = '400', height = '300'] = (ground.getAttribute('viewBox') ?? '').split(' ');
  const text = new XMLSerializer()
    .serializeToString(whole)
    .replace('<svg ', `<svg width="${width}" height="${height}" `);
  return (Object.keys(colours) as ColourName[]).reduce(
    (all, name) => all.replaceAll(cssColour(name), colours[name][theme]),
    text,
  );
}

export function mapCsv(map: ZoneMap): string {
  const heads = [
    map.x.axis,
    map.y.axis,
    'zone',
    t('view.simulator.shorts-per-second'),
    t('view.simulator.drops-per-pulse'),
    t('view.simulator.arc-length-mm'),
  ];
  const rows = map.cells.flatMap((cell, place) => {
    if (!cell) return [];
    const x = map.x.from + (((place % map.count) + 0.5) / map.count) * (map.x.to - map.x.from);
    const y = map.y.from + ((Math.floor(place / map.count) + 0.5) / map.count) * (map.y.to - map.y.from);
    return [
      [
        x.toFixed(3),
        y.toFixed(3),
        cell.zone,
        cell.shortsPerS.toFixed(1),
        cell.dropsPerPulse.toFixed(2),
        cell.arcLengthMm.toFixed(2),
      ],
    ];
  });
  return csvOf(heads, rows);
}
