/** One more trigger mode: the machine's word for it and what the hand does; its states are drawn as machines usually have them, until somebody tries. */
import { t, format } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import { usualTriggerMode, type TriggerMode } from '@fox-tempo/core/machine/description';
import { schoolFacts, triggerSchools, type TriggerSchool } from '@fox-tempo/core/weld/sequence';
import { Action } from '../../ui/action.tsx';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { useKeptForm } from '../../ui/kept-text.ts';
import { TextField } from '../../ui/text-field.tsx';
import type { MachineEditor } from './use-machine.ts';

export function AddTriggerMode({ editor }: { readonly editor: MachineEditor }) {
  const { machine, task } = editor;
  const [form, setForm, forget] = useKeptForm<{ label: string; school: TriggerSchool }>(`trigger/${machine.id}`, {
    label: '',
    school: 'hold',
  });
  return (
    <Box borderTopWidth="1px" borderColor="line" pt="3" mt="2">
      <Box display="grid" gridTemplateColumns={{ base: '1fr', md: '1fr 2fr auto' }} gap="2.5" alignItems="start">
        <TextField
          label={t('view.machines.trigger-label')}
          value={form.label}
          onChange={(label) => setForm({ ...form, label })}
        />
        <ChoiceField<TriggerSchool>
          label={t('view.machines.trigger-hand')}
          value={form.school}
          choices={triggerSchools.map((school) => ({ value: school, label: schoolFacts[school].name }))}
          onChange={(school) => setForm({ ...form, school })}
          hint={format(schoolFacts[form.school].hand)}
        />
        <Action
          mt="18px"
          disabled={task.busy || form.label.trim() === '' || machine.file.triggerModes.length >= 20}
          onClick={() =>
            void editor
              .saveFile((file) => ({
                ...file,
                triggerModes: [
                  ...file.triggerModes,
                  plain(usualTriggerMode(form.school, form.label.trim(), freeMode(file.triggerModes))),
                ],
              }))
              .then((done) => {
                if (done) forget();
              })
          }
        >
          {t('view.machines.add-the-mode')}
        </Action>
      </Box>
    </Box>
  );
}

/** As the file has it: lists that may be written to. */
function plain(mode: TriggerMode) {
  return structuredClone(mode) as ReturnType<typeof structuredClone<MachineMode>>;
}
type MachineMode = MachineEditor['machine']['file']['triggerModes'][number];

function freeMode(modes: readonly { readonly id: string }[]): string {
  for (let count = modes.length + 1; ; count++) {
    const id = `mode-${count}`;
    if (!modes.some((mode) => mode.id === id)) return id;
  }
}
