/** Reading a machine's free dials at the start of a shift: large keys, in under a minute; and putting back what drifted. */
import { Box, chakra } from '@chakra-ui/react';
import type { MachineResource, ShiftSlot } from '@fox-tempo/contract';
import { displayed, handOfDial, isNumeric, type Dial, toldDials } from '@fox-tempo/core/machine/description';
import { putBack } from '@fox-tempo/core/machine/dials';
import { useState } from 'react';
import { Link } from 'react-router';
import { api } from '../../data/api.ts';
import { shopTime } from '../../lib/time.ts';
import { useMay } from '../../session/session.ts';
import { useTask } from '../../lib/use-task.ts';
import { t, format } from '../../lib/words.ts';
import { Action } from '../../ui/action.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { lastWords } from '../../data/last-hand.ts';

type Dials = Readonly<Record<string, number>>;

export function Reading({
  slot,
  machine,
  onRead,
}: {
  readonly slot: ShiftSlot;
  readonly machine: MachineResource;
  readonly onRead: () => Promise<void>;
}) {
  const may = useMay('noteFound');
  const task = useTask();
  const [found, setFound] = useState<Dials>({});
  const dials = toldDials(machine.file).filter(
    (dial) => handOfDial(dial) === 'free' && slot.dials[dial.id] !== undefined,
  );
  const send = (values: Dials, isPutBack = false) =>
    task.run(async () => {
      await api.noteFound(machine.id, slot.slot, {
        entryId: slot.entryId,
        dials: { ...values },
        ...(isPutBack ? { putBack: true } : {}),
      });
      setFound({});
      await onRead();
    });
  const left = dials.filter(({ id }) => found[id] === undefined).length;
  return (
    <Panel
      title={t('view.shift.read-slot', { slot: slot.slot, machine: slot.machineName })}
      aside={
        <Box textStyle="label" color="quiet">
          <Link to={`/seams/${slot.seamId}`}>{slot.seamName}</Link>
        </Box>
      }
    >
      <Box display="grid" gap="3">
        <DriftFound slot={slot} machine={machine} isBusy={task.busy} onPutBack={(values) => void send(values, true)} />
        {dials.length === 0 ? (
          <Notice level="note">{t('view.shift.no-free-dial')}</Notice>
        ) : (
          <Box as="ul" listStyleType="none">
            {dials.map((dial) => (
              <DialToRead
                key={dial.id}
                dial={dial}
                meant={slot.dials[dial.id] ?? 0}
                found={found[dial.id]}
                onFound={(value) => setFound({ ...found, [dial.id]: value })}
              />
            ))}
          </Box>
        )}
        {task.problem !== null && <Notice level="refusal">{task.problem}</Notice>}
        {may && dials.length > 0 && (
          <Box display="flex" gap="2" flexWrap="wrap">
            <Action
              kind="main"
              minHeight="56px"
              px="6"
              disabled={task.busy || left > 0}
              onClick={() => void send(found)}
            >
              {left > 0 ? t('view.shift.left-to-read', { left }) : t('view.shift.keep-as-found')}
            </Action>
            <Action
              minHeight="56px"
              px="6"
              disabled={task.busy}
              onClick={() => void send(Object.fromEntries(dials.map(({ id }) => [id, slot.dials[id] ?? 0])))}
            >
              {t('view.shift.all-as-stored')}
            </Action>
          </Box>
        )}
      </Box>
    </Panel>
  );
}

