/** The people of the shop, their roles and PINs. */
import type { Endpoints } from '../endpoint.ts';
import { message, type CoreSentences } from '@fox-tempo/core/base/messages';
import { z } from 'zod';
import { idOf, nameField, timestampField } from '../fields.ts';
import { roles } from '../roles.ts';
import { pageOf } from '../page.ts';

/** Four to eight digits: short enough for gloves; the waits that grow make up for it. */

export const roleField = z.enum(roles);

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
export const readsContent = {
  language: z.string().max(10).nullable(),
  units: z.enum(['metric', 'us']).nullable(),
};

export const person = z.object({
  ...readsContent,
  id: idOf('person'),
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

export type Person = z.infer<typeof person>;

export type PersonCreate = z.infer<typeof personCreate>;

export type PersonSave = z.infer<typeof personSave>;

export type WrongTries = z.infer<typeof wrongTries>;

export const peopleEndpoints = {
  people: {
    method: 'GET',
    path: '/people',
    summary: message('contract.endpoint.people'),
    act: 'people',
    answer: pageOf(person),
    paged: true,
  },
  addPerson: {
    method: 'POST',
    path: '/people',
    summary: message('contract.adds-a-person'),
    act: 'addPerson',
    body: personCreate,
    answer: person,
    status: 201,
    needs: 'key',
  },
  savePerson: {
    method: 'PUT',
    path: '/people/:id',
    summary: message('contract.endpoint.person-save'),
    act: 'savePerson',
    body: personSave,
    answer: person,
    needs: 'version',
  },
  resetPin: {
    method: 'PUT',
    path: '/people/:id/pin',
    summary: message('contract.endpoint.person-pin'),
    act: 'resetPin',
    body: pinReset,
    answer: person,
    needs: 'version',
  },
} as const satisfies Endpoints;
