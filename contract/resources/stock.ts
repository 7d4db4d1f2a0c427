/** Cylinders and spools. */
import type { Endpoints } from '../endpoint.ts';
import { message } from '@fox-tempo/core/base/messages';
import { z } from 'zod';
import { fillerField, gasField, idOf, nameField, ranged, timestampField } from '../fields.ts';

/** How a flow or pressure was read: where, and by what. */
export const readingConvention = z.enum([
  'gauge at the regulator',
  'scale',
  'tube at the nozzle, middle of the ball',
  'estimated',
]);

const cylinderContent = {
  name: nameField,
  gas: gasField,
  volumeL: z.number().min(1).max(1000).describe('Water volume, L'),
  pressureBar: z.number().min(0).max(350).nullable(),
  massKg: z.number().min(0).max(500).nullable(),
  convention: readingConvention,
  machineId: idOf('machine').nullable(),
};

export const cylinderSave = z.strictObject({ ...cylinderContent, retired: z.boolean().default(false) });

/** Levels are sums of movements: below nought means that more was taken than was ever read. */
export const cylinder = z.object({
  id: idOf('cylinder'),
  version: z.int(),
  ...cylinderContent,
  pressureBar: z.number().nullable(),
  massKg: z.number().nullable(),
  retired: z.boolean(),
  changedAt: timestampField,
  changedBy: z.string(),
});

const spoolContent = {
  name: nameField,
  filler: fillerField,
  diameterMm: ranged('diameterMm'),
  massKg: z.number().min(0).max(500),
  machineId: idOf('machine').nullable(),
};

export const spoolSave = z.strictObject({ ...spoolContent, retired: z.boolean().default(false) });

export const spool = z.object({
  id: idOf('spool'),
  version: z.int(),
  ...spoolContent,
  massKg: z.number(),
  retired: z.boolean(),
  changedAt: timestampField,
  changedBy: z.string(),
});

export const stock = z.object({ cylinders: z.array(cylinder), spools: z.array(spool) });

export type Cylinder = z.infer<typeof cylinder>;

export type CylinderSave = z.input<typeof cylinderSave>;

export type Spool = z.infer<typeof spool>;

export type SpoolSave = z.input<typeof spoolSave>;

export type Stock = z.infer<typeof stock>;

export const stockEndpoints = {
  stock: {
    method: 'GET',
    path: '/stock',
    summary: message('contract.cylinders-and-spools'),
    act: 'stock',
    answer: stock,
  },
  addCylinder: {
    method: 'POST',
    path: '/stock/cylinders',
    summary: message('contract.adds-a-cylinder'),
    act: 'addCylinder',
    body: cylinderSave,
    answer: cylinder,
    status: 201,
    needs: 'key',
  },
  saveCylinder: {
    method: 'PUT',
    path: '/stock/cylinders/:id',
    summary: message('contract.endpoint.cylinder-save'),
    act: 'saveCylinder',
    body: cylinderSave,
    answer: cylinder,
    needs: 'both',
    late: true,
  },
  addSpool: {
    method: 'POST',
    path: '/stock/spools',
    summary: message('contract.adds-a-spool'),
    act: 'addSpool',
    body: spoolSave,
    answer: spool,
    status: 201,
    needs: 'key',
  },
  saveSpool: {
    method: 'PUT',
    path: '/stock/spools/:id',
    summary: message('contract.endpoint.spool-save'),
    act: 'saveSpool',
    body: spoolSave,
    answer: spool,
    needs: 'both',
    late: true,
  },
} as const satisfies Endpoints;
