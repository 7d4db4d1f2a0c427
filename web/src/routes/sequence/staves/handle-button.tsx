/** One round handle over the staves: dragged, or moved by arrow keys; a slider to a screen reader. */
import { t } from '../../../lib/words.ts';
import { Box, chakra } from '@chakra-ui/react';
import type { TriggerSequence } from '@fox-tempo/core/weld/sequence';
import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { handleValue, movedBy, steps, type Handle } from './handles.ts';
import { xOf, type StavePicture } from './stave-picture.ts';

/** The circle, and how much of the page a gloved finger hits around it, px. */
const handlePx = 16;
const hitPx = 44;

export function HandleButton({
  handle,
  picture,
  sequence,
  paceMmPerS,
  isSelected,
  onSelect,
  onEdit,
  onSettle,
}: {
  readonly handle: Handle;
  readonly picture: StavePicture;
  readonly sequence: TriggerSequence;
  readonly paceMmPerS: number;
  readonly isSelected: boolean;
  readonly onSelect: () => void;
  readonly onEdit: (change: Partial<TriggerSequence>, field: string) => void;
  readonly onSettle: () => void;
}) {
  const grip = useRef<{ x: number; y: number; from: TriggerSequence; pxPerPercent: number } | null>(null);
  const x = xOf(picture, handle.atS);
  const y = heightOf(picture, handle);
  const isHidden = x < picture.layout.left - 2 || x > picture.layout.width - picture.layout.right + 2;
  const place = useRef<HTMLButtonElement>(null);

  function onMove(event: PointerEvent) {
    const held = grip.current;
    if (!held) return;
    const seconds = (event.clientX - held.x) / picture.window.pxPerS;
    const percent = (held.y - event.clientY) / held.pxPerPercent;
    onEdit(movedBy(handle, held.from, { seconds, percent, mm: seconds * paceMmPerS }, event.altKey), handle.id);
  }

  function onKey(event: KeyboardEvent) {
    const sideways = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
    const upward = { ArrowUp: 1, ArrowDown: -1 }[event.key];
    if (sideways === undefined && upward === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    const fine = event.shiftKey;
    onEdit(
      movedBy(
        handle,
        sequence,
        {
          seconds: (sideways ?? 0) * (fine ? steps.fineTimeS : steps.timeS),
          percent: (upward ?? 0) * (fine ? steps.finePercent : steps.percent),
          mm: (sideways ?? 0) * (fine ? steps.fineMm : steps.mm),
        },
        fine,
      ),
      `${handle.id} key`,
    );
  }

  if (isHidden) return null;
  return (
    <chakra.button
      ref={place}
      type="button"
      role="slider"
      aria-label={handle.name}
      aria-valuetext={handleValue(handle, sequence)}
      aria-valuenow={handle.level ? sequence[handle.level] : handle.time ? sequence[handle.time.field] : 0}
      title={t('view.sequence.handle', { handle: handle.name, sequence: handleValue(handle, sequence) })}
      position="absolute"
      left={`${x - hitPx / 2}px`}
      top={`${y - hitPx / 2}px`}
      width={`${hitPx}px`}
      height={`${hitPx}px`}
      display="grid"
      placeItems="center"
      cursor={handle.level ? 'move' : 'ew-resize'}
      css={{ touchAction: 'none' }}
      onFocus={onSelect}
      onKeyDown={onKey}
      onBlur={onSettle}
      onPointerDown={(event) => {
        event.stopPropagation();
        event.currentTarget.focus();
        event.currentTarget.setPointerCapture(event.pointerId);
        const box = picture.layout[handle.stave];
        const top =
          handle.stave === 'wire' ? picture.topPercent : (picture.topPercent * (box.height - 22)) / box.height;
        grip.current = {
          x: event.clientX,
          y: event.clientY,
          from: sequence,
          pxPerPercent: box.height / Math.max(top, 1),
        };
        onSelect();
      }}
      onPointerMove={onMove}
      onPointerUp={() => {
        grip.current = null;
        onSettle();
      }}
      onPointerCancel={() => (grip.current = null)}
    >
      <Box
        width={`${handlePx}px`}
        height={`${handlePx}px`}
        borderRadius="50%"
        bg="surface"
        borderWidth={isSelected ? '4px' : '2.5px'}
        borderColor={handle.stave === 'gas' ? 'spruce' : handle.stave === 'trigger' ? 'ink' : 'accent'}
      />
    </chakra.button>
  );
}

/** Where a handle stands, px from the top. */
function heightOf(picture: StavePicture, { stave, percent }: Handle): number {
  const box = picture.layout[stave];
  if (percent === null) return box.top + box.height / 2;
  if (stave === 'wire') return box.top + box.height - (percent / picture.topPercent) * (box.height - 12);
  const { currentA } = picture.electrical.at((picture.program.wireFeedMPerMin * percent) / 100);
  return box.top + box.height - (currentA / picture.topA) * (box.height - 22);
}
