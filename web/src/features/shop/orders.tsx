/** Orders: how many of which part, until when. Closed ones leave Today; their counts stay. */
import { Box, chakra } from '@chakra-ui/react';
import type { Order, Part } from '@fox-tempo/contract';
import { useState, type SubmitEvent } from 'react';
import { useRevalidator } from 'react-router';
import { api } from '../../lib/api.ts';
import { useMay } from '../../lib/session.ts';
import { shopDate, shopDay } from '../../lib/time.ts';
import { useTask } from '../../lib/use-task.ts';
import { Action } from '../../ui/action.tsx';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { Field, inputLook } from '../../ui/field.tsx';
import { useKeptForm } from '../../ui/kept-text.ts';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { Refused } from '../../ui/refused.tsx';
import { Cell } from '../../ui/table.tsx';
import { TextField } from '../../ui/text-field.tsx';
import { ChangeableTable } from './changeable-table.tsx';
import { MayNot } from './may-not.tsx';

interface Form {
  readonly number: string;
  readonly partId: string;
  readonly quantity: string;
  readonly dueOn: string;
}

export function Orders({ orders, parts }: { readonly orders: readonly Order[]; readonly parts: readonly Part[] }) {
  const mayChange = useMay('saveOrder');
  const rows = [...orders.filter((order) => !order.closed), ...orders.filter((order) => order.closed)];
  return (
    <>
      <Panel title="Orders" aside={mayChange ? undefined : <MayNot door="saveOrder" />}>
        {rows.length === 0 && <Notice level="note">No order yet.</Notice>}
        <ChangeableTable
          label="Orders"
          heads={['Order', 'Part', 'Done', 'Due']}
          right={['Done']}
          items={rows}
          mayChange={mayChange}
          actName={(order) => `Change order ${order.number}`}
          cells={(order) => (
            <>
              <Cell middle head color={order.closed ? 'quiet' : 'ink'}>
                {order.number}
                {order.closed ? ' (closed)' : ''}
              </Cell>
              <Cell middle>{order.partName}</Cell>
              <Cell middle figure>
                {order.done} of {order.quantity}
              </Cell>
              <Cell middle pl="4">
                {shopDate(order.dueOn)}
              </Cell>
            </>
          )}
          form={(order, onDone) => <ChangeOrder order={order} parts={parts} onDone={onDone} />}
        />
      </Panel>
      {mayChange && <AddOrder parts={parts} />}
    </>
  );
}

/** Number, part, quantity and date; the same fields for a new order and a changed one. */
function OrderFields({
  form,
  parts,
  onChange,
}: {
  readonly form: Form;
  readonly parts: readonly Part[];
  readonly onChange: (form: Form) => void;
}) {
  const quantity = Number(form.quantity);
  const isCount = /^\d+$/.test(form.quantity.trim()) && quantity >= 1 && quantity <= 100_000;
  return (
    <>
      <TextField label="Order number" value={form.number} onChange={(number) => onChange({ ...form, number })} />
      <ChoiceField
        label="Part"
        value={form.partId}
        choices={parts
          .filter((part) => !part.retired || part.id === form.partId)
          .map((part) => ({ value: part.id, label: part.name }))}
        onChange={(partId) => onChange({ ...form, partId })}
      />
      <TextField
        label="How many"
        value={form.quantity}
        onChange={(text) => onChange({ ...form, quantity: text })}
        error={form.quantity === '' || isCount ? undefined : `1 to 100 000; got ${form.quantity}`}
      />
      <Field label="Due on">
        {({ id }) => (
          <chakra.input
            id={id}
            {...inputLook}
            type="date"
            value={form.dueOn}
            onChange={(event) => onChange({ ...form, dueOn: event.target.value })}
          />
        )}
      </Field>
    </>
  );
}

function bodyOf(form: Form) {
  return { number: form.number.trim(), partId: form.partId, quantity: Number(form.quantity), dueOn: form.dueOn };
}

function ChangeOrder({
  order,
  parts,
  onDone,
}: {
  readonly order: Order;
  readonly parts: readonly Part[];
  readonly onDone: () => void;
}) {
  const [form, setForm] = useState<Form>({
    number: order.number,
    partId: order.partId,
    quantity: String(order.quantity),
    dueOn: order.dueOn,
  });
  const task = useTask();
  const { revalidate } = useRevalidator();
  const save = (closed: boolean) =>
    void task.run(async () => {
      await api.saveOrder(order.id, order.version, { ...bodyOf(form), closed });
      await revalidate();
      onDone();
    });
  return (
    <Box>
      <Box
        display="grid"
        gap="3"
        gridTemplateColumns={{ base: '1fr', md: '1fr 1.4fr 0.8fr 1fr auto auto' }}
        alignItems="start"
      >
        <OrderFields form={form} parts={parts} onChange={setForm} />
        <Action kind="main" mt="18px" disabled={task.busy} onClick={() => save(order.closed)}>
          Save
        </Action>
        <Action mt="18px" disabled={task.busy} onClick={() => save(!order.closed)}>
          {order.closed ? 'Open it again' : 'Close it'}
        </Action>
      </Box>
      <Refused task={task} word="Not saved." />
    </Box>
  );
}

function AddOrder({ parts }: { readonly parts: readonly Part[] }) {
  const [inAWeek] = useState(() => shopDay(new Date(Date.now() + 7 * 86_400_000)));
  const blank: Form = {
    number: '',
    partId: parts.find((part) => !part.retired)?.id ?? '',
    quantity: '',
    dueOn: inAWeek,
  };
  const [form, setForm, forget] = useKeptForm<Form>('order/new', blank);
  const task = useTask();
  const { revalidate } = useRevalidator();
  if (parts.length === 0) {
    return <Notice level="note">An order is for a part: add a part first, under Parts.</Notice>;
  }
  return (
    <Panel title="A new order">
      <form
        onSubmit={(event: SubmitEvent) => {
          event.preventDefault();
          void task.run(async () => {
            await api.addOrder(bodyOf(form));
            forget();
            await revalidate();
          });
        }}
      >
        <Box display="grid" gap="3" gridTemplateColumns={{ base: '1fr', md: '1fr 1.4fr 0.8fr 1fr auto' }}>
          <OrderFields form={form} parts={parts} onChange={setForm} />
          <Action kind="main" type="submit" mt="18px" disabled={task.busy || form.number.trim() === ''}>
            Add the order
          </Action>
        </Box>
        <Refused task={task} word="Not added." />
      </form>
    </Panel>
  );
}
