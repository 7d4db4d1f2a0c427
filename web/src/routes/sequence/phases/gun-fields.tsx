/** The gun's two angles as fields of the program, with a sketch: in the joint, and along it. */
import { t } from '../../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import { gunRanges, gunWords, type GunAngles } from '@fox-tempo/core/setting/plan';
import { cssColour } from '../../../ui/theme/colours.ts';
import { ValueField } from '../../../ui/value-field.tsx';

export function GunFields({
  seamId,
  gun,
  onGun,
}: {
  readonly seamId: string;
  readonly gun: GunAngles;
  readonly onGun: (gun: GunAngles) => void;
}) {
  return (
    <>
      <ValueField
        label={t('view.sequence.gun-work-angle')}
        of="plain"
        value={gun.workDeg}
        keep={`score/${seamId}/workDeg`}
        range={gunRanges.workDeg}
        follows
        hint={t('view.sequence.gun-work-angle-hint')}
        onValue={(workDeg) => workDeg !== null && onGun({ ...gun, workDeg })}
      />
      <ValueField
        label={t('view.sequence.gun-travel-angle')}
        of="plain"
        value={gun.travelDeg}
        keep={`score/${seamId}/travelDeg`}
        range={gunRanges.travelDeg}
        follows
        hint={t('view.sequence.gun-travel-angle-hint')}
        onValue={(travelDeg) => travelDeg !== null && onGun({ ...gun, travelDeg })}
      />
      <Sketch gun={gun} />
    </>
  );
}

/** Left across the seam, right along it; the arrow is the way of travel. */
function Sketch({ gun }: { readonly gun: GunAngles }) {
  const gunLine = (x: number, y: number, deg: number) => {
    const rad = (deg * Math.PI) / 180;
    return { x2: x + 34 * Math.cos(rad), y2: y - 34 * Math.sin(rad) };
  };
  const across = gunLine(34, 52, gun.workDeg);
  // Pushed, the gun leans back from where it goes.
  const along = gunLine(116, 52, 90 + gun.travelDeg);
  return (
    <Box asChild width="100%" maxWidth="190px" color="ink">
      <svg viewBox="0 0 170 66" role="img" aria-label={t('view.sequence.gun-at-step', { gun: gunWords(gun) })}>
        <path d="M4 52h74v8H4Z" fill={cssColour('metal')} stroke={cssColour('metalEdge')} />
        {gun.workDeg < 80 && <path d="M26 52V6h8v46Z" fill={cssColour('metal')} stroke={cssColour('metalEdge')} />}
        <line x1="34" y1="52" {...across} stroke={cssColour('accent')} strokeWidth="4" />
        <path d="M86 52h80v8H86Z" fill={cssColour('metal')} stroke={cssColour('metalEdge')} />
        <line x1="116" y1="52" {...along} stroke={cssColour('accent')} strokeWidth="4" />
        <path d="M126 44h28m-6-5 6 5-6 5" fill="none" stroke={cssColour('ink')} strokeWidth="1.6" />
      </svg>
    </Box>
  );
}
