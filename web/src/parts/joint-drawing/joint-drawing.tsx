/** The joint drawn to scale from its numbers: plates, bead, gun with wire and arc at their true lengths, and a ruler. */
import { absent, amount } from '@fox-tempo/core/base/messages';
import { t, format, formatWithUnit } from '../../lib/words.ts';
import { chakra } from '@chakra-ui/react';
import { jointRule, positionName } from '@fox-tempo/core/setting/plan';
import { useSettings } from '../../session/settings.ts';
import { cssColour } from '../../ui/theme/colours.ts';
import { jointGeometry, type JointNumbers, type Point } from '@fox-tempo/core/setting/joint';

export interface JointDrawingProps extends JointNumbers {
  /** Gun: stick-out, arc and wire, mm; null while there is no setting. */
  readonly gun: {
    readonly ctwdMm: number;
    readonly arcLengthMm: number;
    readonly diameterMm: number;
    readonly tipRecessMm: number;
  } | null;
  readonly width?: number;
  readonly height?: number;
  /** Without words and ruler, for lists. */
  readonly small?: boolean;
}

export function JointDrawing({ gun, width = 560, height = 230, small = false, ...numbers }: JointDrawingProps) {
  const units = useSettings((state) => state.units);
  const joint = jointGeometry(numbers);
  // The window holds the joint and, where there is one, the gun down to a little above its tip.
  const isGroove = joint.passes !== undefined;
  const thickMm = Math.max(...numbers.thicknessesMm);
  const spanMm = isGroove
    ? thickMm * 1.25 + (gun ? gun.ctwdMm * 0.55 : 4)
    : Math.max(joint.reachMm * 1.5, gun ? gun.ctwdMm * 0.95 + joint.reachMm * 0.55 : 0);
  const scale = height / spanMm;
  // A groove is looked at whole, from under its root to the gun; other joints lie in the middle.
  const shift = isGroove ? spanMm / 2 - thickMm * 1.12 : gun ? spanMm * 0.2 : 0;
  const centre: Point = [joint.gun[0] * shift, joint.gun[1] * shift];
  const x = (mm: number) => width / 2 + (mm - centre[0]) * scale;
  const y = (mm: number) => height / 2 - (mm - centre[1]) * scale;
  const at = ([px, py]: Point) => `${x(px).toFixed(1)} ${y(py).toFixed(1)}`;
  const path = (points: readonly Point[]) => `M${points.map(at).join('L')}Z`;
  const { from, root, to, crown } = joint.bead;
  const name = (mm: number) => formatWithUnit(mm, 'thickness', units);
  const [first, second] = numbers.thicknessesMm;

  const words = t('view.joint-drawing.description', {
    joint: jointRule(numbers.joint).name,
    position: positionName(numbers.position, numbers.joint),
    first: name(first),
    second: name(second),
    gap: numbers.gapMm > 0 ? name(numbers.gapMm) : absent,
    leg: numbers.legMm === null ? absent : name(numbers.legMm),
    passes: joint.passes?.length ?? 1,
    ctwd: gun ? name(gun.ctwdMm) : absent,
    arcLength: gun ? name(gun.arcLengthMm) : absent,
  });

  return (
    <chakra.svg
      viewBox={`0 0 ${width} ${height}`}
      width="100%"
      height="auto"
      role="img"
      aria-label={words}
      display="block"
      overflow="hidden"
    >
      <g strokeLinejoin="round">
        {joint.plates.map((plate, index) => (
          <path
            key={index}
            d={path(plate.outline)}
            fill={cssColour('metal')}
            stroke={cssColour('metalEdge')}
            strokeWidth={small ? 1 : 1.5}
          />
        ))}
        {joint.passes ? (
          joint.passes.map((pass) => (
            <path
              key={pass.pass}
              d={path(pass.outline)}
              fill={cssColour('accent')}
              fillOpacity={pass.pass % 2 === 0 ? 0.2 : 0.4}
              stroke={cssColour('accent')}
              strokeWidth={small ? 0.75 : 1.25}
            />
          ))
        ) : (
          <path
            d={`M${at(root)}L${at(from)}Q${at(crown)} ${at(to)}Z`}
            fill={cssColour('accent')}
            fillOpacity={0.32}
            stroke={cssColour('accent')}
            strokeWidth={small ? 1 : 1.5}
          />
        )}
      </g>
      {!small &&
        joint.passes?.map((pass) => (
          <text
            key={pass.pass}
            x={x(pass.label[0])}
            y={y(pass.label[1]) + 0.5}
            textAnchor="middle"
            dominantBaseline="central"
            fontSize={Math.min(Math.max(pass.heightMm * scale * 0.82, 8), 13)}
            fontWeight={700}
            fill={cssColour('ink')}
          >
            {pass.pass}
          </text>
        ))}
      {gun && <Gun {...gun} aim={joint.aim} gun={joint.gun} at={at} scale={scale} />}
      {!small && (
        <>
          <Thicknesses joint={joint} at={at} x={x} y={y} width={width} height={height} name={name} />
          {joint.leg && numbers.legMm !== null && (
            <Dimension
              from={joint.leg[0]}
              to={joint.leg[1]}
              label={t('view.joint-drawing.leg', { leg: name(numbers.legMm) })}
              away={[-joint.gun[0], -joint.gun[1]]}
              x={x}
              y={y}
              scale={scale}
            />
          )}
          <Ruler scale={scale} height={height} units={units} />
          {(numbers.position === 'PF' || numbers.position === 'PG') && (
            <text x={width - 12} y={height - 12} textAnchor="end" fontSize="12" fill={cssColour('quiet')}>
              {t('view.joint-drawing.seen-along', {
                position: numbers.position === 'PF' ? t('view.joint-drawing.up') : t('view.joint-drawing.down'),
              })}
            </text>
          )}
        </>
      )}
    </chakra.svg>
  );
}

