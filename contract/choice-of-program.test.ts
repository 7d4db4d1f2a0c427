/** A program that comes as a file stands on a sheet as it was: its choice computes it again. */
import { inEnglish } from '@fox-tempo/words/english';
import { describe, expect, it } from '@jest/globals';
import { scenarios } from '@fox-tempo/core/scenarios';
import { settingOf, standardSite } from '@fox-tempo/core/site';
import { choiceOfProgram, exampleFiles, readProgramFile, type SeamSpec } from './index.ts';

const seamOf: Record<string, string> = {
  'lid-seam': 'trike-lid-seam',
  'axle-plate-pulse': 'axle-plate-to-tube',
  'frame-corner-dip': 'frame-corner-butt',
  'frame-rail-spray': 'trike-frame-rail',
  'canopy-rail-brazed': 'canopy-rail-lap',
};

describe('the five example programs', () => {
  it.each(Object.entries(seamOf))('%s comes back the same from its choice on its seam', (name, id) => {
    const file = readProgramFile(exampleFiles()[name]);
    if (!file.ok) throw new Error(inEnglish(file.issues[0]?.message));
    const { seam } = scenarios.find((scenario) => scenario.id === id)!.input;
    const spec: SeamSpec = {
      name,
      grade: '',
      materialGroup: seam.materialGroup,
      thicknessesMm: [seam.thicknessesMm[0], seam.thicknessesMm[1]],
      joint: seam.joint,
      position: seam.position,
      gapMm: seam.gapMm,
      legMm: seam.legMm ?? null,
      lengthMm: seam.lengthMm,
      travelMmPerMin: seam.travelMmPerMin ?? null,
    };
    const again = settingOf(spec, choiceOfProgram(file.value), standardSite);
    if (!again.ok) throw new Error(inEnglish(again.issues[0]?.message));
    const { program } = again.value;
    const { wireFeedMPerMin, trimMm, stiffness, ctwdMm, pulse, sequence, mode, gas, filler } = file.value;
    expect(program).toMatchObject({ mode, gas, filler, sequence });
    // Computed anew from the same figures: what is left is the last digits of a solved equation.
    expect(program.wireFeedMPerMin).toBeCloseTo(wireFeedMPerMin, 6);
    expect(program.trimMm).toBeCloseTo(trimMm, 6);
    expect([program.stiffness, program.ctwdMm]).toEqual([stiffness, ctwdMm]);
    expect(program.pulse === null).toBe(pulse === null);
    if (pulse && program.pulse) {
      expect(program.pulse.peakCurrentA).toBeCloseTo(pulse.peakCurrentA, 6);
      expect(program.pulse.backgroundCurrentA).toBeCloseTo(pulse.backgroundCurrentA, 6);
      // One drop a pulse: the rate follows from the feed, within the solver's own tolerance.
      expect(Math.abs(program.pulse.frequencyHz / pulse.frequencyHz - 1)).toBeLessThan(0.01);
    }
  });
});
