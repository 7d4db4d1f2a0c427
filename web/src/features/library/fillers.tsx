/** Fillers by class with the constants the model uses, their errors, and what each means for the part. */
import { Box } from '@chakra-ui/react';
import { fillers, wireAreaMm2, wireSizes } from '@fox-tempo/core/consumables';
import { fillerFacts } from '@fox-tempo/core/wire-choice';
import { Panel } from '../../ui/panel.tsx';
import { Cell, Heads, Table } from '../../ui/table.tsx';

export function Fillers() {
  return (
    <>
      <Panel title="Fillers">
        <Table label="Fillers">
          <Heads
            names={['Filler', 'What it means for the part', 'kA', 'kB', 'Density', 'Error', 'Yield']}
            right={['kA', 'kB', 'Density', 'Error', 'Yield']}
          />
          <tbody>
            {fillers.map((filler) => {
              const facts = fillerFacts[filler.code];
              return (
                <tr key={filler.code}>
                  <Cell head minWidth="190px">
                    {filler.name}
                    <Box textStyle="label" color="quiet" fontWeight={400}>
                      {filler.classes}
                      {filler.use === undefined ? '' : `: ${filler.use}`}
                    </Box>
                  </Cell>
                  <Cell minWidth="260px" fontSize="13px">
                    {facts.strength}; {facts.colour}; {facts.cracking}; {facts.leaves}
                  </Cell>
                  <Cell figure>{filler.kA.toFixed(3)}</Cell>
                  <Cell figure>{(filler.kB * 1e5).toFixed(1)}e−5</Cell>
                  <Cell figure>{filler.densityKgPerM3}</Cell>
                  <Cell figure>±{(100 * filler.meltingError).toFixed(0)} %</Cell>
                  <Cell figure>{(100 * filler.yield).toFixed(0)} %</Cell>
                </tr>
              );
            })}
          </tbody>
        </Table>
        <Box textStyle="label" color="quiet" mt="2">
          kA in mm³/(A s), kB in mm⁴/(A² s), density in kg/m³ (effective for cored wires). Melting: v = kA I / A + kB L
          I² / A². Fits to published operating data; corrected by your own points where you calibrate a machine.
        </Box>
      </Panel>
      <Panel title="Sizes are not what they seem">
        <Table label="Wire sizes">
          <Heads
            names={['On the spool', 'True diameter', 'Metal a metre', 'Against 1.0 mm']}
            right={['True diameter', 'Metal a metre', 'Against 1.0 mm']}
          />
          <tbody>
            {[...wireSizes]
              .sort((a, b) => a.diameterMm - b.diameterMm)
              .map(({ diameterMm, label }) => (
                <tr key={label}>
                  <Cell head>{label}</Cell>
                  <Cell figure>{diameterMm.toFixed(3)} mm</Cell>
                  <Cell figure>{wireAreaMm2(diameterMm).toFixed(3)} mm²</Cell>
                  <Cell figure>{((100 * wireAreaMm2(diameterMm)) / wireAreaMm2(1)).toFixed(1)} %</Cell>
                </tr>
              ))}
          </tbody>
        </Table>
      </Panel>
    </>
  );
}
