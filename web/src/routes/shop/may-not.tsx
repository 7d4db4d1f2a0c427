/** Says whose act it is, where the person signed in may look but not change. */
import { t } from '../../lib/words.ts';
import { rights, roleNames, type Act } from '@fox-tempo/contract';
import { oneOf } from '@fox-tempo/core/base/messages';
import { Box } from '@chakra-ui/react';

export function MayNot({ act }: { readonly act: Act }) {
  return (
    <Box color="quiet" fontSize="small">
      {t('view.shop.changed-by', { who: oneOf(rights[act].roles.map((role) => roleNames[role])) })}
    </Box>
  );
}
