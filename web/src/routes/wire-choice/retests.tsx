/** What a change of wire or gas opens again: the saved setting is not carried over. */
import { t, format } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import type { Program } from '@fox-tempo/core/setting/program';
import { retestList, wireWords } from '@fox-tempo/core/setting/wire-choice';
import type { Sheet } from '../../sheet/sheet-fields.ts';
import { Panel } from '../../ui/panel.tsx';

export function Retests({ saved, choice }: { readonly saved: Program; readonly choice: Sheet['choice'] }) {
  const retests = retestList(saved, choice, saved);
  if (retests.length === 0) return null;
  return (
    <Panel title={t('view.wire-choice.affects')}>
      <Box fontSize="small" mb="2">
        {t('view.wire-choice.new-program', {
          diameter: wireWords(saved.filler, saved.diameterMm),
          gas: saved.gas,
        })}
      </Box>
      <Box as="ul" listStyleType="none">
        {retests.map(({ id, title, why }) => (
          <Box
            as="li"
            key={id}
            display="grid"
            gridTemplateColumns={{ md: '260px 1fr' }}
            gap="3"
            py="1"
            borderTopWidth="1px"
            borderColor="line"
            fontSize="text"
          >
            <Box fontWeight={600}>{format(title)}</Box>
            <Box>{format(why)}</Box>
          </Box>
        ))}
      </Box>
    </Panel>
  );
}
