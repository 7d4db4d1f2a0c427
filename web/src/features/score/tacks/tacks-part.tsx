/** Tacks and stitches planned: spacing, time, count, order, heat and the gas they lose; put on the score, and from there on the card. */
import { Box } from '@chakra-ui/react';
import type { MachineResource } from '@fox-tempo/contract';
import { schoolOn } from '@fox-tempo/core/machine';
import { stitchPlan, tackMmOf, tackSchedule, type ScoreOf, type TackSchedule } from '@fox-tempo/core/score';
import { sequenceTemplates } from '@fox-tempo/core/sequence';
import { formatWithUnit } from '@fox-tempo/core/units';
import { useSettings } from '../../../lib/settings.ts';
import { Action } from '../../../ui/action.tsx';
import { Notice } from '../../../ui/notice.tsx';
import { Panel } from '../../../ui/panel.tsx';
import { cssColour } from '../../../ui/theme/colours.ts';
import { ValueField } from '../../../ui/value-field.tsx';
import { useKeptForm } from '../../../ui/kept-text.ts';
import type { Score } from '../use-score.ts';

export function TacksPart({
  seamId,
  score,
  whole,
  machine,
}: {
  readonly seamId: string;
  readonly score: Score;
  readonly whole: ScoreOf;
  readonly machine: MachineResource | undefined;
}) {
  const units = useSettings((state) => state.units);
  const { program, thicknessMm } = whole;
  const { lengthMm } = whole.score;
  const isSpot = program.sequence.trigger === 'spot';
  const [asked, ask] = useKeptForm<{ spacingMm: number | null; tackMm: number | null }>(`tacks/${seamId}`, {
    spacingMm: program.sequence.tackSpacingMm > 0 ? program.sequence.tackSpacingMm : null,
    tackMm: isSpot ? Number(tackMmOf(program).toFixed(1)) : null,
  });
  const rowOf = sequenceTemplates.find(({ id }) => id === 'row-of-tacks');
  // What a tack pays in gas is what the score would say of it, not the long times of a seam.
  const change = {
    ...rowOf?.change,
    postGasS: Math.max(rowOf?.change.postGasS ?? 0.6, Number(whole.gas.after.seconds.toFixed(1))),
  };
  const outcome = tackSchedule({
    program: isSpot ? program : { ...program, sequence: { ...program.sequence, ...change } },
    lengthMm,
    thicknessMm,
    spacingMm: asked.spacingMm ?? undefined,
    tackMm: asked.tackMm ?? undefined,
  });
  const stitch = stitchPlan(program, lengthMm);
  const spotHere = machine && schoolOn(machine.file, 'spot') === 'spot';
  const stitchOf = sequenceTemplates.find(({ id }) => id === 'stitch-by-stitch');
  return (
    <Box display="grid" gap="3" gridTemplateColumns={{ base: '1fr', lg: '1.35fr 1fr' }} alignItems="start">
      <Panel title="Tacks" px="4" py="3">
        <Box display="grid" gap="2" gridTemplateColumns="1fr 1fr">
          <ValueField
            label="Spacing"
            of="length"
            value={asked.spacingMm}
            keep={`tacks/${seamId}/spacing`}
            optional
            placeholder={outcome.ok ? `rule: ${outcome.value.spacingMm.toFixed(0)}` : 'by rule'}
            range={[5, 1000]}
            onValue={(spacingMm) => ask({ ...asked, spacingMm })}
          />
          <ValueField
            label="Length of a tack"
            of="length"
            value={asked.tackMm}
            keep={`tacks/${seamId}/tack`}
            optional
            placeholder={outcome.ok ? `rule: ${outcome.value.tackMm.toFixed(0)}` : 'by rule'}
            range={[2, 100]}
            onValue={(tackMm) => ask({ ...asked, tackMm })}
          />
        </Box>
        {!outcome.ok && (
          <Notice level="refusal" urgent>
            {outcome.issues.map(({ message }) => message).join(' ')}
          </Notice>
        )}
        {outcome.ok && (
          <>
            <TackDrawing plan={outcome.value} lengthMm={lengthMm} />
            <Figures
              lines={[
                ['Tacks', `${outcome.value.count}`, outcome.value.because.spacing],
                ['Arc each', `${outcome.value.arcS.toFixed(2)} s`, outcome.value.because.time],
                [
                  'Heat each',
                  `${outcome.value.energyKjEach.toFixed(2)} kJ`,
                  `${(outcome.value.energyKjEach * outcome.value.count).toFixed(1)} kJ in all, ${(outcome.value.wireGEach * outcome.value.count).toFixed(1)} g of wire.`,
                ],
                [
                  'Gas',
                  `${outcome.value.gasL.toFixed(1)} L`,
                  `${outcome.value.gasLostL.toFixed(1)} L of it without an arc. ${outcome.value.because.gas}`,
                ],
                [
                  'Time',
                  `${outcome.value.seconds.toFixed(0)} s`,
                  'Arc, gas times and about 2 s of moving between them.',
                ],
                ['Dressing', outcome.value.dressBack ? 'dress back' : 'leave', outcome.value.because.dress],
              ]}
            />
            <Box mt="2">
              {machine && !spotHere ? (
                <Notice level="note" word={`${machine.file.name} has no timed spot.`}>
                  Hold it for {outcome.value.arcS.toFixed(1)} s by count, or use a machine that has one.
                </Notice>
              ) : null}
              <Action
                kind="main"
                mt="2"
                onClick={() =>
                  score.edit(
                    {
                      ...(isSpot ? {} : change),
                      spotS: Math.round(Math.min(Math.max(outcome.value.arcS, 0.1), 10) * 20) / 20,
                      tackSpacingMm: Math.round(outcome.value.spacingMm),
                    },
                    'tacks',
                  )
                }
              >
                Put the tacks on the score
              </Action>
            </Box>
          </>
        )}
      </Panel>
      <Panel title="Stitches" px="4" py="3">
        <Figures
          lines={[
            ['Stitch', formatWithUnit(stitch.stitchMm, 'length', units), stitch.because],
            [
              'Between',
              formatWithUnit(stitch.gapMm, 'length', units),
              'Left open; a second pass may close it when the first is cold.',
            ],
            ['Stitches', String(stitch.count), `on ${formatWithUnit(lengthMm, 'length', units)}`],
            ['Heat', `${(stitch.heatShare * 100).toFixed(0)} %`, 'of the same seam closed.'],
          ]}
        />
        <Action mt="2" onClick={() => score.edit(stitchOf?.change ?? {}, 'stitches')}>
          Stitch this seam
        </Action>
        <Box textStyle="label" color="quiet" mt="2">
          Stitch and pause are set in the phases “main” of a stitching score.
        </Box>
      </Panel>
    </Box>
  );
}

