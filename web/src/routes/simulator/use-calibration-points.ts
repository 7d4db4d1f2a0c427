/** What a machine displayed with a wire in a gas: read from the shop's record, and written to it when it is used. */
import { recordedKinds } from '@fox-tempo/contract';
import type { Program } from '@fox-tempo/core/setting/program';
import { useObserved } from '../../data/use-observed.ts';

export interface Point {
  readonly feed: number | null;
  readonly amps: number | null;
  readonly volts: number | null;
}

export function useCalibrationPoints(machineId: string, { filler, gas, diameterMm, ctwdMm }: Program) {
  const { rows, problem, record } = useObserved('calibration-points', { machine: machineId });
  const newest = (rows ?? [])
    .flatMap(({ body }) => {
      const read = recordedKinds['calibration-points'].safeParse(body);
      return read.success ? [read.data] : [];
    })
    .filter((one) => one.filler === filler && one.gas === gas && one.diameterMm === diameterMm)
    .at(-1);
  return {
    recorded:
      newest?.points.map(({ wireFeedMPerMin, meanCurrentA, voltageV }): Point => ({
        feed: wireFeedMPerMin,
        amps: meanCurrentA,
        volts: voltageV,
      })) ?? null,
    problem,
    record: (points: readonly Point[], rmsShare: number) => {
      const whole = points.flatMap(({ feed, amps, volts }) =>
        feed === null || amps === null
          ? []
          : [
              {
                wireFeedMPerMin: feed,
                meanCurrentA: amps,
                voltageV: volts,
                ...(rmsShare > 1 ? { rmsCurrentA: amps * rmsShare } : {}),
              },
            ],
      );
      if (whole.length > 0)
        void record({
          kind: 'calibration-points',
          machineId,
          body: { filler, gas, diameterMm, ctwdMm, points: whole },
        });
    },
  };
}
