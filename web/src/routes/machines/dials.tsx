/** A machine's dials as a readable table: its word, where it is, what it moves, its travel as a picture, and what nobody has tried yet. */
import { t } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import { Fragment, useState } from 'react';
import { Action } from '../../ui/action.tsx';
import { forgetForm } from '../../ui/kept-text.ts';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { Heads, Table } from '../../ui/table.tsx';
import { DialForm } from './dial-form.tsx';
import { DialRow, type DialWork } from './dial-row.tsx';
import { DialWorkPanel } from './dial-work.tsx';
import { isUntested } from './dial-words.ts';
import type { MachineEditor } from './use-machine.ts';

export function Dials({ editor }: { readonly editor: MachineEditor }) {
  const { machine, task } = editor;
  const { file, standing } = machine;
  const [open, setOpen] = useState<{ readonly what: DialWork; readonly id: string } | null>(null);
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
            {file.dials.map((dial) => (
              <Fragment key={dial.id}>
                <DialRow
                  dial={dial}
                  dials={file.dials}
                  stands={standing?.dials[dial.id]}
                  onOpen={(what) => setOpen({ what, id: dial.id })}
                />
                {open?.id === dial.id && (
                  <tr>
                    <td colSpan={5}>
                      <DialWorkPanel editor={editor} dial={dial} what={open.what} onClose={close} />
                    </td>
                  </tr>
                )}
              </Fragment>
            ))}
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
