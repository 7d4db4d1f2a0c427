/** Tacks and stitches planned: spacing, time, count, order, heat and the gas they lose; put on the score, and from there on the card. */
import { amount } from '@fox-tempo/core/base/messages';
import { saidIssues, t, format, formatWithUnit, fixed } from '../../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import type { MachineResource } from '@fox-tempo/contract';
import { schoolOn } from '@fox-tempo/core/machine/description';
import { stitchPlan, tackMmOf, tackSchedule, type ScoreOf, type TackSchedule } from '@fox-tempo/core/weld/score';
import { sequenceTemplates } from '@fox-tempo/core/weld/sequence';
import { useSettings } from '../../../session/settings.ts';
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
      <Panel title={t('view.sequence.tacks')} px="4" py="3">
        <Box display="grid" gap="2" gridTemplateColumns="1fr 1fr">
          <ValueField
            label={t('view.sequence.spacing')}
            of="length"
            value={asked.spacingMm}
            keep={`tacks/${seamId}/spacing`}
            optional
            placeholder={
              outcome.ok
                ? t('view.sequence.rule', { spacing: amount('plain', outcome.value.spacingMm, 0) })
                : t('view.sequence.by-rule')
            }
            range={[5, 1000]}
            onValue={(spacingMm) => ask({ ...asked, spacingMm })}
          />
          <ValueField
            label={t('view.sequence.tack.length')}
            of="length"
            value={asked.tackMm}
            keep={`tacks/${seamId}/tack`}
            optional
            placeholder={
              outcome.ok
                ? t('view.sequence.tack.rule', { tack: amount('plain', outcome.value.tackMm, 0) })
                : t('view.sequence.by-rule')
            }
            range={[2, 100]}
            onValue={(tackMm) => ask({ ...asked, tackMm })}
          />
        </Box>
        {!outcome.ok && (
          <Notice level="refusal" urgent>
            {saidIssues(outcome.issues)}
          </Notice>
        )}
        {outcome.ok && (
          <>
            <TackDrawing plan={outcome.value} lengthMm={lengthMm} />
            <Figures
              lines={[
                [t('view.sequence.tacks'), `${outcome.value.count}`, format(outcome.value.because.spacing)],
                [
                  t('view.sequence.tack.arc'),
                  format(amount('phaseTime', outcome.value.arcS, 2)),
                  format(outcome.value.because.time),
                ],
                [
                  t('view.sequence.tack.heat'),
                  t('view.sequence.kj', { energyKjEach: amount('plain', outcome.value.energyKjEach, 2) }),
                  t('view.sequence.tack.total', {
                    energy: amount('plain', outcome.value.energyKjEach * outcome.value.count, 1),
                    wire: amount('mass', outcome.value.wireGEach * outcome.value.count, 1),
                  }),
                ],
                [
                  t('view.machines.gas'),
                  format(amount('volume', outcome.value.gasL, 1)),
                  t('view.sequence.tack.gas', {
                    gasLost: amount('volume', outcome.value.gasLostL, 1),
                    gas: outcome.value.because.gas,
                  }),
                ],
                [
                  t('view.sequence.time'),
                  format(amount('phaseTime', outcome.value.seconds, 0)),
                  t('view.sequence.tack.time-why'),
                ],
                [
                  t('view.sequence.dressing'),
                  outcome.value.dressBack ? t('view.sequence.dress-back') : t('view.sequence.leave'),
                  format(outcome.value.because.dress),
                ],
              ]}
            />
            <Box mt="2">
              {machine && !spotHere ? (
                <Notice level="note" word={t('view.sequence.tack.no-spot', { file: machine.file.name })}>
                  {t('view.sequence.tack.no-spot-hint', { arc: amount('phaseTime', outcome.value.arcS, 1) })}
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
                {t('view.sequence.tack.use')}
              </Action>
            </Box>
          </>
        )}
      </Panel>
      <Panel title={t('view.sequence.stitches')} px="4" py="3">
        <Figures
          lines={[
            [t('view.sequence.stitch'), formatWithUnit(stitch.stitchMm, 'length', units), format(stitch.because)],
            [t('view.sequence.between'), formatWithUnit(stitch.gapMm, 'length', units), t('view.sequence.stitch.open')],
            [
              t('view.sequence.stitches'),
              String(stitch.count),
              t('view.sequence.on-shop-name', { units: formatWithUnit(lengthMm, 'length', units) }),
            ],
            [t('view.sequence.heat'), `${fixed(stitch.heatShare * 100, 0)} %`, t('view.sequence.stitch.closed')],
          ]}
        />
        <Action mt="2" onClick={() => score.edit(stitchOf?.change ?? {}, 'stitches')}>
          {t('view.sequence.stitch-this-seam')}
        </Action>
        <Box textStyle="label" color="quiet" mt="2">
          {t('view.sequence.stitch.where')}
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
          <Box as="dt" fontWeight={600} fontSize="small">
            {name}
          </Box>
          <Box as="dd" textStyle="figure" fontSize="text" textAlign="end" whiteSpace="nowrap">
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
      <svg
        viewBox={`0 0 ${width} 58`}
        role="img"
        aria-label={t('view.sequence.tack.picture', {
          count: plan.count,
          length: amount('length', lengthMm),
        })}
      >
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
          {format(amount('length', lengthMm, 0))}
        </text>
      </svg>
    </Box>
  );
}
