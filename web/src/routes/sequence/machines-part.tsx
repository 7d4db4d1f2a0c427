/** The score on two machines side by side: each in its own words and as it would really run, and what it cannot do. */
import { saidIssues, t, format, named, fixed } from '../../lib/words.ts';
import { Box, Heading } from '@chakra-ui/react';
import type { MachineResource } from '@fox-tempo/contract';
import { translate } from '@fox-tempo/core/machine/dials';
import { type PlainLatch } from '@fox-tempo/core/machine/description';
import {
  pressLines,
  scoreOf,
  sequenceOnMachine,
  type ScoreOf,
  type SequenceOnMachine,
  foldsOf,
  timeMap,
} from '@fox-tempo/core/weld/score';
import { useEffect, useMemo, useRef } from 'react';
import { Link } from 'react-router';
import { useSettings } from '../../session/settings.ts';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { Cell, Heads, Table } from '../../ui/table.tsx';
import { paints, ready, sharpness } from '../../ui/canvas/canvas.ts';
import { DryTest } from './ends/dry-test.tsx';
import { paintStaves } from './staves/paint-staves.ts';
import { staveLayout } from './staves/stave-picture.ts';
import { pictureOf } from './staves/staves.tsx';
import { fitted } from './staves/window.ts';
import { TapCalls } from './tacks/tap-calls.tsx';
import { useWidth } from '../../ui/canvas/use-size.ts';

export interface MachinesPartProps {
  readonly machines: readonly MachineResource[];
  readonly whole: ScoreOf;
  readonly pair: readonly [string, string];
  readonly onPair: (pair: readonly [string, string]) => void;
  readonly onFound: (machine: MachineResource, modeId: string, plain: PlainLatch) => Promise<string | null>;
}

export function MachinesPart({ machines, whole, pair, onPair, onFound }: MachinesPartProps) {
  const described = machines.filter(({ file }) => file.dials.length > 0);
  if (described.length === 0) return <Notice level="note">{t('view.memory.no-machine')}</Notice>;
  return (
    <Box display="grid" gap="3" gridTemplateColumns={{ base: '1fr', lg: '1fr 1fr' }} alignItems="start">
      {pair.map((id, at) => {
        const machine = described.find((one) => one.id === id) ?? described[at % described.length];
        if (!machine) return null;
        return (
          <Panel key={at === 0 ? 'left' : 'right'} px="4" py="3">
            <ChoiceField
              label={at === 0 ? t('view.sequence.on') : t('view.sequence.and-on')}
              value={machine.id}
              choices={described.map(({ id: value, file }) => ({ value, label: `${file.name}, ${file.place}` }))}
              onChange={(next) => onPair(at === 0 ? [next, pair[1]] : [pair[0], next])}
            />
            <OnMachine machine={machine} whole={whole} onFound={onFound} />
          </Panel>
        );
      })}
    </Box>
  );
}