function Figures({ lines }: { readonly lines: readonly (readonly [string, string, string])[] }) {
  return (
    <Box as="dl" mt="2">
      {lines.map(([name, figure, because]) => (
        <Box
          key={name}
          display="grid"
          gridTemplateColumns="88px 86px 1fr"
          gap="2"
          borderBottomWidth="1px"
          borderColor="line"
          py="1"
          alignItems="baseline"
        >
          <Box as="dt" fontWeight={600} fontSize="13px">
            {name}
          </Box>
          <Box as="dd" textStyle="figure" fontSize="14px" textAlign="right" whiteSpace="nowrap">
            {figure}
          </Box>
          <Box as="dd" textStyle="label" color="quiet">
            {because}
          </Box>
        </Box>
      ))}
    </Box>
  );
}

/** The seam with its tacks to scale, numbered in the order in which they keep the sheet from creeping. */
function TackDrawing({ plan, lengthMm }: { readonly plan: TackSchedule; readonly lengthMm: number }) {
  const width = 560;
  const xOf = (mm: number) => 10 + (mm / lengthMm) * (width - 20);
  const tack = Math.max((plan.tackMm / lengthMm) * (width - 20), 3);
  const every = Math.ceil(plan.count / 22);
  return (
    <Box asChild width="100%" mt="2">
      <svg viewBox={`0 0 ${width} 58`} role="img" aria-label={`${plan.count} tacks on ${lengthMm} mm, both ends first`}>
        <rect x="10" y="30" width={width - 20} height="10" fill={cssColour('metal')} stroke={cssColour('metalEdge')} />
        {plan.atMm.map((mm, at) => (
          <g key={mm}>
            <rect x={xOf(mm) - tack / 2} y="27" width={tack} height="16" rx="3" fill={cssColour('accent')} />
            {at % every === 0 && (
              <text
                x={xOf(mm)}
                y="20"
                textAnchor="middle"
                fill={cssColour('ink')}
                style={{ fontSize: '11px', fontWeight: 600 }}
              >
                {plan.order.indexOf(at) + 1}
              </text>
            )}
          </g>
        ))}
        <text x="10" y="55" fill={cssColour('quiet')} style={{ fontSize: '10.5px' }}>
          0
        </text>
        <text x={width - 10} y="55" textAnchor="end" fill={cssColour('quiet')} style={{ fontSize: '10.5px' }}>
          {lengthMm.toFixed(0)} mm
        </text>
      </svg>
    </Box>
  );
}
