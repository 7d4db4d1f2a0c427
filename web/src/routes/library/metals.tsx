/** Base metals by grade, with the composition where a carbon equivalent needs it, and the gauge tables that differ by metal. */
import { amount } from '@fox-tempo/core/base/messages';
import { t, format, formatIf, fixed } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import { grades } from '@fox-tempo/core/metal/grades';
import { materials } from '@fox-tempo/core/metal/consumables';
import { carbonEquivalentCet } from '@fox-tempo/core/setting/heat-input';
import { gaugeRows } from '@fox-tempo/core/base/units';
import { Panel } from '../../ui/panel.tsx';
import { Cell, Heads, Table } from '../../ui/table.tsx';

export function Metals() {
  const gauges = gaugeRows();
  return (
    <>
      <Panel title={t('view.library.grades')}>
        <Table label={t('view.library.grades')}>
          <Heads
            names={[
              t('view.library.grade'),
              t('view.library.also'),
              t('view.library.metal'),
              'C',
              'Mn',
              'CET',
              t('view.library.to-know'),
            ]}
            right={['C', 'Mn', 'CET']}
          />
          <tbody>
            {grades.map((grade) => (
              <tr key={grade.code}>
                <Cell head>{grade.code}</Cell>
                <Cell>{grade.alias}</Cell>
                <Cell>{formatIf(materials.find((material) => material.group === grade.group)?.name)}</Cell>
                <Cell figure>{grade.composition ? fixed(grade.composition.C, 2) : '–'}</Cell>
                <Cell figure>{grade.composition ? fixed(grade.composition.Mn, 2) : '–'}</Cell>
                <Cell figure>{grade.composition ? fixed(carbonEquivalentCet(grade.composition), 3) : '–'}</Cell>
                <Cell>{format(grade.note)}</Cell>
              </tr>
            ))}
          </tbody>
        </Table>
        <Box textStyle="label" color="quiet" mt="2">
          {t('view.library.grades-key')}
        </Box>
      </Panel>
      <Panel title={t('view.library.gauge-title')}>
        <Table label={t('view.library.gauge-tables')}>
          <Heads
            names={[t('view.library.gauge'), ...materials.map((material) => format(material.name))]}
            right={materials.map((material) => format(material.name))}
          />
          <tbody>
            {gauges.map(({ gauge, mm }) => (
              <tr key={gauge}>
                <Cell head>{t('view.library.ga', { gauge })}</Cell>
                {materials.map((material) => {
                  const thickness = mm[material.gaugeTable];
                  return (
                    <Cell figure key={material.group}>
                      {thickness === undefined ? '–' : format(amount('shortLength', thickness, 2))}
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
