/** Gases by their composition, and what the gates of each family let them do. */
import { Box } from '@chakra-ui/react';
import { commonGasCodes, fillerOf, gasOf, type FillerCode } from '@fox-tempo/core/consumables';
import { gasUse } from '@fox-tempo/core/wire-choice';
import { Panel } from '../../ui/panel.tsx';
import { Cell, Heads, Table } from '../../ui/table.tsx';

/** One wire of each family stands for it. */
const families: readonly { readonly code: FillerCode; readonly name: string }[] = [
  { code: 'steel-solid', name: 'Steel' },
  { code: 'stainless-solid', name: 'Stainless' },
  { code: 'aluminium-5356', name: 'Aluminium' },
  { code: 'cusi3', name: 'Copper-silicon' },
];

export function Gases() {
  return (
    <Panel title="Gases by ISO 14175">
      <Table label="Gases">
        <Heads
          names={['Code', 'Argon', 'CO₂', 'Oxygen', 'Helium', ...families.map((family) => family.name)]}
          right={['Argon', 'CO₂', 'Oxygen', 'Helium']}
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
        Pulse needs at most 20 % active gas and 75 % helium; nothing active belongs on aluminium. Percentages only:
        nicknames differ from shop to shop.
      </Box>
    </Panel>
  );
}

function Use({ filler, gas }: { readonly filler: FillerCode; readonly gas: string }) {
  const { pulse, steady, caution } = gasUse(filler, gas);
  const family = fillerOf(filler).family;
  if (!steady) return <Cell color="crimson">✕ not on {family}</Cell>;
  return (
    <Cell fontSize="13px">
      <Box as="span" color={pulse ? 'spruce' : 'ochre'} fontWeight={600}>
        {pulse ? '● pulse' : '◇ no pulse'}
      </Box>
      {caution !== undefined && (
        <Box color="quiet" textStyle="label">
          {caution}
        </Box>
      )}
    </Cell>
  );
}
