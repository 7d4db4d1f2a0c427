/** A figure with its unit in the system the reader has chosen. */
import { t, formatQuantity } from '../lib/words.ts';
import { Box, type BoxProps } from '@chakra-ui/react';
import { type QuantityName } from '@fox-tempo/core/base/units';
import { useSettings } from '../session/settings.ts';

export interface FigureProps extends BoxProps {
  readonly value: number;
  readonly of: QuantityName;
  readonly digits?: number | undefined;
}

export function Figure({ value, of, digits, ...rest }: FigureProps) {
  const units = useSettings((state) => state.units);
  const shown = formatQuantity(value, of, units, digits);
  return (
    <Box as="span" textStyle="figure" whiteSpace="nowrap" {...rest}>
      {shown.text}
      {shown.unit !== '' && (
        <Box as="span" fontSize="0.72em" color="quiet" ms="0.35em">
          {shown.unit}
        </Box>
      )}
    </Box>
  );
}

/** Lower and upper end of a prediction, or of a rule of practice; the unit stands with the figure beside it. */
export function BandText({
  band,
  of,
  digits,
}: {
  readonly band: readonly [number, number];
  readonly of: QuantityName;
  readonly digits?: number | undefined;
}) {
  const units = useSettings((state) => state.units);
  const [low, high] = band.map((value) => formatQuantity(value, of, units, digits).text);
  return (
    <Box as="span" fontFamily="mono" fontSize="label" color="quiet" whiteSpace="nowrap">
      {t('view.setup.to', { low: low ?? '', high: high ?? '' })}
    </Box>
  );
}
