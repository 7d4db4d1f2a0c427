/** Base metals by grade, with the composition where a carbon equivalent needs it, and the gauge tables that differ by metal. */
import { Box } from '@chakra-ui/react';
import { grades, materials } from '@fox-tempo/core/consumables';
import { carbonEquivalentCet } from '@fox-tempo/core/heat';
import { gaugeRows } from '@fox-tempo/core/units';
import { Panel } from '../../ui/panel.tsx';
import { Cell, Heads, Table } from '../../ui/table.tsx';

export function Metals() {
  const gauges = gaugeRows();
  return (
    <>
      <Panel title="Grades">
        <Table label="Grades">
          <Heads names={['Grade', 'Also', 'Metal', 'C', 'Mn', 'CET', 'To know']} right={['C', 'Mn', 'CET']} />
          <tbody>
            {grades.map((grade) => (
              <tr key={grade.code}>
                <Cell head>{grade.code}</Cell>
                <Cell>{grade.alias}</Cell>
                <Cell>{materials.find((material) => material.group === grade.group)?.name}</Cell>
                <Cell figure>{grade.composition ? grade.composition.C.toFixed(2) : '–'}</Cell>
                <Cell figure>{grade.composition ? grade.composition.Mn.toFixed(2) : '–'}</Cell>
                <Cell figure>{grade.composition ? carbonEquivalentCet(grade.composition).toFixed(3) : '–'}</Cell>
                <Cell>{grade.note}</Cell>
              </tr>
            ))}
          </tbody>
        </Table>
        <Box textStyle="label" color="quiet" mt="2">
          Typical values in percent of mass; a real seam belongs to its mill certificate. CET = C + (Mn + Mo)/10 + (Cr +
          Cu)/20 + Ni/40.
        </Box>
      </Panel>
      <Panel title="One gauge, four thicknesses">
        <Table label="Gauge tables">
          <Heads
            names={['Gauge', ...materials.map((material) => material.name)]}
            right={materials.map((material) => material.name)}
          />
          <tbody>
            {gauges.map(({ gauge, mm }) => (
              <tr key={gauge}>
                <Cell head>{gauge} ga</Cell>
                {materials.map((material) => {
                  const thickness = mm[material.gaugeTable];
                  return (
                    <Cell figure key={material.group}>
                      {thickness === undefined ? '–' : `${thickness.toFixed(2)} mm`}
                    </Cell>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </Table>
      </Panel>
    </>
  );
}
