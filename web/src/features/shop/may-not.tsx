/** Says whose act it is, where the person signed in may look but not change. */
import { doorFacts, roleNames, type DoorFacts, type DoorName } from '@fox-tempo/contract';
import { Box } from '@chakra-ui/react';

export function MayNot({ door }: { readonly door: DoorName }) {
  const { who } = doorFacts[door] as DoorFacts;
  if (who === 'anyone') return null;
  const names = who.map((role) => roleNames[role]);
  return (
    <Box color="quiet" fontSize="13px">
      Changed by {names.slice(0, -1).join(', ')} or {names.at(-1)}.
    </Box>
  );
}
