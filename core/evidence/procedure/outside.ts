/** Whether a trial stood inside a procedure: its consumables, its dials, the pace and the stick-out of the hand, and how cold the plate was. */
import { fillerOf, gasName, wireSizeLabel, type FillerCode, sameWire } from '../../metal/consumables/index.ts';
import { type Machine } from '../../machine/description/index.ts';
import { type Program } from '../../setting/program/index.ts';
import { amount, joined, message, type Phrase } from '../../base/messages/index.ts';
import { dialsBeyond, usualSpread, type Window } from '../window/index.ts';

export interface ProcedureTrial {
  readonly loaded?: { readonly filler: FillerCode; readonly gas: string; readonly diameterMm: number } | undefined;
  readonly dials: Readonly<Record<string, number>>;
  /** Timed; undefined: nobody timed it. */
  readonly travelMmPerMin?: number | undefined;
  readonly ctwdMm?: number | undefined;
  readonly plateC?: number | undefined;
}

/** A thermometer and a hand on it are not better than this, °C; assumed. */
const plateNoiseC = 10;

/** Every way in which it left the ranges, in words; without a window only consumables and plate have any. */
export function outsideProcedure(
  program: Program,
  /** Temperature the procedure starts at, °C. */
  plateC: number,
  trial: ProcedureTrial,
  inside?: { readonly machine: Machine; readonly window: Window },
): Phrase[] {
  const { loaded, travelMmPerMin: travel, ctwdMm } = trial;
  const out: Phrase[] = [];
  if (loaded && !sameWire(loaded, program))
    out.push(
      message('procedure.other-wire', {
        is: joined([fillerOf(loaded.filler).name, wireSizeLabel(loaded.diameterMm)], ', '),
        needs: joined([fillerOf(program.filler).name, wireSizeLabel(program.diameterMm)], ', '),
      }),
    );
  if (loaded && loaded.gas !== program.gas)
    out.push(message('procedure.other-gas', { is: gasName(loaded.gas), needs: gasName(program.gas) }));
  if (trial.plateC !== undefined && trial.plateC < plateC - plateNoiseC)
    out.push(
      message('procedure.plate-colder', {
        is: amount('temperature', trial.plateC, 0),
        needs: amount('temperature', plateC, 0),
      }),
    );
  if (!inside) return out;
  const dials = dialsBeyond(inside.machine, program, inside.window, trial.dials);
  if (dials.length > 0) out.push(message('procedure.dials-outside', { dials }));
  const [slow, fast] = usualSpread.pace;
  const share = travel === undefined ? 0 : travel / program.travelMmPerMin - 1;
  if (travel !== undefined && (share < slow || share > fast))
    out.push(
      message('procedure.travel-outside', {
        is: amount('travel', travel, 0),
        from: amount('travel', program.travelMmPerMin * (1 + slow), 0),
        to: amount('travel', program.travelMmPerMin * (1 + fast), 0),
      }),
    );
  const [short, long] = usualSpread.ctwdMm;
  if (ctwdMm !== undefined && (ctwdMm < program.ctwdMm + short || ctwdMm > program.ctwdMm + long))
    out.push(
      message('procedure.stick-out-outside', {
        is: amount('shortLength', ctwdMm, 0),
        from: amount('shortLength', program.ctwdMm + short, 0),
        to: amount('shortLength', program.ctwdMm + long, 0),
      }),
    );
  return out;
}
