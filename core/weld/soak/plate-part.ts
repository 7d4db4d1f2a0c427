/** A rectangular plate as a part: cosine modes, and the first images at its edges for what is young. */
import { recentLineRise } from './near-source.ts';
import type { Part, PartField, Source } from './part.ts';
import { plateField, settledS, type PlateField } from './plate-field.ts';
import type { Plate } from './shapes.ts';

export function platePart(plate: Plate): Part {
  const { lengthMm, widthMm, thicknessMm } = plate;
  return {
    diffusivityMm2PerS: plate.diffusivityMm2PerS,
    volumetricHeatJPerMm3K: plate.volumetricHeatJPerMm3K,
    lossWPerM2K: plate.lossWPerM2K,
    settledS: settledS(plate),
    field: () => fieldOf(plate, plateField(plate)),
    recentRise: (recent, place) =>
      recentLineRise(
        plate,
        thicknessMm,
        { ...recent, now: [recent.now[0], recent.now[1]] },
        [place[0], place[1]],
        [0, lengthMm],
        [0, widthMm],
      ),
    sheetMmAt: () => thicknessMm,
    holdsOwn: true,
  };
}

function fieldOf(plate: Plate, modes: PlateField): PartField {
  return {
    advance(seconds, sources = []) {
      const [first, ...others] = sources.map(flat);
      modes.advance(seconds, first);
      // Fields add: whoever welds at the same time is carried on its own.
      for (const other of others) {
        const own = plateField(plate);
        own.advance(seconds, other);
        modes.add(own);
      }
    },
    riseAt: ([x, y]) => modes.riseAt(x, y),
    copy: () => fieldOf(plate, modes.copy()),
  };
}

function flat({ at, velocity, powerW }: Source) {
  return { at: [at[0], at[1]] as const, velocity, powerW };
}
