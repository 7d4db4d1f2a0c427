/** The machine's own paper, gun by gun: rolls by colour, tip, liner, pressure marks, fittings, hoses and cables; what the set-up reads from it. */
import { Box } from '@chakra-ui/react';
import { amount } from '@fox-tempo/core/base/messages';
import { t } from '../../lib/words.ts';
import { GunWear } from '../../parts/wear/index.ts';
import { Action } from '../../ui/action.tsx';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { useKeptForm } from '../../ui/kept-text.ts';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { GunCables, GunIgnitions, GunLists, type Feeder, type Paper } from './gun-fields.tsx';
import type { MachineEditor } from './use-machine.ts';

export function GunPapers({ editor, mayChange }: { readonly editor: MachineEditor; readonly mayChange: boolean }) {
  return (
    <>
      <BeatMoves editor={editor} mayChange={mayChange} />
      {editor.machine.file.feeders.map((feeder) => (
        <OneGun key={feeder.id} editor={editor} feeder={feeder} mayChange={mayChange} />
      ))}
    </>
  );
}

/** A fed wire lags behind its motor; a current does not. */
function BeatMoves({
  editor: { machine, saveFile },
  mayChange,
}: {
  readonly editor: MachineEditor;
  readonly mayChange: boolean;
}) {
  if (machine.file.beatSchool === null) return null;
  return (
    <Panel title={t('view.gun-paper.double-pulse')}>
      <Box as="fieldset" {...{ disabled: !mayChange }} maxWidth="420px" borderWidth="0">
        <ChoiceField
          label={t('view.gun-paper.what-it-moves')}
          value={machine.file.beatMoves ?? ''}
          choices={[
            { value: '', label: t('view.gun-paper.nobody-knows') },
            { value: 'feed', label: t('view.gun-paper.the-feed') },
            { value: 'current', label: t('view.gun-paper.the-current') },
          ]}
          onChange={(value) =>
            void saveFile(({ beatMoves: _old, ...file }) =>
              value === 'feed' || value === 'current' ? { ...file, beatMoves: value } : file,
            )
          }
        />
      </Box>
    </Panel>
  );
}

function OneGun({
  editor,
  feeder,
  mayChange,
}: {
  readonly editor: MachineEditor;
  readonly feeder: Feeder;
  readonly mayChange: boolean;
}) {
  const { machine, task } = editor;
  const keep = `gun-paper/${machine.id}/${feeder.id}/${machine.version}`;
  const stored: Paper = feeder.paper ?? {};
  const [paper, setPaper, forget] = useKeptForm<Paper>(keep, stored);
  const edited = JSON.stringify(paper) !== JSON.stringify(stored);
  const set = (change: Partial<Paper>) =>
    // What was emptied is left out, not kept as nothing.
    setPaper(
      Object.fromEntries(
        Object.entries({ ...paper, ...change }).filter(
          ([, value]) => value !== undefined && !(Array.isArray(value) && value.length === 0),
        ),
      ),
    );
  return (
    <Panel
      title={feeder.label}
      aside={
        <Box textStyle="label" color="quiet">
          {t('view.machines.gun-and-length', { gun: feeder.gun, gunLengthM: amount('gunLength', feeder.gunLengthM) })}
        </Box>
      }
    >
      <Box display="grid" gap="4">
        {/* Who may not save is not led to type. */}
        <Box as="fieldset" {...{ disabled: !mayChange }} display="grid" gap="4" minWidth={0} borderWidth="0">
          <GunCables paper={paper} set={set} feeder={feeder} keep={keep} circuitMOhm={machine.file.circuitMOhm} />
          <GunIgnitions paper={paper} set={set} />
          <GunLists paper={paper} set={set} />
        </Box>
        <GunWear machineId={machine.id} feederId={feeder.id} />
        {task.problem !== null && edited && (
          <Notice level="refusal" word={t('view.library.not-saved')} urgent>
            {t('view.machines.draft-kept', { problem: task.problem })}
          </Notice>
        )}
        {mayChange && (
          <Box display="flex" gap="2" flexWrap="wrap">
            <Action
              kind="main"
              disabled={!edited || task.busy}
              onClick={() =>
                void editor
                  .saveFile((file) => ({
                    ...file,
                    feeders: file.feeders.map((one) => (one.id === feeder.id ? { ...one, paper } : one)),
                  }))
                  .then((done) => {
                    if (done) forget();
                  })
              }
            >
              {t('view.library.save')}
            </Action>
            <Action disabled={!edited} onClick={forget}>
              {t('view.machines.back-to-saved')}
            </Action>
          </Box>
        )}
      </Box>
    </Panel>
  );
}
