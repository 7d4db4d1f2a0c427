/** The simulated machine: what is set on its dials, what was put right, one weld. It is a stand-in and is called so wherever it shows. */
import { Box } from '@chakra-ui/react';
import { type MachineResource, type SeamResource, type StandInBead } from '@fox-tempo/contract';
import { causeCodes, causes, type CauseCode } from '@fox-tempo/core/evidence/judge';
import { cardOf } from '@fox-tempo/core/machine/dials';
import { useState } from 'react';
import { api } from '../../data/api.ts';
import { t, format } from '../../lib/words.ts';
import { useTask } from '../../lib/use-task.ts';
import { Action } from '../../ui/action.tsx';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { ValueField } from '../../ui/value-field.tsx';
import { addressOf } from '../../data/address.ts';

export interface StandInPanelProps {
  readonly seam: SeamResource;
  readonly machine: MachineResource;
  readonly dials: Readonly<Record<string, number>>;
  readonly onDials: (dials: Readonly<Record<string, number>>) => void;
  readonly lengthMm: number;
  readonly weldedBy: string | null;
  readonly plateC: number | null;
  /** Causes the move before this trial puts right. */
  readonly mends: readonly CauseCode[];
  readonly onBead: (bead: StandInBead) => void;
}

export function StandInPanel({
  seam,
  machine,
  dials,
  onDials,
  lengthMm,
  weldedBy,
  plateC,
  mends,
  onBead,
}: StandInPanelProps) {
  const task = useTask();
  const [mended, setMended] = useState<readonly CauseCode[]>(mends);
  const [bead, setBead] = useState<StandInBead | null>(null);
  const weld = async () => {
    await task.run(async () => {
      const made = await api.standInWeld(machine.id, {
        seamId: seam.id,
        dials: { ...dials },
        lengthMm,
        mended: [...mended],
        pace: 1,
        ...(weldedBy === null ? {} : { weldedBy }),
        ...(plateC === null ? {} : { plateC }),
      });
      setBead(made);
      onBead(made);
    });
  };
  const program = seam.revision?.program;
  const card = program ? cardOf(machine.file, program).dials : [];
  return (
    <Panel
      title={t('view.trials.simulator-for', { machine: machine.file.name })}
      aside={
        <Box textStyle="label" color="quiet">
          {t('view.trials.simulated')}
        </Box>
      }
      borderStyle="dashed"
    >
      <Box display="grid" gap="2">
        <Box display="grid" gap="2" gridTemplateColumns="repeat(auto-fill, minmax(104px, 1fr))">
          {card.map(({ dialId, label, value }) => (
            <ValueField
              key={dialId}
              label={label}
              of="plain"
              value={dials[dialId] ?? value}
              keep={`stand-in/${seam.id}/${machine.id}/${dialId}`}
              step={1}
              follows
              onValue={(next) => {
                if (next !== null) onDials({ ...dials, [dialId]: next });
              }}
            />
          ))}
        </Box>
        <Box display="flex" gap="2" flexWrap="wrap" alignItems="end">
          <Box flex="1 1 220px">
            <ChoiceField
              label={t('view.trials.corrected')}
              value={''}
              choices={[
                { value: '', label: mended.length === 0 ? t('view.trials.nothing') : t('view.trials.add-another') },
                ...causeCodes
                  .filter((code) => causes[code].kind !== 'set' && !mended.includes(code))
                  .map((code) => ({ value: code, label: causes[code].name })),
              ]}
              onChange={(code) => {
                if (code !== '') setMended([...mended, code]);
              }}
            />
          </Box>
          <Action kind="main" onClick={() => void weld()} disabled={task.busy}>
            {task.busy ? t('view.trials.welding') : t('view.trials.weld-simulated')}
          </Action>
        </Box>
        {mended.length > 0 && (
          <Box display="flex" gap="1" flexWrap="wrap">
            {mended.map((code) => (
              <Action
                key={code}
                minHeight="44px"
                fontSize="small"
                onClick={() => setMended(mended.filter((one) => one !== code))}
              >
                {format(causes[code].name)} ✕
              </Action>
            ))}
          </Box>
        )}
        {task.problem !== null && <Notice level="refusal">{task.problem}</Notice>}
        {bead && (
          <Box fontSize="small" color="quiet" role="status">
            {t('view.trials.welded-simulated', { seconds: Math.round(10 * bead.seconds) / 10 })}{' '}
            {bead.mended.map(({ cause, wasWrong }) => (
              <Box as="span" key={cause} me="2">
                {wasWrong ? '✓' : '–'} {format(causes[cause as CauseCode].name)}:{' '}
                {wasWrong ? t('view.trials.had-been-wrong') : t('view.trials.was-in-order')}
              </Box>
            ))}{' '}
            <Box asChild color="accent" fontWeight={600}>
              <a href={addressOf('standInTrace', { id: machine.id })}>{t('view.trials.its-trace')}</a>
            </Box>
          </Box>
        )}
      </Box>
    </Panel>
  );
}
