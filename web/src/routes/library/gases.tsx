/** Gases by their composition, and what the gates of each family let them do. */
import { t, format } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import { commonGasCodes, fillerOf, gasOf, type FillerCode } from '@fox-tempo/core/metal/consumables';
import { gasUse } from '@fox-tempo/core/setting/wire-choice';
import { Panel } from '../../ui/panel.tsx';
import { Cell, Heads, Table } from '../../ui/table.tsx';

/** One wire of each family stands for it. */
const families: readonly { readonly code: FillerCode; readonly name: string }[] = [
  { code: 'steel-solid', name: t('view.library.steel') },
  { code: 'stainless-solid', name: t('view.library.stainless') },
  { code: 'aluminium-5356', name: t('view.library.aluminium') },
  { code: 'cusi3', name: t('view.library.copper-silicon') },
];

export function Gases() {
  return (
    <Panel title={t('view.library.gases')}>
      <Table label={t('view.palette.gases')}>
        <Heads
          names={[
            t('view.library.code'),
            t('view.library.argon'),
            'CO₂',
            t('view.library.oxygen'),
            t('view.library.helium'),
            ...families.map((family) => family.name),
          ]}
          right={[t('view.library.argon'), 'CO₂', t('view.library.oxygen'), t('view.library.helium')]}
        />
        <tbody>
          {commonGasCodes
            .filter((code) => code !== 'none')
            .map((code) => {
              const gas = gasOf(code);
              return (
                <tr key={code}>
                  <Cell head fontFamily="mono" fontWeight={500}>
                    {code}
                  </Cell>
                  {[gas.argonPct, gas.co2Pct, gas.o2Pct, gas.heliumPct].map((share, at) => (
                    <Cell figure key={at} {...(share === 0 ? { color: 'quiet' } : {})}>
                      {share === 0 ? '–' : `${share} %`}
                    </Cell>
                  ))}
                  {families.map(({ code: filler }) => (
                    <Use key={filler} filler={filler} gas={code} />
                  ))}
                </tr>
              );
            })}
        </tbody>
      </Table>
      <Box textStyle="label" color="quiet" mt="2">
        {t('view.library.gases-key')}
      </Box>
    </Panel>
  );
}

function Use({ filler, gas }: { readonly filler: FillerCode; readonly gas: string }) {
  const { pulse, steady, caution } = gasUse(filler, gas);
  const family = fillerOf(filler).family;
  if (!steady) return <Cell color="crimson">{t('view.library.not-on', { family })}</Cell>;
  return (
    <Cell fontSize="small">
      <Box as="span" color={pulse ? 'spruce' : 'ochre'} fontWeight={600}>
        {pulse ? t('view.library.pulse') : t('view.library.no-pulse')}
      </Box>
      {caution !== undefined && (
        <Box color="quiet" textStyle="label">
          {format(caution)}
        </Box>
      )}
    </Cell>
  );
}
