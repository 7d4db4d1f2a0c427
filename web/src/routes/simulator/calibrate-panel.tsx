/** Calibrating a wire on this machine from what it displayed: model and map then are of this very machine; residuals are shown, never hidden. */
import { amount, signed } from '@fox-tempo/core/base/messages';
import { saidIssues, t, format } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import type { WireCorrection } from '@fox-tempo/core/metal/arc';
import { calibrate, type Calibration } from '@fox-tempo/core/machine/teaching';
import type { Program } from '@fox-tempo/core/setting/program';
import { pulseMeans } from '@fox-tempo/core/setting/pulse';
import { Action } from '../../ui/action.tsx';
import { useKeptForm } from '../../ui/kept-text.ts';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { Cell, Heads, Table } from '../../ui/table.tsx';
import { ValueField } from '../../ui/value-field.tsx';
import { useCalibrationPoints, type Point } from './use-calibration-points.ts';

const blank: Point = { feed: null, amps: null, volts: null };

export function CalibratePanel({
  program,
  machineId,
  applied,
  onApply,
}: {
  readonly program: Program;
  readonly machineId: string;
  readonly applied: WireCorrection | null;
  readonly onApply: (correction: WireCorrection | null) => void;
}) {
  const keep = `calibrate/${machineId}/${program.filler}/${program.gas}/${program.diameterMm}`;
  const [{ points: typed }, setForm] = useKeptForm<{ points: Point[] }>(keep, { points: [blank, blank, blank] });
  const { recorded, problem, record } = useCalibrationPoints(machineId, program);
  const isBlank = typed.every(({ feed, amps, volts }) => feed === null && amps === null && volts === null);
  // What somebody measured here before stands in the fields until somebody types.
  const points = isBlank && recorded ? fill(recorded) : typed;
  const set = (at: number, change: Partial<Point>) =>
    setForm({ points: points.map((point, index) => (index === at ? { ...point, ...change } : point)) });
  const filled = points.flatMap(({ feed, amps, volts }) =>
    feed === null || amps === null
      ? []
      : [
          {
            wireFeedMPerMin: feed,
            meanCurrentA: amps,
            ctwdMm: program.ctwdMm,
            // A pulsed current warms the wire more than a steady one of the same mean.
            ...(program.pulse ? { rmsCurrentA: amps * rmsShare(program) } : {}),
            ...(volts === null ? {} : { voltageV: volts }),
          },
        ],
  );
  const outcome =
    filled.length >= 2
      ? calibrate({ filler: program.filler, gas: program.gas, diameterMm: program.diameterMm, points: filled })
      : null;
  return (
    <Panel
      title={t('view.simulator.calibrate-here')}
      aside={
        <Box textStyle="label" color={applied ? 'spruce' : 'quiet'}>
          {applied ? t('view.simulator.in-use') : t('view.simulator.not-in-use')}
        </Box>
      }
    >
      <Box fontSize="small" color="quiet" mb="2">
        {t('view.simulator.calibrate-why', { ctwd: amount('shortLength', program.ctwdMm, 1) })}
      </Box>
      {points.map((point, at) => (
        <Box key={at} display="grid" gridTemplateColumns="repeat(3, 1fr)" gap="2" mb="1">
          <ValueField
            label={t('view.simulator.feed', { at: at + 1 })}
            of="wireFeed"
            value={point.feed}
            keep={`${keep}/${at}/feed`}
            range={[0.5, 30]}
            optional
            step={0.1}
            onValue={(feed) => set(at, { feed })}
          />
          <ValueField
            label={t('view.simulator.current', { at: at + 1 })}
            of="current"
            value={point.amps}
            keep={`${keep}/${at}/amps`}
            range={[5, 700]}
            optional
            onValue={(amps) => set(at, { amps })}
          />
          <ValueField
            label={t('view.simulator.voltage', { at: at + 1 })}
            of="voltage"
            value={point.volts}
            keep={`${keep}/${at}/volts`}
            range={[8, 50]}
            optional
            step={0.1}
            onValue={(volts) => set(at, { volts })}
          />
        </Box>
      ))}
      {outcome && !outcome.ok && (
        <Notice level="caution" word={t('view.simulator.not-yet')}>
          {saidIssues(outcome.issues)}
        </Notice>
      )}
      {outcome?.ok && <Found found={outcome.value} />}
      {problem !== null && (
        <Notice level="caution" word={t('view.simulator.not-in-record')} urgent>
          {problem}
        </Notice>
      )}
      <Box display="flex" gap="2" mt="2">
        <Action
          kind="main"
          disabled={!outcome?.ok}
          onClick={() => {
            if (!isBlank) record(points, rmsShare(program));
            if (outcome?.ok)
              onApply({
                kAFactor: outcome.value.kAFactor,
                kBFactor: outcome.value.kBFactor,
                arcVoltageV: outcome.value.arcVoltageV,
              });
          }}
        >
          {t('view.simulator.use-calibration')}
        </Action>
        <Action disabled={!applied} onClick={() => onApply(null)}>
          {t('view.simulator.back-to-table')}
        </Action>
      </Box>
    </Panel>
  );
}

/** At least three lines to type in. */
function fill(recorded: readonly Point[]): Point[] {
  return [...recorded, blank, blank, blank].slice(0, Math.max(recorded.length, 3));
}

/** Rms over mean of the program's own waveform. */
function rmsShare({ pulse }: Program): number {
  if (!pulse) return 1;
  const { meanA, rmsA } = pulseMeans(pulse);
  return rmsA / meanA;
}

function Found({ found }: { readonly found: Calibration }) {
  return (
    <Box fontSize="small">
      <Box color={found.verdict === 'plausible' ? 'spruce' : 'ochre'} fontWeight={600}>
        {found.verdict === 'plausible' ? '●' : '◇'} {found.verdict}: {format(found.because)}
      </Box>
      <Table label={t('view.simulator.residuals')}>
        <Heads
          names={[t('view.simulator.column.feed'), t('view.simulator.column.model'), t('view.simulator.off')]}
          right={[t('view.simulator.column.model'), t('view.simulator.off')]}
        />
        <tbody>
          {found.residuals.map((row) => (
            <tr key={row.wireFeedMPerMin}>
              <Cell>{format(amount('wireFeed', row.wireFeedMPerMin, 1))}</Cell>
              <Cell figure>{format(amount('current', row.fittedCurrentA, 0))}</Cell>
              <Cell figure>{format(signed('current', row.residualA, 1))}</Cell>
            </tr>
          ))}
        </tbody>
      </Table>
      <Box textStyle="label" color="quiet">
        {t('view.simulator.ka-kb-arc', {
          kAFactor: amount('plain', found.kAFactor, 3),
          kBFactor: amount('plain', found.kBFactor, 3),
          arcVoltage: signed('voltage', found.arcVoltageV, 2),
        })}
      </Box>
    </Box>
  );
}
