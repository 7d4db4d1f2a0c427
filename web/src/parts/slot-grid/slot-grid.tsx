/** The slots of a machine's memory as buttons: with the seam's name where there are few, with a mark where there are many. */
import { Box, chakra } from '@chakra-ui/react';
import type { ReactNode } from 'react';

/** Up to so many, each slot has room for a name. */
const fewSlots = 20;

export interface SlotLook {
  /** The whole slot in words, for those who do not see the grid. */
  readonly spoken: string;
  /** What stands in it, or that it is free. */
  readonly name: string;
  readonly isTaken: boolean;
  readonly mark?: ReactNode;
}

export interface SlotGridProps {
  readonly label: string;
  readonly numbers: readonly number[];
  readonly chosen: number | null;
  readonly lookOf: (number: number) => SlotLook;
  readonly onChoose: (number: number) => void;
}

export function SlotGrid({ label, numbers, chosen, lookOf, onChoose }: SlotGridProps) {
  const isFew = numbers.length <= fewSlots;
  return (
    <Box
      role="group"
      aria-label={label}
      display="grid"
      gridTemplateColumns={`repeat(auto-fill, minmax(${isFew ? '150px' : '64px'}, 1fr))`}
      gap="1.5"
    >
      {numbers.map((number) => {
        const { spoken, name, isTaken, mark } = lookOf(number);
        return (
          <chakra.button
            key={number}
            type="button"
            aria-pressed={chosen === number}
            aria-label={spoken}
            onClick={() => onChoose(number)}
            minHeight={isFew ? '64px' : '44px'}
            minWidth={0}
            p="1.5"
            textAlign="start"
            borderWidth="1px"
            borderRadius="3px"
            borderColor={chosen === number ? 'accent' : isTaken ? 'edge' : 'line'}
            bg={chosen === number ? 'accentSoft' : isTaken ? 'surface' : 'transparent'}
            color={isTaken ? 'ink' : 'quiet'}
            cursor="pointer"
            overflow="hidden"
          >
            <Box fontFamily="mono" fontSize="text">
              {number} {mark}
            </Box>
            {isFew ? (
              <Box fontSize="label" lineClamp={2}>
                {name}
              </Box>
            ) : (
              isTaken && <Box fontSize="label">●</Box>
            )}
          </chakra.button>
        );
      })}
    </Box>
  );
}
