/** A dial's travel drawn as a rule: its ends, its neutral point, where it stands now, and which way "more" goes. */
import { t } from '../../lib/words.ts';
import { displayed, type DialScale, type NumericScale } from '@fox-tempo/core/machine/description';
import { cssColour } from '../../ui/theme/colours.ts';

const width = 190;
const left = 10;
const right = 180;
const y = 16;

export function ScalePicture({
  scale,
  sense,
  stands,
}: {
  readonly scale: DialScale;
  readonly sense: string | undefined;
  readonly stands: number | undefined;
}) {
  const travel = travelOf(scale);
  if (!travel) return null;
  const at = (value: number) => left + ((value - travel.min) / (travel.max - travel.min)) * (right - left);
  const words = [
    t('view.ui.band', { low: displayed(scale, travel.min), high: displayed(scale, travel.max) }),
    ...(travel.neutral === undefined
      ? []
      : [t('view.machines.neutral-at', { neutral: displayed(scale, travel.neutral) })]),
    ...(stands === undefined ? [] : [t('view.machines.set-to', { stands: displayed(scale, stands) })]),
    ...(sense === undefined ? [] : [sense]),
  ].join(', ');
  const ticks = ticksOf(scale, travel);
  return (
    <svg width={width} height="36" viewBox={`0 0 ${width} 36`} role="img" aria-label={words}>
      <line x1={left} y1={y} x2={right} y2={y} stroke={cssColour('edge')} strokeWidth="2" />
      {ticks.map((tick) => (
        <line key={tick} x1={at(tick)} y1={y - 4} x2={at(tick)} y2={y + 4} stroke={cssColour('edge')} />
      ))}
      {travel.neutral !== undefined && travel.neutral >= travel.min && travel.neutral <= travel.max && (
        <path d={`M${at(travel.neutral)} ${y - 8}v16`} stroke={cssColour('ink')} strokeWidth="2" />
      )}
      {stands !== undefined && (
        <circle
          cx={Math.min(Math.max(at(stands), left), right)}
          cy={y}
          r="5.5"
          fill={cssColour('accent')}
          stroke={cssColour('surface')}
          strokeWidth="1.5"
        />
      )}
      <text x={left} y="33" style={{ fontSize: '11px' }} textAnchor="start" fill={cssColour('quiet')}>
        {displayed(scale, travel.min)}
      </text>
      <text x={right} y="33" style={{ fontSize: '11px' }} textAnchor="end" fill={cssColour('quiet')}>
        {displayed(scale, travel.max)}
      </text>
    </svg>
  );
}

interface Drawn {
  readonly min: number;
  readonly max: number;
  readonly neutral: number | undefined;
}

function travelOf(scale: DialScale): Drawn | undefined {
  if (scale.kind === 'chart-line') return undefined;
  if (scale.kind === 'named' || scale.kind === 'stepped') {
    return { min: 0, max: Math.max(scale.positions.length - 1, 1), neutral: undefined };
  }
  return { min: scale.min, max: scale.max, neutral: neutralOf(scale) };
}

/** Only where neutral means something to a hand: inside the travel and not its lower end. */
function neutralOf(scale: NumericScale): number | undefined {
  if (scale.kind !== 'linear' && scale.kind !== 'line-offset') return undefined;
  return scale.neutral > scale.min ? scale.neutral : undefined;
}

function ticksOf(scale: DialScale, { min, max }: Drawn): number[] {
  const steps = 'step' in scale ? Math.round((max - min) / scale.step) : max - min;
  const count = steps <= 12 ? steps : 10;
  return Array.from({ length: count + 1 }, (_, index) => min + ((max - min) * index) / count);
}
