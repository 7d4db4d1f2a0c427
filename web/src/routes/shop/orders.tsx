/** Orders: how many of which part, until when. Closed ones leave Today; their counts stay. */
import { t } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import { orderCreate, orderSave, parseWith, type Order, type Part, type CloseQuestion } from '@fox-tempo/contract';
import { useState } from 'react';
import { useRevalidator } from 'react-router';
import { api } from '../../data/api.ts';
import { announce } from '../../lib/notices.ts';
import { useMay } from '../../session/session.ts';
import { shopDate, shopDay } from '../../lib/time.ts';
import { Action } from '../../ui/action.tsx';
import { FormChoice, FormDate, FormText } from '../../ui/forms/fields.tsx';
import { useRecordForm, type RecordForm } from '../../ui/forms/record-form.ts';
import { RecordTroubles } from '../../ui/forms/record-troubles.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { Cell } from '../../ui/table.tsx';
import { ChangeableTable } from './changeable-table.tsx';
import { MayNot } from './may-not.tsx';

export function Orders({ orders, parts }: { readonly orders: readonly Order[]; readonly parts: readonly Part[] }) {
  const mayChange = useMay('saveOrder');
  const rows = [...orders.filter((order) => !order.closed), ...orders.filter((order) => order.closed)];
  return (
    <>
      <Panel title={t('view.palette.orders')} aside={mayChange ? undefined : <MayNot act="saveOrder" />}>
        {rows.length === 0 && <Notice level="note">{t('view.shop.no-order')}</Notice>}
        <ChangeableTable
          label={t('view.palette.orders')}
          heads={[t('view.shop.order'), t('view.shop.part'), t('view.shop.done'), t('view.shop.due')]}
          right={[t('view.shop.done')]}
          items={rows}
          mayChange={() => mayChange}
          actName={(order) => t('view.shop.change-order', { number: order.number })}
          cells={(order) => (
            <>
              <Cell middle head color={order.closed ? 'quiet' : 'ink'}>
                {order.closed ? t('view.shop.closed', { name: order.number }) : order.number}
              </Cell>
              <Cell middle>{order.partName}</Cell>
              <Cell middle figure>
                {t('view.shop.of', { done: order.done, quantity: order.quantity })}
              </Cell>
              <Cell middle ps="4">
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

const labels = {
  number: t('view.shop.order-number'),
  partId: t('view.shop.part'),
  quantity: t('view.shop.order-quantity'),
  dueOn: t('view.shop.order-due'),
};

function valuesOf(stored: Order | null, partId: string, dueOn: string) {
  return stored
    ? { ...pick(stored), quantity: String(stored.quantity), closed: stored.closed }
    : { number: '', partId, quantity: '', dueOn, closed: false };
}

function pick({ number, partId, dueOn }: Order) {
  return { number, partId, dueOn };
}

/** A count is typed as text; what is no number is left for the shape to refuse. */
function counted(value: unknown): Record<string, unknown> {
  const { quantity, ...rest } = value as { quantity: string };
  const text = quantity.trim();
  return { ...rest, quantity: /^\d+$/.test(text) ? Number(text) : text === '' ? undefined : text };
}

/** Number, part, quantity and date; the same fields for a new order and a changed one. */
function OrderFields({
  of,
  parts,
}: {
  readonly of: Pick<RecordForm<ReturnType<typeof valuesOf>, Order>, 'form' | 'labels'>;
  readonly parts: readonly Part[];
}) {
  const now = of.form.getValues('partId');
  return (
    <>
      <FormText of={of} name="number" maxLength={40} />
      <FormChoice
        of={of}
        name="partId"
        choices={parts
          .filter((part) => !part.retired || part.id === now)
          .map((part) => ({ value: part.id, label: part.name }))}
      />
      <FormText of={of} name="quantity" />
      <FormDate of={of} name="dueOn" />
    </>
  );
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
  const { revalidate } = useRevalidator();
  const record = useRecordForm({
    keep: `order/${order.id}`,
    labels: { ...labels, closed: t('view.shop.order-closed') },
    parse: (value) => parseWith(orderSave, counted(value)),
    stored: order,
    values: (stored: Order | null) => valuesOf(stored, order.partId, order.dueOn),
    write: (body, basedOn, confirmed) =>
      api.saveOrder(order.id, basedOn, { ...body, confirmed: [...confirmed] as CloseQuestion[] }),
    onSaved: async (saved) => {
      await revalidate();
      onDone();
      if (saved.closed !== order.closed)
        announce({
          level: 'note',
          text: t('view.shop.order-state', {
            number: order.number,
            closed: saved.closed ? 'yes' : 'other',
          }),
          undo: () =>
            api.saveOrder(order.id, saved.version, { ...pick(order), quantity: order.quantity, closed: order.closed }),
        });
    },
  });
  return (
    <Box>
      <Box
        display="grid"
        gap="3"
        gridTemplateColumns={{ base: '1fr', md: '1fr 1.4fr 0.8fr 1fr auto auto' }}
        alignItems="start"
      >
        <OrderFields of={record} parts={parts} />
        <Action kind="main" mt="18px" disabled={record.busy} onClick={() => void record.submit()}>
          {t('view.library.save')}
        </Action>
        <Action mt="18px" disabled={record.busy} onClick={() => void record.submit({ closed: !order.closed })}>
          {order.closed ? t('view.shop.open-it-again') : t('view.shop.order-close')}
        </Action>
      </Box>
      <RecordTroubles
        of={record}
        word={t('view.library.not-saved')}
        says={{
          partId: (id) => parts.find((part) => part.id === id)?.name ?? String(id),
          closed: (closed) => (closed === true ? t('view.shop.yes') : t('view.sheet.no')),
        }}
      />
    </Box>
  );
}

function AddOrder({ parts }: { readonly parts: readonly Part[] }) {
  const [inAWeek] = useState(() => shopDay(new Date(Date.now() + 7 * 86_400_000)));
  const { revalidate } = useRevalidator();
  const first = parts.find((part) => !part.retired)?.id ?? '';
  const record = useRecordForm({
    keep: 'order/new',
    labels: { ...labels, closed: t('view.shop.order-closed') },
    parse: (value) => {
      const { closed: _open, ...rest } = counted(value);
      return parseWith(orderCreate, rest);
    },
    stored: null,
    values: (stored: Order | null) => valuesOf(stored, first, inAWeek),
    write: (body) => api.addOrder(body),
    onSaved: async () => {
      record.leave();
      await revalidate();
    },
  });
  if (parts.length === 0) {
    return <Notice level="note">{t('view.shop.order-needs-part')}</Notice>;
  }
  return (
    <Panel title={t('view.shop.a-new-order')}>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          void record.submit();
        }}
      >
        <Box
          display="grid"
          gap="3"
          gridTemplateColumns={{ base: '1fr', md: '1fr 1.4fr 0.8fr 1fr auto' }}
          alignItems="start"
        >
          <OrderFields of={record} parts={parts} />
          <Action kind="main" type="submit" mt="18px" disabled={record.busy}>
            {t('view.shop.add-the-order')}
          </Action>
        </Box>
        <RecordTroubles of={record} word={t('view.shop.not-added')} />
      </form>
    </Panel>
  );
}
