/** Orders: how many of a part, by when, and how many are done. */
import type { Endpoints } from '../endpoint.ts';
import { message } from '@fox-tempo/core/base/messages';
import { z } from 'zod';
import { idOf } from '../fields.ts';
import { pageOf } from '../page.ts';

export const order = z.object({
  id: idOf('order'),
  number: z.string(),
  partId: idOf('part'),
  partName: z.string(),
  quantity: z.int().positive(),
  /** Sum of what was counted. */
  done: z.int(),
  dueOn: z.iso.date(),
  version: z.int(),
  closed: z.boolean(),
});

const orderContent = {
  number: z.string().trim().min(1).max(40),
  partId: idOf('part'),
  quantity: z.int().min(1).max(100_000),
  dueOn: z.iso.date(),
};

export const orderCreate = z.strictObject(orderContent);

/** What was asked and answered with yes before. */
export const closeQuestions = ['closed-short', 'held-part'] as const;

export type CloseQuestion = (typeof closeQuestions)[number];

export const orderSave = z.strictObject({
  ...orderContent,
  closed: z.boolean(),
  confirmed: z.array(z.enum(closeQuestions)).max(2).optional(),
});

/** What parts drew from stock, as it was written down. */
export const drawn = z.object({ what: z.string(), amount: z.number(), unit: z.enum(['L', 'kg']) });

export const counted = z.object({ order, drawn: z.array(drawn) });

export type OrderCreate = z.infer<typeof orderCreate>;

export type OrderSave = z.infer<typeof orderSave>;

export type Counted = z.infer<typeof counted>;

export type Order = z.infer<typeof order>;

/** Parts welded (or taken back, when negative): counts the order up and the stock down. */
export const countQuestions = ['order-closed', 'beyond-ordered', 'unlogged'] as const;

export type CountQuestion = (typeof countQuestions)[number];

export const partsDone = z.strictObject({
  count: z.int().min(-50).max(50),
  /** What was asked and answered with yes before. */
  confirmed: z.array(z.enum(countQuestions)).max(3).optional(),
});

export type PartsDone = z.infer<typeof partsDone>;

export const orderEndpoints = {
  orders: {
    method: 'GET',
    path: '/orders',
    summary: message('contract.endpoint.orders'),
    act: 'orders',
    answer: pageOf(order),
    paged: true,
  },
  addOrder: {
    method: 'POST',
    path: '/orders',
    summary: message('contract.adds-an-order'),
    act: 'addOrder',
    body: orderCreate,
    answer: order,
    status: 201,
    needs: 'key',
  },
  saveOrder: {
    method: 'PUT',
    path: '/orders/:id',
    summary: message('contract.endpoint.order-save'),
    act: 'saveOrder',
    body: orderSave,
    answer: order,
    needs: 'version',
  },
  partsDone: {
    method: 'POST',
    path: '/orders/:id/done',
    summary: message('contract.endpoint.order-count'),
    act: 'partsDone',
    body: partsDone,
    answer: counted,
    needs: 'key',
    late: true,
  },
} as const satisfies Endpoints;
