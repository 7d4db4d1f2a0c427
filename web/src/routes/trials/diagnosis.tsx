/** What is wrong, what to look at next, and which one move to make: every probability opens to what spoke for it. */
import { displayed } from '@fox-tempo/core/machine/description';
import { Box } from '@chakra-ui/react';
import type { DiagnosisAnswer, MachineResource, MoveAnswer, Trial } from '@fox-tempo/contract';
import { amount } from '@fox-tempo/core/base/messages';
import { useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { fixed, formatWithUnit, t, format } from '../../lib/words.ts';
import { useSettings } from '../../session/settings.ts';
import { Action } from '../../ui/action.tsx';
import { HazardText } from '../../ui/hazard-text.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';

export interface DiagnosisProps {
  readonly trial: Trial;
  readonly machine: MachineResource | undefined;
  readonly diagnosis: DiagnosisAnswer;
}

const causesShown = 6;
const movesShown = 4;

export function Diagnosis({ trial, machine, diagnosis }: DiagnosisProps) {
  const { causes, nextLook, moves, none, warnings, backCheck } = diagnosis;
  // A weld that passed and showed nothing needs no move; one that crackles does, though it passed.
  const isFine = trial.verdict === 'pass' && trial.symptoms.length === 0;
  const [first, ...rest] = moves;
  const others = isFine ? moves : rest;
  return (
    <Box display="grid" gap="3" minWidth={0}>
      {warnings.map((warning) => (
        <Notice key={warning.code} level="note">
          {format(warning)}
        </Notice>
      ))}
      {backCheck?.words && (
        <Notice level="caution" word={t('view.trials.back-check')}>
          {format(backCheck.words)}
        </Notice>
      )}
      {first && !isFine && <FirstMove trial={trial} machine={machine} move={first} />}
      <Panel
        title={t('view.trials.likely-causes')}
        aside={
          <Box textStyle="label" color="quiet">
            {t('view.trials.none-of-these', { none: amount('percent', 100 * none, 0) })}
          </Box>
        }
      >
        <Box as="ol" listStyleType="none">
          {causes.slice(0, causesShown).map((cause) => (
            <Cause key={cause.code} cause={cause} />
          ))}
        </Box>
        <Box fontSize="label" color="quiet" mt="1">
          {t('view.trials.chances-why')}
        </Box>
      </Panel>
      {nextLook && (
        <Panel title={t('view.trials.look-here-next')}>
          <Box fontSize="text">
            <HazardText said={nextLook.words} />
          </Box>
          <Box fontSize="label" color="quiet" mt="1">
            {t('view.trials.takes-and-settles', {
              minutes: amount('minutes', nextLook.minutes, 1),
              bits: amount('plain', nextLook.bits, 2),
            })}
          </Box>
        </Panel>
      )}
      {others.length > 0 && (
        <Panel title={isFine ? t('view.trials.if-worse') : t('view.trials.other-moves')}>
          <Box as="ul" listStyleType="none">
            {others.slice(0, movesShown).map((move) => (
              <Box
                as="li"
                key={move.code}
                py="2"
                borderTopWidth="1px"
                borderColor="line"
                _first={{ borderTopWidth: 0 }}
              >
                <MoveLine trial={trial} machine={machine} move={move} />
              </Box>
            ))}
          </Box>
        </Panel>
      )}
    </Box>
  );
}

function Cause({ cause: { name, probability, because } }: { readonly cause: DiagnosisAnswer['causes'][number] }) {
  const [open, setOpen] = useState(false);
  return (
    <Box as="li" borderTopWidth="1px" borderColor="line" _first={{ borderTopWidth: 0 }}>
      <Action
        kind="quiet"
        width="100%"
        px="1"
        justifyContent="flex-start"
        fontWeight={500}
        aria-expanded={open}
        onClick={() => setOpen(!open)}
      >
        <Box as="span" textStyle="figure" width="54px" textAlign="end" flexShrink={0}>
          {fixed(100 * probability, 0)} %
        </Box>
        <Box as="span" position="relative" flex="1" minWidth={0} textAlign="start" whiteSpace="normal">
          {format(name)}
          <Box
            as="span"
            position="absolute"
            insetStart="0"
            bottom="-5px"
            height="3px"
            bg="accent"
            width={`${Math.max(100 * probability, 0.5)}%`}
            aria-hidden="true"
          />
        </Box>
        <Box as="span" color="quiet" aria-hidden="true">
          {open ? '−' : '+'}
        </Box>
      </Action>
      {open && (
        <Box as="ul" ps="62px" pb="2" fontSize="small" color="quiet" listStyleType="none">
          {because.map((line, at) => (
            <Box as="li" key={at}>
              {format(line)}
            </Box>
          ))}
        </Box>
      )}
    </Box>
  );
}

function FirstMove(props: {
  readonly trial: Trial;
  readonly machine: MachineResource | undefined;
  readonly move: MoveAnswer;
}) {
  return (
    <Panel title={t('view.trials.next-move')} borderColor="accent" borderWidth="2px">
      <MoveLine {...props} isFirst />
    </Panel>
  );
}

function MoveLine({
  trial,
  machine,
  move,
  isFirst = false,
}: {
  readonly trial: Trial;
  readonly machine: MachineResource | undefined;
  readonly move: MoveAnswer;
  readonly isFirst?: boolean;
}) {
  const navigate = useNavigate();
  const address = `/seams/${trial.seamId}/trial?${new URLSearchParams({ after: trial.id, move: move.code }).toString()}`;
  return (
    <Box display="grid" gap="1" gridTemplateColumns="minmax(0, 1fr) auto" alignItems="start">
      <Box minWidth={0}>
        <Box fontSize={isFirst ? 'lead' : 'text'} fontWeight={isFirst ? 600 : 500}>
          {format(move.words)}
        </Box>
        <OnTheDial machine={machine} move={move} />
        <Expected move={move} />
        <Box fontSize="label" color="quiet">
          {move.sideEffects.map(format).join(' ')}
        </Box>
      </Box>
      <Action kind={isFirst ? 'main' : 'plain'} onClick={() => void navigate(address)}>
        {t('view.trials.done-weld-again')}
      </Action>
    </Box>
  );
}

/** In this machine's own word and steps. */
function OnTheDial({
  machine,
  move,
}: {
  readonly machine: MachineResource | undefined;
  readonly move: MoveAnswer;
}): ReactNode {
  const units = useSettings((state) => state.units);
  const { change, dialId, steps, dialValue } = move;
  const dial = machine?.file.dials.find(({ id }) => id === dialId);
  if (dial && steps !== undefined && dialValue !== undefined) {
    return (
      <Box fontSize="body" mt="0.5">
        <Box as="span" textStyle="figure" fontSize="title">
          {dial.label} {steps > 0 ? '+' : steps < 0 ? '−' : '±'}
          {Math.abs(steps)}
        </Box>{' '}
        <Box as="span" color="quiet">
          {t('view.trials.should-be', {
            value: displayed(dial.scale, dialValue),
            unit: dial.unit,
          })}
        </Box>
      </Box>
    );
  }
  if (!change) return null;
  const kind = (
    { trimMm: 'shortLength', wireFeedMPerMin: 'wireFeed', travelMmPerMin: 'travel', ctwdMm: 'shortLength' } as const
  )[change.quantity];
  return (
    <Box fontSize="text" color="quiet">
      {t('view.trials.from-to', {
        from: formatWithUnit(change.from, kind, units),
        to: formatWithUnit(change.to, kind, units),
      })}
    </Box>
  );
}

function Expected({ move: { predicted, gain, minutes } }: { readonly move: MoveAnswer }) {
  return (
    <Box fontSize="label" color="quiet">
      {t('view.trials.then', {
        current: amount('current', predicted.displayedCurrentA, 0),
        voltage: amount('voltage', predicted.displayedVoltageV, 1),
        leg: amount('shortLength', predicted.legMm, 1),
        arc: amount('shortLength', predicted.arcMm, 1),
      })}{' '}
      {t('view.trials.gain', {
        gain: amount('percent', Math.max(100 * gain, 0), 0),
        minutes: amount('minutes', minutes, 1),
      })}
    </Box>
  );
}
