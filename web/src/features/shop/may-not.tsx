/** Says whose act it is, where the person signed in may look but not change. */
import { t } from '../../lib/words.ts';
import { doorFacts, roleNames, type DoorFacts, type DoorName } from '@fox-tempo/contract';
import { oneOf } from '@fox-tempo/core/said';
import { Box } from '@chakra-ui/react';

export function MayNot({ door }: { readonly door: DoorName }) {
  const { who } = doorFacts[door] as DoorFacts;
  if (who === 'anyone') return null;
  return (
    <Box color="quiet" fontSize="13px">
      {t('view.shop.changed-by', { who: oneOf(who.map((role) => roleNames[role])) })}
    </Box>
  );
}
