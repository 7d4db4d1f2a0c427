/** One quantity, and what each machine of the shop calls it: the way from a label in front of you to what it moves. */
import { t, format, formatIf } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import type { MachineResource } from '@fox-tempo/contract';
import { dialQuantityNames, isNumeric, quantityFacts, quantityOf } from '@fox-tempo/core/machine/description';
import { senseWords } from '@fox-tempo/core/machine/dials';
import { glossary } from '../../parts/palette/index.ts';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { Cell, Heads, Table } from '../../ui/table.tsx';

export function Words({ machines }: { readonly machines: readonly MachineResource[] }) {
  const described = machines.filter((machine) => machine.file.dials.length > 0);
  const rows = dialQuantityNames.flatMap((quantity) => {
    const labels = described.map(({ file }) =>
      file.dials.filter(({ scale }) => isNumeric(scale) && quantityOf(scale) === quantity),
    );
    return labels.some((list) => list.length > 0) ? [{ quantity, labels }] : [];
  });
  return (
    <>
      <Panel title={t('view.library.machine-words')}>
        {described.length === 0 ? (
          <Notice level="note">{t('view.library.no-dials')}</Notice>
        ) : (
          <Table label={t('view.library.labels')}>
            <Heads names={[t('view.compare.quantity'), ...described.map((machine) => machine.file.name)]} />
            <tbody>
              {rows.map(({ quantity, labels }) => (
                <tr key={quantity}>
                  <Cell head>
                    {format(quantityFacts(quantity).name)}
                    <Box as="span" fontWeight={400} color="quiet">
                      {' '}
                      {quantityFacts(quantity).unit}
                    </Box>
                  </Cell>
                  {labels.map((dials, at) => (
                    <Cell key={described[at]?.id}>
                      {dials.length === 0 ? (
                        <Box as="span" color="quiet">
                          –
                        </Box>
                      ) : (
                        dials.map((dial) => (
                          <Box key={dial.id}>
                            <strong>{dial.label}</strong>
                            {dial.unit === '' ? '' : ` (${dial.unit})`}
                            <Box textStyle="label" color="quiet">
                              {[
                                isNumeric(dial.scale) ? formatIf(senseWords(dial.scale)) : '',
                                dial.senseTested === false ? t('view.library.untried') : '',
                              ]
                                .filter(Boolean)
                                .join('; ')}
                            </Box>
                          </Box>
                        ))
                      )}
                    </Cell>
                  ))}
                </tr>
              ))}
            </tbody>
          </Table>
        )}
      </Panel>
      <Panel title={t('view.library.words-that-trap')}>
        <Table label={t('view.library.ambiguous')}>
          <Heads names={[t('view.library.word'), t('view.library.may-mean'), t('view.library.ask-for')]} />
          <tbody>
            {glossary
              .filter(({ hides }) => hides !== undefined)
              .map(({ word, hides, ask }) => (
                <tr key={word}>
                  <Cell head>{word}</Cell>
                  <Cell>{hides}</Cell>
                  <Cell>{ask}</Cell>
                </tr>
              ))}
          </tbody>
        </Table>
      </Panel>
    </>
  );
}
