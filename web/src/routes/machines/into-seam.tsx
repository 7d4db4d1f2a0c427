/** A weld that was read off a machine's dials, taken onto a seam's sheet as a draft: undo takes it back, nothing is saved. */
import { Box } from '@chakra-ui/react';
import { choiceOfProgram } from '@fox-tempo/core/site';
import type { Program } from '@fox-tempo/core/setting/program';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { useEndpointList } from '../../data/queries.ts';
import { createDraftStore } from '../../sheet/draft-store.ts';
import { sheetOf } from '../../sheet/sheet.ts';
import { t } from '../../lib/words.ts';
import { Action } from '../../ui/action.tsx';
import { ChoiceField } from '../../ui/choice-field.tsx';

export function IntoSeam({ program }: { readonly program: Program }) {
  const navigate = useNavigate();
  const { data: seams } = useEndpointList('seams');
  const [seamId, setSeamId] = useState('');
  const seam = seams?.find(({ id }) => id === seamId) ?? seams?.[0];
  if (!seams) return null;
  if (!seam)
    return (
      <Box mt="2" fontSize="text">
        {t('view.machines.reading.no-seam')} <Link to="/seams?new=1">{t('view.tour.describe')}</Link>
      </Box>
    );
  const take = () => {
    const draft = createDraftStore(seam.id, { version: seam.version, sheet: sheetOf(seam) });
    const choice = choiceOfProgram(program);
    draft.getState().edit((now) => ({ ...now, choice }), t('view.machines.reading.name'));
    void navigate(`/seams/${seam.id}`);
  };
  return (
    <Box mt="2" display="flex" gap="2" alignItems="end" flexWrap="wrap">
      <Box flex="1 1 200px">
        <ChoiceField
          label={t('view.machines.into-which-seam')}
          value={seam.id}
          choices={seams.map((one) => ({ value: one.id, label: `${one.spec.name}, ${one.partName}` }))}
          onChange={setSeamId}
        />
      </Box>
      <Action onClick={take}>{t('view.machines.reading.use')}</Action>
    </Box>
  );
}
