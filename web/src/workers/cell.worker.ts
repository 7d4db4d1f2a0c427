/** Runs places of a map, or programs one by one, handing over what is done every few milliseconds. */
import { success } from '@fox-tempo/core/base/outcome';
import { cellOf, mapCell, type Cell } from '@fox-tempo/core/weld/zone-map';
import type { CellWork } from './protocol.ts';
import { serveQuestions } from './serve.ts';

/** Work between two looks at the messages, ms. */
const sliceMs = 20;
const impossible: Cell = { zone: 'impossible', shortsPerS: 0, dropsPerPulse: 0, arcLengthMm: 0 };

serveQuestions<CellWork>(async (ask, { part, breathe }) => {
  const places = ask.of === 'map' ? ask.places : ask.programs.map((_, place) => place);
  const cellAt = (place: number): Cell => {
    if (ask.of === 'map') return mapCell(ask.request, place % ask.count, Math.floor(place / ask.count), ask.count);
    const program = ask.programs[place];
    return program ? cellOf(program, ask.how, 1 + place) : impossible;
  };
  let done: { readonly place: number; readonly cell: Cell }[] = [];
  let since = performance.now();
  for (const place of places) {
    done.push({ place, cell: cellAt(place) });
    if (performance.now() - since < sliceMs) continue;
    part(done);
    done = [];
    if (!(await breathe())) return success(null);
    since = performance.now();
  }
  if (done.length > 0) part(done);
  return success(null);
});
