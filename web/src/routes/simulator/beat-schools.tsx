/** One double pulse said in the schools that machines use for it. */
import { Box } from '@chakra-ui/react';
import type { MachineResource } from '@fox-tempo/contract';
import { amount, bare, inSentence } from '@fox-tempo/core/base/messages';
import { cardOf } from '@fox-tempo/core/machine/dials';
import { fillerOf, materialOf } from '@fox-tempo/core/metal/consumables';
import {
  type BeatSchool,
  type CanonicalBeat,
  doublePulse,
  sayBeat,
  usualMetal,
} from '@fox-tempo/core/setting/double-pulse';
import type { Plan } from '@fox-tempo/core/setting/plan';
import type { Program } from '@fox-tempo/core/setting/program';
import { fixed, format, formatIf, t } from '../../lib/words.ts';
import { Notice } from '../../ui/notice.tsx';
import { Cell, Heads, Table } from '../../ui/table.tsx';

const schoolWords: Record<BeatSchool, string> = {
  top: t('view.simulator.school-high'),
  'two-level': t('view.simulator.two-levels-apart'),
  swing: t('view.simulator.school-mean'),
};

export function Schools({
  beat,
  program,
  plan,
  machines,
}: {
  readonly beat: CanonicalBeat;
  readonly program: Program;
  readonly plan: Plan;
  readonly machines: readonly MachineResource[];
}) {
  const wire = {
    filler: program.filler,
    gas: program.gas,
    diameterMm: program.diameterMm,
    extensionMm: Math.max(program.ctwdMm - plan.arcLengthMm, 3),
  };
  const rows = (['top', 'two-level', 'swing'] as const).map((school) => {
    const said = sayBeat(beat, school);
    const outcome = doublePulse({ from: said.to, to: school, travelMmPerMin: program.travelMmPerMin, wire });
    return {
      school,
      said,
      effect: outcome.ok ? outcome.value.effect : undefined,
      warnings: outcome.ok ? outcome.value.warnings : [],
    };
  });
  const first = rows[0]?.effect?.meanPowerW;
  const thickness = rows[0]?.effect?.equivalentThicknessMm;
  const dialsOf = (school: BeatSchool) =>
    machines.filter((machine) => machine.file.beatSchool === school).map((machine) => beatDials(machine, program));
  return (
    <>
      <Table label={t('view.simulator.schools-title')} mt="1">
        <Heads
          names={[
            t('view.simulator.school'),
            t('view.simulator.on-its-panel'),
            t('view.simulator.mean-power'),
            t('view.simulator.against-single-pulse'),
            t('view.simulator.dials'),
          ]}
          right={[t('view.simulator.mean-power'), t('view.simulator.against-single-pulse')]}
        />
        <tbody>
          {rows.map(({ school, said, effect }) => (
            <tr key={school}>
              <Cell head>{schoolWords[school]}</Cell>
              <Cell>
                {said.representable
                  ? saidWords(said.to)
                  : t('view.simulator.nearest-because', { said: saidWords(said.to), why: formatIf(said.why) ?? '' })}
              </Cell>
              <Cell figure>
                {effect ? format(amount('kilowatts', effect.meanPowerW / 1000, 3)) : '–'}
                {effect && first !== undefined && school !== 'top'
                  ? ` (${signedPercent(effect.meanPowerW / first - 1)})`
                  : ''}
              </Cell>
              <Cell figure>{effect ? signedPercent(effect.meanPowerW / effect.singlePowerW - 1) : '–'}</Cell>
              <Cell fontSize="small">{dialsOf(school).join('; ')}</Cell>
            </tr>
          ))}
        </tbody>
      </Table>
      {thickness !== undefined && (
        <Box fontSize="small" color="quiet" mt="1">
          {t('view.simulator.double-pulse-heat', {
            what: inSentence(materialOf(usualMetal(fillerOf(program.filler).family)).name),
            thickness: amount('shortLength', thickness, 1),
          })}
        </Box>
      )}
      {rows[1]?.warnings.map((warning) => (
        <Box key={format(warning.code)} mt="1.5">
          <Notice level={warning.level}>{format(warning.message)}</Notice>
        </Box>
      ))}
    </>
  );
}

function beatDials({ file }: MachineResource, program: Program): string {
  const wanted = [
    'wireFeedMPerMin',
    'beatLowFeedMPerMin',
    'beatLowPercent',
    'beatHighSharePercent',
    'beatSwingPercent',
    'beatFrequencyHz',
  ];
  const dials = cardOf(file, program).dials.filter((dial) => wanted.includes(dial.quantity));
  return `${file.name}: ${dials.map((dial) => `${dial.label} ${dial.display}`).join(', ')}`;
}

function saidWords(beat: ReturnType<typeof sayBeat>['to']): string {
  if (beat.school === 'top')
    return t('view.simulator.low-share', {
      setFeed: amount('wireFeed', beat.setFeedMPerMin, 1),
      low: amount('percent', beat.lowPercent, 0),
      highShare: amount('percent', beat.highSharePercent, 0),
    });
  if (beat.school === 'swing')
    return t('view.simulator.mean-and-swing', {
      meanFeed: amount('wireFeed', beat.meanFeedMPerMin, 1),
      swing: amount('percent', beat.swingPercent, 0),
    });
  return t('view.simulator.and-share', {
    highFeed: bare('wireFeed', beat.highFeedMPerMin ?? 0, 1),
    lowFeed: amount('wireFeed', beat.lowFeedMPerMin ?? 0, 1),
    highShare: amount('percent', beat.highSharePercent, 0),
  });
}

function signedPercent(share: number): string {
  const percent = 100 * share;
  return Math.abs(percent) < 0.05 ? `±${fixed(0, 1)} %` : `${percent > 0 ? '+' : '−'}${fixed(Math.abs(percent), 1)} %`;
}
