/** What is done with one dial, under its row: its description, its direction, its unit. */
import { forgetForm } from '../../ui/kept-text.ts';
import type { FileDial } from './dial-values.ts';
import { DialForm } from './dial-form.tsx';
import type { DialWork } from './dial-row.tsx';
import { DirectionTestPanel } from './direction-test.tsx';
import { SwingTestPanel } from './swing-test.tsx';
import { UnitTestPanel } from './unit-test.tsx';
import type { MachineEditor } from './use-machine.ts';

export function DialWorkPanel({
  editor,
  dial,
  what,
  onClose,
}: {
  readonly editor: MachineEditor;
  readonly dial: FileDial;
  readonly what: DialWork;
  readonly onClose: () => void;
}) {
  const { machine, task } = editor;
  const { file, standing } = machine;
  const closeIf = (done: boolean) => {
    if (done) onClose();
    return done;
  };
  const saveDial = (change: (now: FileDial) => FileDial) =>
    editor.saveFile((now) => ({ ...now, dials: now.dials.map((one) => (one.id === dial.id ? change(one) : one)) }));
  /** What a test found of the scale; `of` says what is known since then. */
  const saveScale = async (scale: object, of: object = {}) =>
    closeIf(
      await saveDial((now) =>
        now.scale.kind === 'linear' ? { ...now, ...of, scale: { ...now.scale, ...scale } } : now,
      ),
    );
  const keep = `dial/${machine.id}/${dial.id}`;
  switch (what) {
    case 'test':
      return (
        <DirectionTestPanel
          dial={dial}
          task={task}
          onClose={onClose}
          onAnswer={(result, note) => void editor.saveDirection({ dialId: dial.id, result, note }).then(closeIf)}
        />
      );
    case 'unit':
      return (
        <SwingTestPanel
          dial={dial}
          keep={`swing/${machine.id}/${dial.id}`}
          task={task}
          onClose={onClose}
          onFound={(scale) => saveScale(scale)}
        />
      );
    case 'measure':
      return (
        <UnitTestPanel
          dial={dial}
          loaded={standing?.feeders[standing.feederId]}
          keep={`unit/${machine.id}/${dial.id}`}
          task={task}
          onClose={onClose}
          onFound={(scale) => saveScale(scale, { unitTested: true })}
        />
      );
    case 'edit':
      return (
        <DialForm
          keep={keep}
          dial={dial}
          dials={file.dials}
          busy={task.busy}
          problem={task.problem}
          onClose={onClose}
          onSave={(next) =>
            void saveDial(() => next).then((done) => {
              if (done) forgetForm(keep);
              closeIf(done);
            })
          }
          onRemove={() =>
            void editor
              .saveFile((now) => ({ ...now, dials: now.dials.filter((one) => one.id !== dial.id) }))
              .then(closeIf)
          }
        />
      );
  }
}
