/** People, their sessions and the shop itself. */
import { languages, type CoreSentences } from '@fox-tempo/core/said';
import { z } from 'zod';
import { fillerField, idField, nameField, timestampField, thicknessRuleField } from './fields.ts';
import { roles } from './roles.ts';

/** Four to eight digits: short enough for gloves; the waits that grow make up for it. */

const roleField = z.enum(roles);
export const pinField = z.string().regex(/^\d{4,8}$/, 'contract.pin-digits' satisfies keyof CoreSentences);

/** A new PIN: neither one digit again and again nor digits that run up or down. */
export const newPinField = pinField.refine(
  (pin) => !/^(\d)\1+$/.test(pin) && !isRun(pin),
  'contract.pin-too-plain' satisfies keyof CoreSentences,
);

function isRun(pin: string): boolean {
  const steps = Array.from({ length: pin.length - 1 }, (_, at) => Number(pin[at + 1]) - Number(pin[at]));
  return steps.every((step) => step === 1) || steps.every((step) => step === -1);
}

/** Wrong PINs tried for a person since the last right one: how many, and when the last. */
export const wrongTries = z.object({ count: z.int(), lastAt: timestampField });

/** How somebody reads: null is as the device does. A language that has left the shop is kept and read as English. */
const readsContent = {
  language: z.string().max(10).nullable(),
  units: z.enum(['metric', 'us']).nullable(),
};
export const preferences = z.object({
  ...readsContent,
  theme: z.enum(['day', 'night']).nullable(),
  /** The hand that holds the gun, so that what is tapped lies under the other one. */
  hand: z.enum(['right', 'left']).nullable(),
});
export const preferencesSave = z.strictObject({ ...preferences.shape, language: z.enum(languages).nullable() });

export const person = z.object({
  ...readsContent,
  id: idField,
  name: z.string(),
  role: roleField,
  version: z.int(),
  retired: z.boolean(),
  /** Without a PIN nobody can sign in as this person. */
  hasPin: z.boolean(),
  /** Told to an owner alone. */
  wrongTries: wrongTries.nullable(),
});

export const personCreate = z.strictObject({ name: nameField, role: roleField, pin: newPinField });
export const personSave = z.strictObject({ name: nameField, role: roleField, retired: z.boolean() });
export const pinReset = z.strictObject({ pin: newPinField });
export const pinChange = z.strictObject({ oldPin: pinField, pin: newPinField });

export const signIn = z.strictObject({ personId: idField, pin: pinField });
export const demoSignIn = z.strictObject({ personId: idField });
export const ownerCreate = z.strictObject({
  code: z.string().trim().min(1).max(40),
  name: nameField,
  pin: newPinField,
});

/** A device on which somebody is signed in. */
export const ownSession = z.object({
  id: z.string(),
  startedAt: timestampField.nullable(),
  endsAt: timestampField,
  /** Browser and system, as the device calls itself. */
  device: z.string(),
  isThis: z.boolean(),
});
export const ownSessions = z.array(ownSession);

/** Who is signed in on this device, and who could. */
export const sessionState = z.object({
  me: z
    .object({
      id: idField,
      name: z.string(),
      role: roleField,
      preferences,
      /** Goes with every record made now, so that it keeps its author however late it arrives. */
      ticket: z.string(),
      /** Told once, at signing in: what others tried meanwhile. */
      wrongTries: wrongTries.nullable(),
    })
    .nullable(),
  shop: z.object({
    name: z.string(),
    timeZone: z.string(),
    demo: z.boolean(),
    /** Which thickness this shop counts. */
    thicknessRule: thicknessRuleField,
  }),
  /** No owner yet: the one-time code that the start printed makes the first one. */
  needsOwner: z.boolean(),
  /** Names on the sign-in page. */
  people: z.array(z.object({ id: idField, name: z.string(), role: roleField, hasPin: z.boolean(), ...readsContent })),
});

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

/** A text of the application as a native reader of the shop confirmed or corrected it. */
export const wordReview = z.object({
  key: z.string(),
  /** What it says in English; once that changes, the review counts no longer. */
  english: z.string(),
  text: z.string(),
  by: z.string(),
  at: timestampField,
});
export const wordReviews = z.object({ reviews: z.array(wordReview) });
export const wordReviewCreate = z.strictObject({
  key: z.string().min(1).max(120),
  text: z.string().trim().min(1).max(2000),
});

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

export type Preferences = z.infer<typeof preferences>;
export type PreferencesSave = z.infer<typeof preferencesSave>;
export type Person = z.infer<typeof person>;
export type PersonCreate = z.infer<typeof personCreate>;
export type PersonSave = z.infer<typeof personSave>;
export type SessionState = z.infer<typeof sessionState>;
export type WordReview = z.infer<typeof wordReview>;
export type RatesSave = z.infer<typeof ratesSave>;
export type OwnSession = z.infer<typeof ownSession>;
export type WrongTries = z.infer<typeof wrongTries>;
export type ShopState = z.infer<typeof shopState>;
export type ShopSave = z.infer<typeof shopSave>;