/** Contact tip, wire and arc at true length; the nozzle as an outline. */
function Gun({
  ctwdMm,
  arcLengthMm,
  diameterMm,
  tipRecessMm,
  aim,
  gun,
  at,
  scale,
}: NonNullable<JointDrawingProps['gun']> & { aim: Point; gun: Point; at: (point: Point) => string; scale: number }) {
  const along = (mm: number, side = 0): Point => [
    aim[0] + gun[0] * mm - gun[1] * side,
    aim[1] + gun[1] * mm + gun[0] * side,
  ];
  const line = (...points: Point[]) => `M${points.map(at).join('L')}`;
  const nozzleFrom = ctwdMm - tipRecessMm;
  const far = ctwdMm + 40;
  return (
    <g>
      <path
        d={`${line(along(arcLengthMm, 0.4), along(0, -arcLengthMm * 0.55), along(0, arcLengthMm * 0.55))}Z`}
        fill={cssColour('ochre')}
        fillOpacity={0.4}
      />
      <path
        d={line(along(arcLengthMm), along(far))}
        stroke={cssColour('ink')}
        strokeWidth={Math.max(diameterMm * scale, 1.5)}
      />
      <path
        d={`${line(along(ctwdMm, -3), along(ctwdMm, 3), along(far, 3), along(far, -3))}Z`}
        fill={cssColour('quiet')}
        fillOpacity={0.55}
      />
      <path
        d={`${line(along(nozzleFrom, -8), along(far, -8))}${line(along(nozzleFrom, 8), along(far, 8))}`}
        stroke={cssColour('quiet')}
        strokeWidth="2"
        fill="none"
      />
      <circle
        cx={at(along(arcLengthMm)).split(' ')[0]}
        cy={at(along(arcLengthMm)).split(' ')[1]}
        r={Math.max(0.55 * diameterMm * scale, 2)}
        fill={cssColour('accent')}
      />
    </g>
  );
}

