/** One job on its machine: its changeover and its work; dragged, or moved by the arrow keys, held and let go by Enter. */
import { useDraggable } from '@dnd-kit/core';
import { Box, chakra } from '@chakra-ui/react';
import { hoursMinutes, type DayBar, type NamedJob } from '@fox-tempo/core/day/plan';
import { memo } from 'react';
import { t } from '../../lib/words.ts';
import type { Step } from './move.ts';

export interface BarProps {
  readonly bar: DayBar;
  readonly job: NamedJob | undefined;
  /** Minutes that the whole lane stands for. */
  readonly end: number;
  readonly held: boolean;
  readonly onStep: (job: NamedJob, step: Step) => void;
  readonly onHold: (job: NamedJob) => void;
}

const keys: Readonly<Record<string, Step>> = {
  ArrowLeft: 'earlier',
  ArrowRight: 'later',
  ArrowUp: 'up',
  ArrowDown: 'down',
};
const hatched =
  'repeating-linear-gradient(45deg, var(--chakra-colors-ochre-soft), var(--chakra-colors-ochre-soft) 4px, var(--chakra-colors-surface) 4px, var(--chakra-colors-surface) 8px)';

export const Bar = memo(function Bar({ bar, job, end, held, onStep, onHold }: BarProps) {
  const { setNodeRef, listeners, transform, isDragging } = useDraggable({ id: bar.jobId });
  const share = (minute: number) => `${(100 * minute) / end}%`;
  const name = job?.name ?? bar.jobId;
  const late = bar.lateMinutes > 0;
  const title = [
    `${name}, ${job?.order ?? ''}: ${hoursMinutes(bar.fromMinute)} – ${hoursMinutes(bar.toMinute)}`,
    ...(late ? [t('view.run-plan.is-late')] : []),
    ...(held ? [t('view.run-plan.held')] : []),
  ].join(', ');
  return (
    <>
      {bar.setupMinutes > 0 && (
        <Box
          position="absolute"
          top="0"
          bottom="0"
          title={t('view.run-plan.changeover', { seam: name })}
          style={{
            left: share(bar.fromMinute - bar.setupMinutes),
            width: share(bar.setupMinutes),
            background: hatched,
          }}
        />
      )}
      <chakra.button
        ref={setNodeRef}
        type="button"
        data-job={bar.jobId}
        aria-label={title}
        aria-keyshortcuts="ArrowLeft ArrowRight ArrowUp ArrowDown Enter"
        aria-pressed={held}
        position="absolute"
        top="4px"
        bottom="4px"
        textAlign="start"
        bg={late ? 'crimsonSoft' : 'spruceSoft'}
        borderWidth="1px"
        borderStartWidth={held ? '6px' : '1px'}
        borderColor={late ? 'crimson' : 'spruce'}
        borderRadius="2px"
        px="1"
        fontSize="label"
        lineHeight="1.2"
        overflow="hidden"
        cursor="grab"
        touchAction="none"
        zIndex={isDragging ? 2 : undefined}
        opacity={isDragging ? 0.85 : undefined}
        style={{
          left: share(bar.fromMinute),
          width: share(bar.toMinute - bar.fromMinute),
          ...(transform ? { transform: `translate(${transform.x}px, ${transform.y}px)` } : {}),
        }}
        {...listeners}
        onKeyDown={(event) => {
          const step = keys[event.key];
          if (!job || !step) return;
          event.preventDefault();
          onStep(job, step);
        }}
        onClick={() => job && onHold(job)}
      >
        {/* What is cut off is said in full where the pointer rests. */}
        <Box truncate title={title}>
          {late ? '✕ ' : ''}
          {name}
        </Box>
        <Box truncate title={title}>
          {job?.order}
        </Box>
      </chakra.button>
    </>
  );
});
