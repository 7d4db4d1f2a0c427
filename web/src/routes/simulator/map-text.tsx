/** A word on the map, legible on any ground. */
import { cssColour } from '../../ui/theme/colours.ts';

export function MapText({
  x,
  y,
  anchor,
  strong = false,
  children,
}: {
  x: number;
  y: number;
  anchor: 'start' | 'middle' | 'end';
  strong?: boolean;
  children: React.ReactNode;
}) {
  return (
    <text
      x={x}
      y={y}
      textAnchor={anchor}
      style={{
        fontSize: strong ? '12.5px' : '11px',
        fontWeight: strong ? 650 : 500,
        paintOrder: 'stroke',
        pointerEvents: 'none',
      }}
      fill={cssColour('ink')}
      stroke={cssColour('surface')}
      strokeWidth="3"
    >
      {children}
    </text>
  );
}