function Thicknesses({
  joint,
  at,
  x,
  y,
  width,
  height,
  name,
}: {
  joint: ReturnType<typeof jointGeometry>;
  at: (point: Point) => string;
  x: (mm: number) => number;
  y: (mm: number) => number;
  width: number;
  height: number;
  name: (mm: number) => string;
}) {
  return joint.plates.map((plate, index) => {
    const [px, py] = plate.label;
    // The label sits on the plate where it leaves the window.
    const towards = Math.hypot(px, py) || 1;
    let reach = towards;
    while (
      reach > 0 &&
      (x((px / towards) * reach) < 34 ||
        x((px / towards) * reach) > width - 34 ||
        y((py / towards) * reach) < 16 ||
        y((py / towards) * reach) > height - 14)
    )
      reach -= 0.2;
    const [lx, ly] = at([(px / towards) * reach, (py / towards) * reach]).split(' ');
    return (
      <text
        key={index}
        x={lx}
        y={ly}
        textAnchor="middle"
        dominantBaseline="central"
        fontSize="12"
        fontWeight={600}
        fill={cssColour('ink')}
        stroke={cssColour('surface')}
        strokeWidth={3}
        paintOrder="stroke"
      >
        {name(plate.thicknessMm)}
      </text>
    );
  });
}

function Dimension({
  from,
  to,
  label,
  away,
  x,
  y,
  scale,
}: {
  from: Point;
  to: Point;
  label: string;
  away: Point;
  x: (mm: number) => number;
  y: (mm: number) => number;
  scale: number;
}) {
  const off = 14 / scale;
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  const length = Math.hypot(dx, dy) || 1;
  // Perpendicular to the line measured, on the side away from the gun.
  const side = -dy * away[0] + dx * away[1] >= 0 ? 1 : -1;
  const normal: Point = [(-dy / length) * side * off, (dx / length) * side * off];
  const a: Point = [from[0] + normal[0], from[1] + normal[1]];
  const b: Point = [to[0] + normal[0], to[1] + normal[1]];
  const text: Point = [(a[0] + b[0]) / 2 + normal[0] * 0.85, (a[1] + b[1]) / 2 + normal[1] * 0.85];
  return (
    <g>
      <line x1={x(a[0])} y1={y(a[1])} x2={x(b[0])} y2={y(b[1])} stroke={cssColour('accent')} strokeWidth="1.5" />
      {[a, b].map((end, index) => (
        <circle key={index} cx={x(end[0])} cy={y(end[1])} r="2.2" fill={cssColour('accent')} />
      ))}
      <text
        x={x(text[0])}
        y={y(text[1])}
        textAnchor="middle"
        dominantBaseline="central"
        fontSize="12"
        fontWeight={600}
        fill={cssColour('accent')}
        stroke={cssColour('surface')}
        strokeWidth={3}
        paintOrder="stroke"
      >
        {label}
      </text>
    </g>
  );
}

/** A length to hold the drawing against: 5 or 10 mm, or a quarter inch. */
function Ruler({ scale, height, units }: { scale: number; height: number; units: 'metric' | 'us' }) {
  const lengthMm = units === 'us' ? 6.35 : scale > 9 ? 5 : 10;
  const [x0, y0] = [14, height - 14];
  return (
    <g stroke={cssColour('quiet')} strokeWidth="1.5">
      <path d={`M${x0} ${y0 - 4}V${y0}H${x0 + lengthMm * scale}V${y0 - 4}`} fill="none" />
      <text
        x={x0 + (lengthMm * scale) / 2}
        y={y0 - 6}
        textAnchor="middle"
        fontSize="12"
        fill={cssColour('quiet')}
        stroke="none"
      >
        {units === 'us' ? t('view.joint-drawing.quarter-inch') : format(amount('shortLength', lengthMm))}
      </text>
    </g>
  );
}
