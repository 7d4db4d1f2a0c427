/** The window as it is written down: its ends, and the words on the sheet. */
import { Box } from '@chakra-ui/react';
import type { ProgramFile, SeamResource } from '@fox-tempo/contract';
import { type Window, windowOnDials } from '@fox-tempo/core/evidence/window';
import { useState } from 'react';
import { api } from '../../data/api.ts';
import { shopTime } from '../../lib/time.ts';
import { useTask } from '../../lib/use-task.ts';
import { fixed, t } from '../../lib/words.ts';
import { useMay } from '../../session/session.ts';
import type { StandingMachine } from '../../sheet/standing-machine.ts';
import { Action } from '../../ui/action.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { TextField } from '../../ui/text-field.tsx';

/** A window in the machine's own dials. */
export function Ends({
  machine,
  program,
  window,
}: {
  readonly machine: StandingMachine;
  readonly program: ProgramFile;
  readonly window: Window;
}) {
  const rows = windowOnDials(machine.file, program, window).map((one) => {
    const dial = machine.file.dials.find(({ id }) => id === one.dialId);
    return { ...one, label: dial?.label ?? one.dialId, unit: dial?.unit ?? '' };
  });
  return (
    <Box as="ul" listStyleType="none">
      {rows.map(({ label, unit, from, to, down, up }) => (
        <Box as="li" key={label} textStyle="figure">
          {label}: {shown(from)} … {shown(to)} {unit}{' '}
          <Box as="span" color="quiet" fontSize="small">
            (−{down} / +{up})
          </Box>
        </Box>
      ))}
    </Box>
  );
}

function shown(value: number): string {
  return fixed(value, Number.isInteger(value) ? 0 : 1);
}

export function Written({
  seam,
  machine,
  program,
  standing,
  offered,
  onSeam,
}: {
  readonly seam: SeamResource;
  readonly machine: StandingMachine;
  readonly program: ProgramFile;
  readonly standing: SeamResource['windows'][number] | undefined;
  readonly offered: Window | null;
  readonly onSeam: (seam: SeamResource) => void;
}) {
  const may = useMay('saveWindow');
  const task = useTask();
  const [reason, setReason] = useState('');
  const revision = seam.revision?.number ?? 1;
  const write = (window: Window | null) =>
    task.run(async () => {
      onSeam(
        await api.saveWindow(seam.id, seam.version, {
          machineId: machine.id,
          revision,
          window: window && {
            ...(window.wireFeedMPerMin ? { wireFeedMPerMin: [...window.wireFeedMPerMin] } : {}),
            ...(window.trimMm ? { trimMm: [...window.trimMm] } : {}),
          },
          reason,
        }),
      );
      setReason('');
    });
  const hasReason = reason.trim().length >= 3;
  return (
    <Panel title={t('view.window.in-force', { machine: machine.file.name })}>
      <Box display="grid" gap="2" fontSize="text">
        {standing ? (
          <>
            <Ends machine={machine} program={program} window={standing.window} />
            <Box color="quiet" fontSize="small">
              {t('view.window.written', { by: standing.by, at: shopTime(standing.at), reason: standing.reason })}
            </Box>
            {standing.revision !== revision && (
              <Notice level="caution">{t('view.window.made-for-revision', { revision: standing.revision })}</Notice>
            )}
          </>
        ) : (
          <Box color="quiet">{t('view.window.none')}</Box>
        )}
        {may ? (
          <>
            <TextField label={t('view.trials.why')} value={reason} maxLength={300} onChange={setReason} />
            <Box display="flex" gap="2" flexWrap="wrap">
              <Action
                kind="main"
                disabled={task.busy || !hasReason || offered === null}
                onClick={() => void write(offered)}
              >
                {t('view.window.write-the-largest')}
              </Action>
              {standing && (
                <Action disabled={task.busy || !hasReason} onClick={() => void write(null)}>
                  {t('view.window.take-it-away')}
                </Action>
              )}
            </Box>
            {offered === null && (
              <Box fontSize="label" color="quiet">
                {t('view.window.test-one-first')}
              </Box>
            )}
          </>
        ) : (
          <Box fontSize="label" color="quiet">
            {t('view.window.who-writes')}
          </Box>
        )}
        {task.problem !== null && <Notice level="refusal">{task.problem}</Notice>}
      </Box>
    </Panel>
  );
}
