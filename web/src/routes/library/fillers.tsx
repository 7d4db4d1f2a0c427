/** Fillers by class with the constants the model uses, their errors, and what each means for the part. */
import { amount } from '@fox-tempo/core/base/messages';
import { t, format, fixed } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import { fillers, wireAreaMm2, wireSizes } from '@fox-tempo/core/metal/consumables';
import { fillerFacts } from '@fox-tempo/core/setting/wire-choice';
import { Panel } from '../../ui/panel.tsx';
import { Cell, Heads, Table } from '../../ui/table.tsx';

export function Fillers() {
  return (
    <>
      <Panel title={t('view.palette.fillers')}>
        <Table label={t('view.palette.fillers')}>
          <Heads
            names={[
              t('view.library.filler'),
              t('view.library.grade-effect'),
              'kA',
              'kB',
              t('view.library.density'),
              t('view.library.error'),
              t('view.library.yield'),
            ]}
            right={['kA', 'kB', t('view.library.density'), t('view.library.error'), t('view.library.yield')]}
          />
          <tbody>
            {fillers.map((filler) => {
              const facts = fillerFacts[filler.code];
              return (
                <tr key={filler.code}>
                  <Cell head minWidth="190px">
                    {format(filler.name)}
                    <Box textStyle="label" color="quiet" fontWeight={400}>
                      {filler.classes}
                      {filler.use === undefined ? '' : `: ${format(filler.use)}`}
                    </Box>
                  </Cell>
                  <Cell minWidth="260px" fontSize="small">
                    {format(facts.strength)}; {format(facts.colour)}; {format(facts.cracking)}; {format(facts.leaves)}
                  </Cell>
                  <Cell figure>{fixed(filler.kA, 3)}</Cell>
                  <Cell figure>{t('view.library.exponent', { kB: amount('plain', filler.kB * 1e5, 1) })}</Cell>
                  <Cell figure>{filler.densityKgPerM3}</Cell>
                  <Cell figure>±{fixed(100 * filler.meltingError, 0)} %</Cell>
                  <Cell figure>{fixed(100 * filler.yield, 0)} %</Cell>
                </tr>
              );
            })}
          </tbody>
        </Table>
        <Box textStyle="label" color="quiet" mt="2">
          {t('view.library.constants-key')}
        </Box>
      </Panel>
      <Panel title={t('view.library.sizes')}>
        <Table label={t('view.library.wire-sizes')}>
          <Heads
            names={[
              t('view.library.on-the-spool'),
              t('view.library.true-diameter'),
              t('view.library.metal-a-metre'),
              t('view.library.against', { sheet: amount('shortLength', 1.0) }),
            ]}
            right={[
              t('view.library.true-diameter'),
              t('view.library.metal-a-metre'),
              t('view.library.against', { sheet: amount('shortLength', 1.0) }),
            ]}
          />
          <tbody>
            {[...wireSizes]
              .sort((a, b) => a.diameterMm - b.diameterMm)
              .map(({ diameterMm, label }) => (
                <tr key={diameterMm}>
                  <Cell head>{format(label)}</Cell>
                  <Cell figure>{format(amount('shortLength', diameterMm, 3))}</Cell>
                  <Cell figure>{format(amount('area', wireAreaMm2(diameterMm), 3))}</Cell>
                  <Cell figure>{fixed((100 * wireAreaMm2(diameterMm)) / wireAreaMm2(1), 1)} %</Cell>
                </tr>
              ))}
          </tbody>
        </Table>
      </Panel>
    </>
  );
}
