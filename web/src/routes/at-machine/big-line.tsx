/** One dial, readable at two metres: tapped when it is set. */
import { Box, chakra } from '@chakra-ui/react';
import { t } from '../../lib/words.ts';
import { Action } from '../../ui/action.tsx';

export interface BigLineProps {
  /** Key that ticks it. */
  readonly digit: number | null;
  readonly label: string;
  readonly where: string;
  readonly display: string;
  readonly unit: string;
  readonly ends?: string | undefined;
  readonly was?: string | undefined;
  readonly isTicked: boolean;
  readonly onTick: () => void;
  /** Steps of this dial inside the window, where it may be moved; undefined where it stays. */
  readonly onStep?: ((by: 1 | -1) => void) | undefined;
  readonly canStep?: { readonly down: boolean; readonly up: boolean };
}

export function BigLine({
  digit,
  label,
  where,
  display,
  unit,
  ends,
  was,
  isTicked,
  onTick,
  onStep,
  canStep = { down: false, up: false },
}: BigLineProps) {
  const isWord = display.length > 7;
  return (
    <Box
      as="li"
      display="grid"
      gridTemplateColumns="minmax(0, 1fr) auto"
      alignItems="stretch"
      bg={isTicked ? 'surface' : 'accentSoft'}
      borderStartWidth="8px"
      borderStartColor={isTicked ? 'spruce' : 'accent'}
      borderBottomWidth="1px"
      borderBottomColor="line"
      minHeight="84px"
    >
      <chakra.button
        type="button"
        aria-pressed={isTicked}
        onClick={onTick}
        display="grid"
        gridTemplateColumns="34px minmax(0, 1fr) auto"
        gap="3"
        alignItems="center"
        px="3"
        py="1.5"
        textAlign="start"
        cursor="pointer"
        minWidth={0}
      >
        <Box as="span" fontSize="huge" color={isTicked ? 'spruce' : 'accent'} aria-hidden="true" textAlign="center">
          {isTicked ? '✓' : (digit ?? '○')}
        </Box>
        <Box as="span" minWidth={0}>
          <Box as="span" display="block" fontSize="clamp(19px, 2.1vw, 27px)" fontWeight={650} lineHeight="1.15">
            {label}
          </Box>
          <Box as="span" display="block" fontSize="text" color="quiet">
            {[where, was === undefined ? '' : t('view.at-machine.set-to', { was }), ends ?? '']
              .filter(Boolean)
              .join('; ')}
          </Box>
        </Box>
        <Box
          as="span"
          textAlign="end"
          fontFamily={isWord ? 'inherit' : 'mono'}
          fontWeight={650}
          fontSize={isWord ? 'clamp(18px, 1.9vw, 26px)' : 'clamp(38px, 4.6vw, 62px)'}
          lineHeight="1.05"
          maxWidth="300px"
        >
          {display}
          {unit !== '' && (
            <Box as="span" fontSize="title" color="quiet" ms="1.5" fontFamily="body">
              {unit}
            </Box>
          )}
        </Box>
      </chakra.button>
      {onStep && (
        <Box display="grid" borderStartWidth="1px" borderColor="line">
          {([1, -1] as const).map((by) => (
            <Action
              key={by}
              kind="quiet"
              minWidth="56px"
              fontSize="title"
              disabled={by > 0 ? !canStep.up : !canStep.down}
              aria-label={by > 0 ? t('view.at-machine.more', { label }) : t('view.at-machine.less', { label })}
              onClick={() => onStep(by)}
            >
              {by > 0 ? '+' : '−'}
            </Action>
          ))}
        </Box>
      )}
    </Box>
  );
}
