/** One quantity, and what each machine of the shop calls it: the way from a label in front of you to what it moves. */
import { Box } from '@chakra-ui/react';
import type { MachineResource } from '@fox-tempo/contract';
import { dialQuantityNames, isNumeric, quantityFacts, quantityOf, senseWords } from '@fox-tempo/core';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { Cell, Heads, Table } from '../../ui/table.tsx';

/** Words that mean different things on different machines. */
const traps: readonly { readonly word: string; readonly hides: string; readonly ask: string }[] = [
  {
    word: 'heat',
    hides: 'volts, amperes, energy, trim or plate temperature',
    ask: 'power, energy per mm or plate temperature',
  },
  {
    word: 'thickness',
    hides: 'one sheet or the sum of both; on a display only a label of the feed',
    ask: 'which sheet, in mm',
  },
  { word: 'peak, background', hides: 'the fast pulse, or high and low of the slow beat', ask: 'fast or slow' },
  { word: 'frequency', hides: 'tens to hundreds a second (fast), or a few (slow)', ask: 'fast or slow' },
  {
    word: 'duty, balance',
    hides: 'share of time at high, rating plate, or alternating current',
    ask: 'which of the three',
  },
  { word: 'program, job, channel', hides: 'a line of the chart, or a memory', ask: 'chart line or slot' },
  {
    word: 'stick-out',
    hides: 'wire to arc, wire cut before the start, tip to plate, wire left after the stop',
    ask: 'one of the four lengths',
  },
  {
    word: 'start level',
    hides: 'percent of main, or amperes that stay when main is changed',
    ask: 'percent or absolute',
  },
  {
    word: 'burn-back',
    hides: 'a time (more is shorter wire) or a length (more is longer)',
    ask: 'what is left on the wire',
  },
];

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
      <Panel title="What each machine calls it">
        {described.length === 0 ? (
          <Notice level="note">No machine’s dials are described yet.</Notice>
        ) : (
          <Table label="Quantities and their labels">
            <Heads names={['Quantity', ...described.map((machine) => machine.file.name)]} />
            <tbody>
              {rows.map(({ quantity, labels }) => (
                <tr key={quantity}>
                  <Cell head>
                    {quantityFacts(quantity).name}
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
                              {isNumeric(dial.scale) ? senseWords(dial.scale) : ''}
                              {dial.senseTested === false ? '; ◇ untried' : ''}
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
      <Panel title="Words that trap">
        <Table label="Words that mean different things">
          <Heads names={['Said', 'May mean', 'Ask for']} />
          <tbody>
            {traps.map(({ word, hides, ask }) => (
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