function OnMachine({
  machine,
  whole,
  onFound,
}: {
  readonly machine: MachineResource;
  readonly whole: ScoreOf;
  readonly onFound: MachinesPartProps['onFound'];
}) {
  const { file } = machine;
  const there = useMemo(
    () => sequenceOnMachine(file, whole.program, translate(file, whole.program)),
    [file, whole.program],
  );
  const run = useMemo(
    () => scoreOf(there.asRun, { lengthMm: whole.score.lengthMm, thicknessMm: whole.thicknessMm }, there.habit),
    [there, whole.score.lengthMm, whole.thicknessMm],
  );
  const { mode } = there;
  return (
    <Box mt="2" display="grid" gap="2">
      <Box>
        <Heading as="h2" textStyle="heading">
          {mode?.label ?? t('view.sequence.no-trigger')}
          {mode && !there.sameSchool && (
            <Box as="span" fontWeight={400} fontSize="small" color="ochre" ms="2">
              {t('view.sequence.nearest')}
            </Box>
          )}
        </Heading>
        <Box color="quiet" fontSize="small">
          {format(there.hand)}
        </Box>
      </Box>
      {run.ok ? (
        <SmallStaves whole={run.value} name={file.name} />
      ) : (
        <Notice level="refusal">{saidIssues(run.issues)}</Notice>
      )}
      <Parts there={there} />
      {run.ok && (
        <Box>
          <Heading as="h3" textStyle="label" color="quiet" fontWeight={600}>
            {t('view.sequence.your-hand')}
          </Heading>
          <Box as="ol" ps="5" listStyleType="decimal" fontSize="small">
            {pressLines(run.value.score).map((line) => (
              <li key={format(line)}>{format(line)}</li>
            ))}
          </Box>
        </Box>
      )}
      {(file.tapCalls?.length ?? 0) > 0 && <TapCalls machine={machine} program={whole.program} />}
      {there.lost.length > 0 ? (
        <Notice level="caution" word={t('view.sequence.cannot-do', { file: file.name })}>
          <Box as="ul" ps="4" listStyleType="disc" data-lost={file.name}>
            {there.lost.map(({ what, nearest }) => (
              <li key={format(what)}>{t('view.compare.nearest', { what, nearest })}</li>
            ))}
          </Box>
        </Notice>
      ) : (
        <Notice level="note" word={t('view.sequence.all-of-it')}>
          {t('view.sequence.can-do-all', { file: file.name })}
        </Notice>
      )}
      {file.triggerModes
        .filter(({ school, senseTested }) => school === 'latch' && senseTested === false)
        .map((plain) => (
          <DryTest key={plain.id} machine={machine} mode={plain} onFound={onFound} />
        ))}
      <Box fontSize="small">
        <Link to={`/machines/${machine.id}`}>
          <Box as="span" textDecoration="underline">
            {t('view.sequence.s-own-page', { file: file.name })}
          </Box>
        </Link>
      </Box>
    </Box>
  );
}

function Parts({ there }: { readonly there: SequenceOnMachine }) {
  const shapes = {
    dial: '',
    hand: t('view.sequence.by-hand'),
    fixed: named('machine'),
    'not-here': t('view.sequence.missing'),
  } as const;
  return (
    <Table label={t('view.sequence.machine-words')}>
      <Heads
        names={[named('part'), t('view.sequence.dial'), t('view.sequence.set-to')]}
        right={[t('view.sequence.set-to')]}
      />
      <tbody>
        {there.parts.map(({ part, label, where, said, how }) => (
          <tr key={part}>
            <Cell head py="1">
              {named(part)}
            </Cell>
            <Cell py="1" color={how === 'not-here' ? 'ochre' : label ? undefined : 'quiet'}>
              {label ?? (how === 'not-here' ? `◆ ${shapes[how]}` : shapes[how])}
              {where && (
                <Box as="span" color="quiet" fontSize="label">
                  {' '}
                  {where}
                </Box>
              )}
            </Cell>
            <Cell figure py="1" fontSize="text">
              {format(said)}
            </Cell>
          </tr>
        ))}
      </tbody>
    </Table>
  );
}

const height = 170;

/** The whole score small, folded, as this machine would run it. */
function SmallStaves({ whole, name }: { readonly whole: ScoreOf; readonly name: string }) {
  const holder = useRef<HTMLDivElement>(null);
  const canvas = useRef<HTMLCanvasElement>(null);
  const width = useWidth(holder, 420);
  const theme = useSettings((state) => state.theme);
  useEffect(() => {
    const context = ready(canvas.current);
    if (!context) return;
    const layout = staveLayout(width, height, true);
    const { score } = whole;
    const mains = score.played.filter((phase) => phase.name === 'main' || phase.name === 'second');
    const map = timeMap(score.untilS, foldsOf(mains));
    const window = fitted(map, width - layout.left - layout.right);
    paintStaves(context, { ...pictureOf(whole, { map, window }, layout, 'percent'), isSmall: true }, paints(theme));
  }, [whole, theme, width]);
  return (
    <Box ref={holder} height={`${height}px`}>
      <canvas
        ref={canvas}
        role="img"
        aria-label={t('view.sequence.as-machine-runs-it', {
          name,
          seconds: whole.totals.phases.map(({ phase, seconds }) => `${phase} ${fixed(seconds, 1)} s`),
        })}
        width={width * sharpness}
        height={height * sharpness}
        style={{ width: '100%', height: `${height}px`, display: 'block' }}
      />
    </Box>
  );
}
