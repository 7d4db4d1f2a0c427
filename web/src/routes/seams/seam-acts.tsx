/** What can be done with a whole seam: a copy with its setting, another part, off the list. */
import { t } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import type { Part, SeamResource } from '@fox-tempo/contract';
import { useState } from 'react';
import { useNavigate, useRevalidator } from 'react-router';
import { api } from '../../data/api.ts';
import { announce } from '../../lib/notices.ts';
import { download } from '../../lib/download.ts';
import { useMay } from '../../session/session.ts';
import { useTask } from '../../lib/use-task.ts';
import { Action } from '../../ui/action.tsx';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { Refused } from '../../ui/refused.tsx';
import { TextField } from '../../ui/text-field.tsx';

export interface SeamActsProps {
  readonly seam: SeamResource;
  readonly parts: readonly Part[];
  readonly onClose: () => void;
}

export function SeamActs({ seam, parts, onClose }: SeamActsProps) {
  const [form, setForm] = useState({
    name: t('view.seams.copy-of', { spec: seam.spec.name }).slice(0, 80),
    partId: seam.partId,
  });
  const task = useTask();
  const { revalidate } = useRevalidator();
  const navigate = useNavigate();
  const [mayCopy, mayMove, mayDelete] = [useMay('copySeam'), useMay('moveSeam'), useMay('deleteSeam')];
  const choices = parts
    .filter((part) => !part.retired || part.id === seam.partId)
    .map((part) => ({ value: part.id, label: part.name }));
  return (
    <Box borderTopWidth="1px" borderColor="line" py="3" ps={{ md: '112px' }}>
      <Box display="grid" gap="3" gridTemplateColumns={{ base: '1fr', md: '1.2fr 1.2fr auto auto' }} alignItems="end">
        <TextField
          label={t('view.seams.copy-name')}
          value={form.name}
          onChange={(name) => setForm({ ...form, name })}
        />
        <ChoiceField
          label={t('view.seams.on-which-part')}
          value={form.partId}
          choices={choices}
          onChange={(partId) => setForm({ ...form, partId })}
        />
        <Action
          disabled={task.busy || !mayCopy || form.name.trim() === ''}
          onClick={() =>
            void task.run(async () => {
              const copy = await api.copySeam(seam.id, form);
              await navigate(`/seams/${copy.id}`);
            })
          }
        >
          {t('view.seams.copy')}
        </Action>
        <Action
          disabled={task.busy || !mayMove || form.partId === seam.partId}
          onClick={() =>
            void task.run(async () => {
              const moved = await api.moveSeam(seam.id, seam.version, form.partId);
              await revalidate();
              announce({
                level: 'note',
                text: t('view.seams.moved', { spec: seam.spec.name, partName: moved.partName }),
                undo: () => api.moveSeam(seam.id, moved.version, seam.partId),
              });
              onClose();
            })
          }
        >
          {t('view.seams.move')}
        </Action>
      </Box>
      <Box display="flex" gap="2" mt="2" flexWrap="wrap" alignItems="center">
        <Action kind="quiet" fontSize="small" onClick={() => saveFile(seam)}>
          {t('view.seams.export')}
        </Action>
        <Action
          kind="quiet"
          fontSize="small"
          color="crimson"
          disabled={task.busy || !mayDelete}
          onClick={() =>
            void task.run(async () => {
              await api.deleteSeam(seam.id, seam.version);
              await revalidate();
              announce({
                level: 'note',
                text: t('view.seams.removed', { spec: seam.spec.name }),
                undo: () => api.restoreSeam(seam.id),
              });
            })
          }
        >
          {t('view.seams.remove')}
        </Action>
        {!mayDelete && (
          <Box fontSize="small" color="quiet">
            {t('view.seams.remove-who')}
          </Box>
        )}
      </Box>
      <Refused task={task} word={t('view.seams.not-done')} />
    </Box>
  );
}

function saveFile({ partName, spec, choice }: SeamResource): void {
  const file = { format: 'fox-tempo/seam', version: 1, part: partName, spec, choice };
  download(`${spec.name}.tempo.json`, 'application/json', JSON.stringify(file, null, 2));
}
