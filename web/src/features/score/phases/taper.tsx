/** The taper: how warm the plate ahead of the arc gets along the seam, the level that leaves, and where a tap to the second level fits. */
import { Box } from '@chakra-ui/react';
import { taperPlan, taperRanges, type ScoreOf } from '@fox-tempo/core/score';
import { schoolFacts } from '@fox-tempo/core/sequence';
import { Action } from '../../../ui/action.tsx';
import { useKeptForm } from '../../../ui/kept-text.ts';
import { Notice } from '../../../ui/notice.tsx';
import { Panel } from '../../../ui/panel.tsx';
import { Cell, Heads, Table } from '../../../ui/table.tsx';
import { ValueField } from '../../../ui/value-field.tsx';
import type { Score } from '../use-score.ts';

export function TaperPanel({
  seamId,
  score,
  whole,
}: {
  readonly seamId: string;
  readonly score: Score;
  readonly whole: ScoreOf;
}) {
  const [asked, ask] = useKeptForm(`taper/${seamId}`, { sideMm: 60, plateC: 20 });
  const { program, thicknessMm } = whole;
  const outcome = taperPlan({ program, lengthMm: whole.score.lengthMm, thicknessMm, ...asked });
  const hasSecond = schoolFacts[program.sequence.trigger].second;
  return (
    <Panel title="Taper along the seam" px="4" py="3">
      <Box display="grid" gap="2" gridTemplateColumns="1fr 1fr">
        <ValueField
          label="Metal to each side"
          of="length"
          value={asked.sideMm}
          keep={`taper/${seamId}/side`}
          range={taperRanges.sideMm}
          onValue={(sideMm) => sideMm !== null && ask({ ...asked, sideMm })}
        />
        <ValueField
          label="Plate at the start, °C"
          of="plain"
          value={asked.plateC}
          keep={`taper/${seamId}/plate`}
          range={taperRanges.plateC}
          onValue={(plateC) => plateC !== null && ask({ ...asked, plateC })}
        />
      </Box>
      {!outcome.ok && <Notice level="refusal">{outcome.issues.map(({ message }) => message).join(' ')}</Notice>}
      {outcome.ok && (
        <>
          <Table label="Level at stations along the seam" mt="2">
            <Heads
              names={['at mm', 'ahead °C', 'level', 'band', 'm/min']}
              right={['at mm', 'ahead °C', 'level', 'band', 'm/min']}
            />
            <tbody>
              {outcome.value.stations
                .filter((_, at) => at % 2 === 0)
                .map(({ mm, aheadC, levelPercent, band }) => (
                  <tr key={mm}>
                    <Cell figure py="1">
                      {mm.toFixed(0)}
                    </Cell>
                    <Cell figure py="1">
                      {aheadC.toFixed(0)}
                    </Cell>
                    <Cell figure py="1">
                      {levelPercent.toFixed(0)} %
                    </Cell>
                    <Cell figure py="1" color="quiet" fontSize="13px">
                      {band[0].toFixed(0)} to {band[1].toFixed(0)}
                    </Cell>
                    <Cell figure py="1">
                      {((program.wireFeedMPerMin * levelPercent) / 100).toFixed(1)}
                    </Cell>
                  </tr>
                ))}
            </tbody>
          </Table>
          <Box textStyle="label" color="quiet" mt="2">
            {outcome.value.because}
          </Box>
          {outcome.value.tapAtMm !== null && (
            <Box mt="2">
              {hasSecond ? (
                <Action
                  disabled={
                    program.sequence.tapsAtMm.length === 1 && program.sequence.tapsAtMm[0] === outcome.value.tapAtMm
                  }
                  onClick={() => score.edit({ tapsAtMm: [outcome.value.tapAtMm ?? 1] }, 'taper tap')}
                >
                  Put the tap at {outcome.value.tapAtMm} mm
                </Action>
              ) : (
                <Box fontSize="13px">
                  A trigger with a second level could follow it by a tap at {outcome.value.tapAtMm} mm; with this one,
                  travel faster from there.
                </Box>
              )}
            </Box>
          )}
        </>
      )}
    </Panel>
  );
}