function DialToRead({
  dial,
  meant,
  found,
  onFound,
}: {
  readonly dial: Dial;
  readonly meant: number;
  readonly found: number | undefined;
  readonly onFound: (value: number) => void;
}) {
  const { scale, label, where, unit } = dial;
  const isFigure = isNumeric(scale) && scale.kind !== 'stepped';
  const [typed, setTyped] = useState<string | null>(null);
  const last = scale.kind === 'named' || scale.kind === 'stepped' ? scale.positions.length - 1 : 0;
  const [min, max, step] = isFigure ? [scale.min, scale.max, scale.step] : [0, last, 1];
  const at = found ?? meant;
  const move = (by: number) => onFound(Number(Math.min(Math.max(at + by * step, min), max).toFixed(6)));
  const isSame = found !== undefined && Math.abs(found - meant) < 1e-9;
  const key = { minHeight: '64px', minWidth: '64px', fontSize: 'big' } as const;
  return (
    <Box
      as="li"
      display="grid"
      gridTemplateColumns={{ base: '1fr', md: 'minmax(0, 1fr) auto' }}
      gap="2"
      alignItems="center"
      py="2"
      borderBottomWidth="1px"
      borderColor="line"
    >
      <Box minWidth={0}>
        <Box fontSize="title" fontWeight={650}>
          {label}
        </Box>
        <Box fontSize="small" color="quiet">
          {where} · {t('view.shift.stored', { value: displayed(scale, meant), unit })}
        </Box>
      </Box>
      <Box display="flex" gap="1.5" alignItems="center">
        <Action {...key} aria-label={t('view.shift.lower', { label })} onClick={() => move(-1)}>
          −
        </Action>
        <Box
          minWidth="128px"
          textAlign="center"
          fontFamily="mono"
          fontSize="huge"
          fontWeight={650}
          lineHeight="1.1"
          color={found === undefined ? 'quiet' : isSame ? 'spruce' : 'ochre'}
          aria-live="polite"
        >
          {isFigure ? (
            <chakra.input
              inputMode="decimal"
              aria-label={t('view.shift.found', { label })}
              value={typed ?? (found === undefined ? '' : displayed(scale, found))}
              placeholder="…"
              width="128px"
              minHeight="48px"
              textAlign="center"
              bg="transparent"
              borderBottomWidth="2px"
              borderColor="edge"
              onChange={(event) => {
                setTyped(event.target.value);
                const value = Number(event.target.value.replace(',', '.'));
                if (event.target.value.trim() !== '' && Number.isFinite(value) && value >= min && value <= max)
                  onFound(value);
              }}
              onBlur={() => setTyped(null)}
            />
          ) : found === undefined ? (
            '…'
          ) : (
            displayed(scale, found)
          )}
          <Box as="span" display="block" fontSize="label" fontFamily="body" fontWeight={400}>
            {found === undefined
              ? t('view.shift.not-read')
              : isSame
                ? t('view.shift.as-stored')
                : t('view.shift.otherwise')}
          </Box>
        </Box>
        <Action {...key} aria-label={t('view.shift.higher', { label })} onClick={() => move(1)}>
          +
        </Action>
        <Action {...key} aria-label={t('view.shift.dial-as-stored', { label })} onClick={() => onFound(meant)}>
          ✓
        </Action>
      </Box>
    </Box>
  );
}

/** What was found last, who was at the machine before, and the way back in its own steps. */
function DriftFound({
  slot,
  machine,
  isBusy,
  onPutBack,
}: {
  readonly slot: ShiftSlot;
  readonly machine: MachineResource;
  readonly isBusy: boolean;
  readonly onPutBack: (dials: Dials) => void;
}) {
  const { found, drifted, dials } = slot;
  if (!found) return <Notice level="note">{t('view.shift.not-read-sentence')}</Notice>;
  const who = t('view.shift.read-by', { by: found.foundBy, at: shopTime(found.foundAt) });
  if (drifted.length === 0)
    return (
      <Box color="spruce" fontWeight={600}>
        ✓ {t('view.shift.as-stored-by', { who })}
      </Box>
    );
  const back = putBack(machine.file, dials, found.dials);
  return (
    <Notice level="caution" word={t('view.machines.drifted-sentence')}>
      {who}. {lastWords(slot.lastBefore)}
      <Box as="ol" ps="5" listStyleType="decimal" fontSize="title" my="1.5">
        {back.map(({ dialId, words }) => (
          <li key={dialId}>{format(words)}</li>
        ))}
      </Box>
      <Action
        disabled={isBusy}
        onClick={() => onPutBack({ ...found.dials, ...Object.fromEntries(drifted.map((id) => [id, dials[id] ?? 0])) })}
      >
        {t('view.shift.put-back')}
      </Action>
    </Notice>
  );
}
