/** Bars of one machine in their order, and how their times are said. */
import type { DayBar, DayPlan } from '@fox-tempo/core/day-plan';

export function own({ bars }: DayPlan, machineId: string): DayBar[] {
  return bars.filter((bar) => bar.machineId === machineId).sort((a, b) => a.fromMinute - b.fromMinute);
}

/** Hours and minutes of work from now; shifts are counted on. */
export function clock(minute: number): string {
  const whole = Math.round(minute);
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
}
