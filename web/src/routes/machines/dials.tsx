/** A machine's dials as a readable table: its word, where it is, what it moves, its travel as a picture, and what nobody has tried yet. */
import { absent } from '@fox-tempo/core/base/messages';
import { t, format, formatIf } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import { displayed, isNumeric } from '@fox-tempo/core/machine/description';
import { senseWords } from '@fox-tempo/core/machine/dials';
import { measurable } from '@fox-tempo/core/machine/teaching';
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
import { UnitTestPanel } from './unit-test.tsx';
import type { MachineEditor } from './use-machine.ts';

export function Dials({ editor }: { readonly editor: MachineEditor }) {
  const { machine, task } = editor;
  const { file, standing } = machine;
  const [open, setOpen] = useState<{ readonly what: 'edit' | 'test' | 'unit' | 'measure'; readonly id: string } | null>(
    null,
  );
  const untested = file.dials.filter(isUntested);
  const close = () => {
    setOpen(null);
    task.clear();
  };
  return (
    <Panel
      title={t('view.simulator.dials')}
      aside={
        <Action kind="quiet" my="-2" onClick={() => setOpen({ what: 'edit', id: '' })}>
          {t('view.machines.describe-a-dial')}
        </Action>
      }
    >
      {untested.length > 0 && (
        <Box mb="2">
          <Notice level="caution">
            {t('view.machines.dial.direction-not-tested', {
              dial: untested.map((dial) => dial.label),
            })}
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
        <Notice level="note">{t('view.machines.dial.none')}</Notice>
      ) : (
        <Table label={t('view.machines.dial.title', { file: file.name })}>
          <Heads
            names={[
              t('view.simulator.dial'),
              t('view.machines.moves'),
              t('view.machines.dial-range'),
              t('view.machines.now-at'),
              '',
            ]}
            right={[t('view.machines.now-at')]}
          />
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
                        {[dial.where, dial.hand === 'fixed' ? t('view.machines.set-once') : '']
                          .filter(Boolean)
                          .join('; ')}
                      </Box>
                    </Cell>
                    <Cell minWidth={{ base: '140px', xl: '180px' }}>
                      {scaleWords(dial, file.dials)}
                      {sense !== undefined && (
                        <Box textStyle="label" color="quiet">
                          {format(sense)}
                        </Box>
                      )}
                      {dial.evidence?.map((one) => (
                        <Box textStyle="label" color="spruce" key={`${one.on}${one.result}`}>
                          {t('view.machines.test.tested', {
                            on: one.on,
                            by: one.by,
                            result:
                              one.result === 'reversed'
                                ? t('view.machines.test.reversed')
                                : t('view.machines.test.as-described'),
                            note: one.note ?? absent,
                          })}
                        </Box>
                      ))}
                      {isUntested(dial) && (
                        <Box textStyle="label" color="ochre" fontWeight={600}>
                          {t('view.machines.test.not-tested')}
                        </Box>
                      )}
                    </Cell>
                    <Cell>
                      <ScalePicture scale={dial.scale} sense={formatIf(sense)} stands={stands} />
                    </Cell>
                    <Cell figure whiteSpace={isNumeric(dial.scale) ? 'nowrap' : 'normal'}>
                      {stands === undefined ? '–' : displayed(dial.scale, stands)}
                      <Box as="span" fontSize="label" color="quiet">
                        {' '}
                        {dial.unit}
                      </Box>
                    </Cell>
                    <Cell pe="0" textAlign="end">
                      <Box
                        display="flex"
                        flexDirection={{ base: 'column', xl: 'row' }}
                        alignItems="end"
                        justifyContent="end"
                      >
                        {isNumeric(dial.scale) && dial.senseTested !== undefined && (
                          <Action
                            kind="quiet"
                            fontSize="small"
                            aria-label={t('view.machines.test.direction-of', { dial: dial.label })}
                            onClick={() => setOpen({ what: 'test', id: dial.id })}
                          >
                            {t('view.machines.test.start')}
                          </Action>
                        )}
                        {measurable(dial) && (
                          <Action
                            kind="quiet"
                            fontSize="small"
                            aria-label={t('view.machines.test.unit-of', { dial: dial.label })}
                            onClick={() => setOpen({ what: 'measure', id: dial.id })}
                          >
                            {t('view.machines.measure-a-unit')}
                          </Action>
                        )}
                        {hasSwingUnit(dial) && (
                          <Action
                            kind="quiet"
                            fontSize="small"
                            aria-label={t('view.machines.test.unit-of', { dial: dial.label })}
                            onClick={() => setOpen({ what: 'unit', id: dial.id })}
                          >
                            {t('view.machines.test.unit')}
                          </Action>
                        )}
                        <Action
                          kind="quiet"
                          fontSize="small"
                          aria-label={t('view.machines.edit', { dial: dial.label })}
                          onClick={() => setOpen({ what: 'edit', id: dial.id })}
                        >
                          {t('view.machines.dial.edit')}
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
                        {open?.id === dial.id && open.what === 'measure' && (
                          <UnitTestPanel
                            dial={dial}
                            loaded={standing?.feeders[standing.feederId]}
                            keep={`unit/${machine.id}/${dial.id}`}
                            task={task}
                            onClose={close}
                            onFound={async (scale) => {
                              const done = await editor.saveFile((now) => ({
                                ...now,
                                dials: now.dials.map((one) =>
                                  one.id === dial.id && one.scale.kind === 'linear'
                                    ? { ...one, unitTested: true, scale: { ...one.scale, ...scale } }
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
        <Box fontSize="small" color="quiet" mt="2">
          {t('view.machines.dial.displays', {
            where: file.displays.map(({ label, where, unit }) => `${label} (${unit}, ${where})`).join('; '),
          })}
        </Box>
      )}
    </Panel>
  );
}
