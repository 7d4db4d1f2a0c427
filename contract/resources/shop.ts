/** The shop itself: its name, rules and rates, its backups. */
import type { Endpoints } from '../endpoint.ts';
import { message, type CoreSentences } from '@fox-tempo/core/base/messages';
import { z } from 'zod';
import { fillerField, nameField, thicknessRuleField, timestampField } from '../fields.ts';

export const timeZoneField = z
  .string()
  .max(60)
  .refine(isTimeZone, 'contract.field.time-zone' satisfies keyof CoreSentences);

function isTimeZone(name: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: name });
    return true;
  } catch {
    return false;
  }
}

export const shopSave = z.strictObject({
  name: nameField,
  timeZone: timeZoneField,
  thicknessRule: thicknessRuleField.optional(),
});

const price = z.number().min(0).max(100_000);

/** The shop's own rates; what is left out is counted in amounts, not in money. */
export const ratesField = z.strictObject({
  currency: z.string().trim().min(1).max(8),
  labourPerHour: price.optional(),
  energyPerKwh: price.optional(),
  tip: price.optional(),
  wirePerKg: z.partialRecord(fillerField, price).optional(),
  gasPerM3: z.record(z.string().max(40), price).optional(),
});

export const ratesSave = z.strictObject({ rates: ratesField.nullable() });

export const backupNote = z.object({ name: z.string(), bytes: z.int(), madeAt: timestampField });

export const shopState = z.object({
  version: z.int(),
  name: z.string(),
  timeZone: z.string(),
  thicknessRule: thicknessRuleField,
  rates: ratesField.nullable(),
  demo: z.boolean(),
  /** Free bytes on the disk of the data folder; null where the database lives elsewhere. */
  diskFreeBytes: z.number().nullable(),
  diskIsLow: z.boolean(),
  /** Where the shop's own network reaches it; null: this machine only. */
  lan: z.object({ origin: z.string(), fingerprint: z.string() }).nullable(),
  /** Nightly backups beside the data folder, the newest first; null where there is no data folder. */
  backups: z.array(backupNote).nullable(),
  /** Why the last nightly backup failed; null when it did not. */
  backupTrouble: z.string().nullable(),
});

export type RatesSave = z.infer<typeof ratesSave>;

export type ShopState = z.infer<typeof shopState>;

export type ShopSave = z.infer<typeof shopSave>;

export const shopEndpoints = {
  shop: { method: 'GET', path: '/shop', summary: message('contract.endpoint.shop'), act: 'shop', answer: shopState },
  saveRates: {
    method: 'PUT',
    path: '/shop/rates',
    summary: message('contract.endpoint.rates'),
    act: 'saveRates',
    body: ratesSave,
    answer: shopState,
    needs: 'version',
  },
  saveShop: {
    method: 'PUT',
    path: '/shop',
    summary: message('contract.endpoint.shop-save'),
    act: 'saveShop',
    body: shopSave,
    answer: shopState,
    needs: 'version',
  },
  backup: {
    method: 'POST',
    path: '/shop/backup',
    summary: message('contract.endpoint.backup'),
    act: 'backup',
    media: 'application/octet-stream',
  },
} as const satisfies Endpoints;
