/** What a test weld gave beside what was planned, and what was seen. */
import { Box } from '@chakra-ui/react';
import type { DiagnosisAnswer, Trial } from '@fox-tempo/contract';
import { amount, type SaidValue } from '@fox-tempo/core/base/messages';
import { severityNames, type SymptomCode, symptoms, timedFigures } from '@fox-tempo/core/evidence/trial';
import { Link } from 'react-router';
import { format, t } from '../../lib/words.ts';
import { Panel } from '../../ui/panel.tsx';
import { Cell, Heads, Table } from '../../ui/table.tsx';
import { soundName, testName } from './measured-fields.tsx';
import { timerName } from './stopwatch.tsx';
import { SymptomDrawing } from './symptom-drawing.tsx';

/** What was expected stands beside what was found. */
export function FoundBesidePlanned({
  trial,
  planned: sound,
}: {
  readonly trial: Trial;
  readonly planned: DiagnosisAnswer['predicted'] | undefined;
}) {
  const { body, plannedTravelMmPerMin, plannedLegMm } = trial;
  const timed = body.timing && timedFigures(body.timing, {});
  const expected = body.after?.predicted ?? sound;
  const rows: readonly (readonly [string, SaidValue | null, SaidValue | null])[] = [
    [
      t('view.trials.travel'),
      timed ? amount('travel', timed.travelMmPerMin, 0) : null,
      amount('travel', body.after?.predicted.travelMmPerMin ?? plannedTravelMmPerMin, 0),
    ],
    [
      t('view.trials.leg'),
      body.measured.legsMm ? amount('shortLength', (body.measured.legsMm[0] + body.measured.legsMm[1]) / 2, 1) : null,
      expected
        ? amount('shortLength', expected.legMm, 1)
        : plannedLegMm === null
          ? null
          : amount('shortLength', plannedLegMm, 1),
    ],
    [
      t('view.trials.current-while-welding'),
      body.displayed?.currentA === undefined ? null : amount('current', body.displayed.currentA, 0),
      expected ? amount('current', expected.displayedCurrentA, 0) : null,
    ],
    [
      t('view.trials.voltage-while-welding'),
      body.displayed?.voltageV === undefined ? null : amount('voltage', body.displayed.voltageV, 1),
      expected ? amount('voltage', expected.displayedVoltageV, 1) : null,
    ],
  ];
  return (
    <Panel
      title={t('view.trials.found-and-expected')}
      aside={
        body.after && (
          <Box
            asChild
            fontSize="small"
            color="accent"
            fontWeight={600}
            minHeight="44px"
            my="-3"
            display="inline-flex"
            alignItems="center"
          >
            <Link to={`/trials/${body.after.trial}`}>{t('view.trials.after-this-trial')}</Link>
          </Box>
        )
      }
    >
      <Table label={t('view.trials.found-and-expected')}>
        <Heads
          names={['', t('view.trials.found'), t('view.trials.expected-head')]}
          right={[t('view.trials.found'), t('view.trials.expected-head')]}
        />
        <tbody>
          {rows.map(([name, found, planned]) => (
            <tr key={name}>
              <Cell head>{name}</Cell>
              <Cell figure>{found === null ? '–' : format(found)}</Cell>
              <Cell figure color="quiet">
                {planned === null ? '–' : format(planned)}
              </Cell>
            </tr>
          ))}
        </tbody>
      </Table>
      {body.timing && (
        <Box fontSize="label" color="quiet" mt="1">
          {t('view.trials.timed', {
            seconds: amount('phaseTime', body.timing.seconds, 1),
            length: amount('length', body.timing.lengthMm, 0),
            by: timerName(body.timing.by),
          })}
        </Box>
      )}
    </Panel>
  );
}

export function WhatWasSeen({ trial: { body } }: { readonly trial: Trial }) {
  const seen = Object.entries(body.symptoms).filter(([, { answer }]) => answer === 'yes');
  const clean = Object.values(body.symptoms).filter(({ answer }) => answer === 'no').length;
  return (
    <Panel title={t('view.trials.seen-and-heard')}>
      <Box display="flex" gap="3" flexWrap="wrap">
        {seen.map(([code, { severity }]) => (
          <Box key={code} display="flex" gap="2" alignItems="center" fontSize="small">
            <SymptomDrawing code={code as SymptomCode} width={52} />
            <Box>
              {format(symptoms[code as SymptomCode].name)}
              <Box color="quiet">{format(severityNames[severity ?? 2])}</Box>
            </Box>
          </Box>
        ))}
      </Box>
      <Box fontSize="small" color="quiet" mt={seen.length > 0 ? '2' : '0'}>
        {t('view.trials.absent-count', { count: clean })}
        {body.heard.length > 0 && <> · {body.heard.map(soundName).join(', ')}</>}
        {body.tests.map(({ kind, result }) => (
          <span key={kind}>
            {' · '}
            {t('view.trials.test-result', {
              kind: testName(kind),
              result: result === 'pass' ? t('view.trials.held') : t('view.trials.broke'),
            })}
          </span>
        ))}
      </Box>
      {body.note !== '' && (
        <Box mt="2" fontSize="text">
          “{body.note}”
        </Box>
      )}
    </Panel>
  );
}
