/** A machine's dials as a readable table: its word, where it is, what it moves, its travel as a picture, and what nobody has tried yet. */
import { Box } from '@chakra-ui/react';
import { displayed, isNumeric, senseWords } from '@fox-tempo/core/machine';
import { Fragment, useState } from 'react';
import { Action } from '../../ui/action.tsx';
import { forgetForm } from '../../ui/kept-text.ts';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { Cell, Heads, Table } from '../../ui/table.tsx';
import { DialForm } from './dial-form.tsx';
import { isUntested, scaleWords } from './dial-words.ts';
import { DirectionTestPanel } from './direction-test.tsx';
import { ScalePicture } from './scale-picture.tsx';
import { hasSwingUnit, SwingTestPanel } from './swing-test.tsx';
import type { MachineEditor } from './use-machine.ts';

export function Dials({ editor }: { readonly editor: MachineEditor }) {
  const { machine, task } = editor;
  const { file, standing } = machine;
  const [open, setOpen] = useState<{ readonly what: 'edit' | 'test' | 'unit'; readonly id: string } | null>(null);
  const untested = file.dials.filter(isUntested);
  const close = () => {
    setOpen(null);
    task.clear();
  };
  return (
    <Panel
      title="Dials"
      aside={
        <Action kind="quiet" my="-2" onClick={() => setOpen({ what: 'edit', id: '' })}>
          Describe a dial
        </Action>
      }
    >
      {untested.length > 0 && (
        <Box mb="2">
          <Notice level="caution">
            Nobody has tried which way {untested.map((dial) => dial.label).join(' and ')}{' '}
            {untested.length === 1 ? 'runs' : 'run'}. Until then cards give both readings.
          </Notice>
        </Box>
      )}
      {open?.what === 'edit' && open.id === '' && (
        <DialForm
          key="new"
          keep={`dial/${machine.id}/new`}
          dial={null}
          dials={file.dials}
          busy={task.busy}
          problem={task.problem}
          onClose={close}
          onRemove={null}
          onSave={(dial) => {
            void editor
              .saveFile((now) => ({ ...now, dials: [...now.dials, dial] }))
              .then((done) => {
                if (done) {
                  forgetForm(`dial/${machine.id}/new`);
                  close();
                }
              });
          }}
        />
      )}
      {file.dials.length === 0 ? (
        <Notice level="note">
          No dial is described yet. Stand in front of the machine and go through its knobs and menus one by one: its
          word, what it moves, its lower and upper end. Feed and arc length are enough for a first card.
        </Notice>
      ) : (
        <Table label={`Dials of ${file.name}`}>
          <Heads names={['Dial', 'Moves', 'Travel', 'Stands', '']} right={['Stands']} />
          <tbody>
            {file.dials.map((dial) => {
              const sense = isNumeric(dial.scale) ? senseWords(dial.scale) : undefined;
              const stands = standing?.dials[dial.id];
              return (
                <Fragment key={dial.id}>
                  <tr>
                    <Cell head>
                      {dial.label}
                      <Box textStyle="label" color="quiet" fontWeight={400}>
                        {dial.where}
                        {dial.hand === 'fixed' ? '; set once' : ''}
                      </Box>
                    </Cell>
                    <Cell minWidth={{ base: '140px', xl: '180px' }}>
                      {scaleWords(dial, file.dials)}
                      {sense !== undefined && (
                        <Box textStyle="label" color="quiet">
                          {sense}
                        </Box>
                      )}
                      {dial.evidence?.map((one) => (
                        <Box textStyle="label" color="spruce" key={`${one.on}${one.result}`}>
                          ● tried {one.on} by {one.by}:{' '}
                          {one.result === 'reversed' ? 'ran the other way' : 'runs as said'}
                          {one.note === undefined ? '' : `, “${one.note}”`}
                        </Box>
                      ))}
                      {isUntested(dial) && (
                        <Box textStyle="label" color="ochre" fontWeight={600}>
                          ◇ nobody has tried it
                        </Box>
                      )}
                    </Cell>
                    <Cell>
                      <ScalePicture scale={dial.scale} sense={sense} stands={stands} />
                    </Cell>
                    <Cell figure whiteSpace={isNumeric(dial.scale) ? 'nowrap' : 'normal'}>
                      {stands === undefined ? '–' : displayed(dial.scale, stands)}
                      <Box as="span" fontSize="12px" color="quiet">
                        {' '}
                        {dial.unit}
                      </Box>
                    </Cell>
                    <Cell pr="0" textAlign="right">
                      <Box
                        display="flex"
                        flexDirection={{ base: 'column', xl: 'row' }}
                        alignItems="end"
                        justifyContent="end"
                      >
                        {isNumeric(dial.scale) && dial.senseTested !== undefined && (
                          <Action
                            kind="quiet"
                            fontSize="13px"
                            aria-label={`Try which way ${dial.label} runs`}
                            onClick={() => setOpen({ what: 'test', id: dial.id })}
                          >
                            Try it
                          </Action>
                        )}
                        {hasSwingUnit(dial) && (
                          <Action
                            kind="quiet"
                            fontSize="13px"
                            aria-label={`Find what a unit of ${dial.label} means`}
                            onClick={() => setOpen({ what: 'unit', id: dial.id })}
                          >
                            Its unit
                          </Action>
                        )}
                        <Action
                          kind="quiet"
                          fontSize="13px"
                          aria-label={`Edit ${dial.label}`}
                          onClick={() => setOpen({ what: 'edit', id: dial.id })}
                        >
                          Edit
                        </Action>
                      </Box>
                    </Cell>
                  </tr>
                  {open?.id === dial.id && (
                    <tr>
                      <td colSpan={5}>
                        {open?.id === dial.id && open.what === 'test' && (
                          <DirectionTestPanel
                            dial={dial}
                            task={task}
                            onClose={close}
                            onAnswer={(result, note) => {
                              void editor.saveDirection({ dialId: dial.id, result, note }).then((done) => {
                                if (done) close();
                              });
                            }}
                          />
                        )}
                        {open?.id === dial.id && open.what === 'unit' && (
                          <SwingTestPanel
                            dial={dial}
                            keep={`swing/${machine.id}/${dial.id}`}
                            task={task}
                            onClose={close}
                            onFound={async (scale) => {
                              const done = await editor.saveFile((now) => ({
                                ...now,
                                dials: now.dials.map((one) =>
                                  one.id === dial.id && one.scale.kind === 'linear'
                                    ? { ...one, scale: { ...one.scale, ...scale } }
                                    : one,
                                ),
                              }));
                              if (done) close();
                              return done;
                            }}
                          />
                        )}
                        {open?.id === dial.id && open.what === 'edit' && (
                          <DialForm
                            keep={`dial/${machine.id}/${dial.id}`}
                            dial={dial}
                            dials={file.dials}
                            busy={task.busy}
                            problem={task.problem}
                            onClose={close}
                            onSave={(next) => {
                              void editor
                                .saveFile((now) => ({
                                  ...now,
                                  dials: now.dials.map((one) => (one.id === dial.id ? next : one)),
                                }))
                                .then((done) => {
                                  if (done) {
                                    forgetForm(`dial/${machine.id}/${dial.id}`);
                                    close();
                                  }
                                });
                            }}
                            onRemove={() => {
                              void editor
                                .saveFile((now) => ({ ...now, dials: now.dials.filter((one) => one.id !== dial.id) }))
                                .then((done) => {
                                  if (done) close();
                                });
                            }}
                          />
                        )}
                      </td>
                    </tr>
                  )}
                </Fragment>
              );
            })}
          </tbody>
        </Table>
      )}
      {file.displays.length > 0 && (
        <Box fontSize="13px" color="quiet" mt="2">
          It shows by itself: {file.displays.map(({ label, where, unit }) => `${label} (${unit}, ${where})`).join('; ')}
          .
        </Box>
      )}
    </Panel>
  );
}
