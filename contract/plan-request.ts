/** The core's question for a described seam and a chosen wire: one place, so that browser and server compute the same. */
import type { PlanInput } from '@fox-tempo/core';
import type { ProgramChoice } from './program.ts';
import type { SeamSpec } from './shop.ts';

export function planRequest(spec: SeamSpec, choice: ProgramChoice, circuitMOhm?: number): PlanInput {
  return {
    seam: {
      materialGroup: spec.materialGroup,
      thicknessesMm: spec.thicknessesMm,
      joint: spec.joint,
      position: spec.position,
      gapMm: spec.gapMm,
      legMm: spec.legMm ?? undefined,
      lengthMm: spec.lengthMm,
      travelMmPerMin: spec.travelMmPerMin ?? undefined,
    },
    arcHabit: choice.arcHabit,
    filler: choice.filler,
    gas: choice.gas,
    diameterMm: choice.diameterMm,
    mode: choice.mode,
    wireFeedMPerMin: choice.wireFeedMPerMin ?? undefined,
    circuitMOhm,
  };
}
