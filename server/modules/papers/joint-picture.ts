/** The joint to scale as SVG in ink: plates, bead or passes, and a ruler of ten millimetres. */
import { jointGeometry, type JointNumbers, type Point } from '@fox-tempo/core/setting/joint';
import { ink, line, quiet, russet } from './paper-parts.ts';

const size = { width: 240, height: 130 };
const rulerMm = 10;

export function jointPicture(numbers: JointNumbers, rulerText: string): string {
  const joint = jointGeometry(numbers);
  const isGroove = joint.passes !== undefined;
  const thickMm = Math.max(...numbers.thicknessesMm);
  const scale = size.height / (isGroove ? thickMm * 1.5 : joint.reachMm * 1.35);
  const drop = isGroove ? thickMm / 2 : 0;
  const x = (mm: number) => (size.width / 2 + mm * scale).toFixed(1);
  const y = (mm: number) => (size.height / 2 - (mm - (isGroove ? drop : 0)) * scale).toFixed(1);
  const at = ([px, py]: Point) => `${x(px)} ${y(py)}`;
  const outline = (points: readonly Point[]) => `M${points.map(at).join('L')}Z`;
  const { from, root, to, crown } = joint.bead;
  const beads = joint.passes
    ? joint.passes.map(
        (pass) =>
          `<path d="${outline(pass.outline)}" fill="#F2DDCF" stroke="${russet}" stroke-width="0.8"/><text x="${x(pass.label[0])}" y="${y(pass.label[1])}" dy="2.5" text-anchor="middle" font-size="8" fill="${ink}">${pass.pass}</text>`,
      )
    : [
        `<path d="M${at(root)}L${at(from)}Q${at(crown)} ${at(to)}Z" fill="#F2DDCF" stroke="${russet}" stroke-width="0.9"/>`,
      ];
  const rulerPx = rulerMm * scale;
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${size.width} ${size.height}" font-family="Roboto">`,
    ...joint.plates.map(
      (plate) => `<path d="${outline(plate.outline)}" fill="#E9E4D8" stroke="${ink}" stroke-width="0.8"/>`,
    ),
    ...beads,
    `<path d="M6 ${size.height - 8}h${rulerPx.toFixed(1)}M6 ${size.height - 11}v6M${(6 + rulerPx).toFixed(1)} ${size.height - 11}v6" stroke="${quiet}" fill="none"/>`,
    `<text x="${(10 + rulerPx).toFixed(1)}" y="${size.height - 5.5}" font-size="7.5" fill="${quiet}">${rulerText}</text>`,
    `<rect x="0.3" y="0.3" width="${size.width - 0.6}" height="${size.height - 0.6}" fill="none" stroke="${line}" stroke-width="0.6"/>`,
    '</svg>',
  ].join('');
}
