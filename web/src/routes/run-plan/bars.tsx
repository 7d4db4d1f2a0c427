/**
 * A lane for each machine, a shift to the width of the page: changeovers hatched, work in colour, late work marked, held work with a bar at its left; the end of each shift as a line.
 * A bar is moved by hand: dragged, or by the arrow keys; what stands before it is held with it and the rest is planned again.
 */
import { whyNot, whyNotWords } from '@fox-tempo/core/machine/dials';
import {
  closestCenter,
  DndContext,
  PointerSensor,
  pointerWithin,
  useDroppable,
  useSensor,
  useSensors,
  type CollisionDetection,
  type DragEndEvent,
} from '@dnd-kit/core';
import { Box } from '@chakra-ui/react';
import type { MachineResource } from '@fox-tempo/contract';
import { hoursMinutes, barsOn, usualShifts, type DayPlan, type NamedJob } from '@fox-tempo/core/day/plan';
import { useEffect, useRef, useState } from 'react';
import { t, format } from '../../lib/words.ts';
import { Bar } from './bar.tsx';
import { letGo, placeAt, put, stepped, type Fixed, type Step } from './move.ts';

export interface BarsProps {
  readonly plan: DayPlan;
  readonly machines: readonly MachineResource[];
  readonly jobs: readonly NamedJob[];
  readonly fixed: Fixed;
  readonly onFixed: (fixed: Fixed) => void;
}

/** A finger that only scrolls does not drag, px. */
const dragFromPx = 8;

export function Bars({ plan, machines, jobs, fixed, onFixed }: BarsProps) {
  const end = Math.max(60, ...plan.bars.map(({ toMinute }) => toMinute));
  const [said, say] = useState('');
  const moving = useRef<string | null>(null);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: dragFromPx } }));
  // The bar that was moved by key stands somewhere else now: the hand stays on it.
  useEffect(() => {
    if (moving.current === null) return;
    const bars = [...document.querySelectorAll<HTMLElement>('[data-job]')];
    bars.find(({ dataset }) => dataset['job'] === moving.current)?.focus();
    moving.current = null;
  }, [plan]);
  const jobOf = (id: string) => jobs.find((job) => job.id === id);
  const laneOf = (id: string) => machines.find((machine) => machine.id === id);
  const isHeld = (jobId: string) => Object.values(fixed).some((ids) => ids.includes(jobId));

  function move(job: NamedJob, machineId: string, at: number): void {
    const lane = laneOf(machineId);
    if (!lane) return;
    const why = whyNot(lane.file, job.program);
    if (why) {
      say(format(whyNotWords(lane.file, job.program, why)));
      return;
    }
    say(t('view.run-plan.moved', { seam: job.name, machine: lane.file.name, place: at + 1 }));
    onFixed(put(plan, fixed, job.id, machineId, at));
  }

  function byKey(job: NamedJob, step: Step): void {
    const to = stepped(plan, machines, job, step);
    if (to === null) {
      say(t('view.run-plan.no-further'));
      return;
    }
    if ('why' in to) {
      const lane = laneOf(to.machineId);
      if (lane) say(format(whyNotWords(lane.file, job.program, to.why)));
      return;
    }
    moving.current = job.id;
    move(job, to.machineId, to.at);
  }

  function dropped({ active, over }: DragEndEvent): void {
    const job = jobOf(String(active.id));
    const from = active.rect.current.translated;
    if (!job || !over || !from) return;
    const machineId = String(over.id);
    const minute = ((from.left - over.rect.left) / over.rect.width) * end;
    move(job, machineId, placeAt(plan, machineId, job.id, minute));
  }

  return (
    <Box display="grid" gap="2">
      <DndContext
        sensors={sensors}
        collisionDetection={laneUnder}
        onDragEnd={dropped}
        accessibility={{
          screenReaderInstructions: { draggable: t('view.run-plan.move-how') },
          announcements: { onDragStart: none, onDragOver: none, onDragEnd: none, onDragCancel: none },
        }}
      >
        <Box overflowX="auto" tabIndex={end > usualShifts.minutes ? 0 : undefined}>
          <Box
            display="grid"
            gap="2"
            position="relative"
            style={{ width: `${Math.max(100, (100 * end) / usualShifts.minutes)}%` }}
          >
            {machines.map(({ id, file }) => (
              <Box key={id} display="grid" gridTemplateColumns="84px minmax(0, 1fr)" alignItems="center" gap="2">
                <Box
                  fontWeight={600}
                  fontSize="text"
                  position="sticky"
                  left="0"
                  zIndex={1}
                  bg="surface"
                  alignSelf="stretch"
                  display="flex"
                  alignItems="center"
                >
                  {file.name}
                </Box>
                <Lane id={id}>
                  {barsOn(plan, id).map((bar) => (
                    <Bar
                      key={bar.jobId}
                      bar={bar}
                      job={jobOf(bar.jobId)}
                      end={end}
                      held={isHeld(bar.jobId)}
                      onStep={byKey}
                      onHold={(job) => {
                        moving.current = job.id;
                        if (isHeld(job.id)) onFixed(letGo(fixed, job.id));
                        else
                          move(
                            job,
                            id,
                            barsOn(plan, id).findIndex(({ jobId }) => jobId === job.id),
                          );
                      }}
                    />
                  ))}
                  {shiftEnds(end).map((minute) => (
                    <Box
                      key={minute}
                      position="absolute"
                      top="0"
                      bottom="0"
                      left={`${(100 * minute) / end}%`}
                      borderStartWidth="2px"
                      borderColor="edge"
                      pointerEvents="none"
                      aria-hidden="true"
                    />
                  ))}
                </Lane>
              </Box>
            ))}
          </Box>
        </Box>
      </DndContext>
      <Box display="flex" gap="4" flexWrap="wrap" fontSize="label" color="quiet" ps="92px">
        <span>{t('view.run-plan.hours-of-work', { end: hoursMinutes(end) })}</span>
        <span>{t('view.run-plan.move-how')}</span>
      </Box>
      <Box role="status" fontSize="small" ps="92px" minHeight="18px">
        {said}
      </Box>
    </Box>
  );
}

const none = () => undefined;

/** The lane under the pointer; beside all of them the nearest by height. */
const laneUnder: CollisionDetection = (args) => {
  const under = pointerWithin(args);
  return under.length > 0 ? under : closestCenter(args);
};

function shiftEnds(end: number): number[] {
  const { minutes } = usualShifts;
  return Array.from({ length: Math.floor(end / minutes) }, (_, at) => (at + 1) * minutes);
}

function Lane({ id, children }: { readonly id: string; readonly children: React.ReactNode }) {
  const { setNodeRef, isOver } = useDroppable({ id });
  return (
    <Box
      ref={setNodeRef}
      position="relative"
      height="52px"
      bg={isOver ? 'russetSoft' : 'page'}
      borderWidth="1px"
      borderColor={isOver ? 'accent' : 'line'}
    >
      {children}
    </Box>
  );
}
