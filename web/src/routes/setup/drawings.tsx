/** Our own drawings of the set-up: grooves in section, where the tip ends, and the four lengths that are taken for one another. */
import { amount } from '@fox-tempo/core/base/messages';
import { t } from '../../lib/words.ts';
import type { Groove } from '@fox-tempo/core/machine/setup';
import { cssColour } from '../../ui/theme/colours.ts';

const ink = cssColour('ink');
const quiet = cssColour('quiet');
const metal = cssColour('metal');
const edge = cssColour('metalEdge');
const accent = cssColour('accent');

const grooveWords: Record<Groove, string> = {
  V: t('view.setup.groove-v'),
  U: t('view.setup.groove-u'),
  knurled: t('view.setup.groove-knurled'),
};

/** Section through the roll with the wire in its groove. */
export function GrooveDrawing({ groove }: { readonly groove: Groove }) {
  const path = {
    V: 'M6 20H42L60 44 78 20H114V62H6Z',
    U: 'M6 20H42V30A18 18 0 0 0 78 30V20H114V62H6Z',
    knurled: 'M6 20H42L47 27 43 31 52 34 49 39 60 44 71 39 68 34 77 31 73 27 78 20H114V62H6Z',
  }[groove];
  const wire = { V: { cy: 23, r: 11 }, U: { cy: 30, r: 16 }, knurled: { cy: 25, r: 11 } }[groove];
  return (
    <svg width="120" height="68" viewBox="0 0 120 68" role="img" aria-label={grooveWords[groove]}>
      <path d={path} fill={metal} stroke={edge} strokeWidth="1.5" strokeLinejoin="round" />
      <circle cx="60" cy={wire.cy} r={wire.r} fill={cssColour('surface')} stroke={accent} strokeWidth="2.5" />
    </svg>
  );
}

/** Nozzle in section with the contact tip's end against its edge; to scale, 4 px a millimetre. */
export function RecessDrawing({ recessMm }: { readonly recessMm: number }) {
  const edgeY = 52;
  const tipY = edgeY - 4 * recessMm;
  const words =
    Math.abs(recessMm) < 0.5
      ? t('view.setup.tip-flush')
      : recessMm > 0
        ? t('view.setup.tip-inside', { recess: amount('shortLength', recessMm) })
        : t('view.setup.tip-outside', { recess: amount('shortLength', -recessMm) });
  return (
    <svg width="120" height="84" viewBox="0 0 120 84" role="img" aria-label={words}>
      <path d={`M30 4V${edgeY}H38V4ZM90 4V${edgeY}H82V4Z`} fill={metal} stroke={edge} strokeWidth="1.5" />
      <path d={`M52 4V${tipY}H68V4Z`} fill={metal} stroke={ink} strokeWidth="1.5" />
      <path d={`M60 4V${tipY + 22}`} stroke={accent} strokeWidth="3" />
      {Math.abs(recessMm) >= 0.5 && (
        <path d={`M96 ${edgeY}H112M70 ${tipY}H112M106 ${edgeY}V${tipY}`} stroke={quiet} strokeWidth="1" fill="none" />
      )}
    </svg>
  );
}

/** Cut before the start, stick-out while welding, recess, and wire left after the stop, side by side. */
export function LengthsDrawing({ ctwdMm, recessMm }: { readonly ctwdMm: number; readonly recessMm: number }) {
  const tipY = 30;
  const scale = 3.4;
  const columns = [
    {
      name: t('view.setup.cut'),
      note: t('view.setup.before-the-start'),
      length: Math.max(ctwdMm - 5, 5),
      plate: false,
    },
    { name: t('view.simulator.axis.ctwd'), note: t('view.setup.tip-to-plate'), length: ctwdMm, plate: true },
    { name: t('view.setup.recess'), note: t('view.setup.length-recess'), length: recessMm, plate: false },
    {
      name: t('view.setup.left-after-stop'),
      note: t('view.setup.length-extension'),
      length: Math.max(ctwdMm - 4, 5),
      plate: false,
    },
  ];
  return (
    <svg
      width="100%"
      viewBox="0 0 420 128"
      role="img"
      aria-label={t('view.setup.lengths-picture', {
        ctwd: amount('shortLength', ctwdMm),
        recess: amount('shortLength', recessMm),
      })}
      style={{ maxWidth: '520px' }}
    >
      {columns.map(({ name, note, length, plate }, at) => {
        const x = 52 + at * 105;
        const endY = tipY + length * scale;
        const nozzleY = tipY + recessMm * scale;
        return (
          <g key={name}>
            <path d={`M${x - 22} 4V${nozzleY}M${x + 22} 4V${nozzleY}`} stroke={edge} strokeWidth="3" />
            <path d={`M${x - 7} 4V${tipY}H${x + 7}V4Z`} fill={metal} stroke={ink} strokeWidth="1.3" />
            {name !== 'recess' && (
              <path d={`M${x} ${tipY}V${plate ? endY - 4 * scale : endY}`} stroke={accent} strokeWidth="3" />
            )}
            {plate && <path d={`M${x - 34} ${endY}H${x + 34}`} stroke={edge} strokeWidth="5" />}
            <path
              d={`M${x + 30} ${tipY}V${endY}M${x + 26} ${tipY}h8M${x + 26} ${endY}h8`}
              stroke={ink}
              strokeWidth="1.2"
              fill="none"
            />
            <text x={x} y="113" textAnchor="middle" style={{ fontSize: '12px', fontWeight: 600 }} fill={ink}>
              {name}
            </text>
            <text x={x} y="125" textAnchor="middle" style={{ fontSize: '10.5px' }} fill={quiet}>
              {note}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
