/** Who is signed in on a device, and how they read. */
import type { Endpoints } from '../endpoint.ts';
import { message, languages } from '@fox-tempo/core/base/messages';
import { z } from 'zod';
import { idOf, nameField, thicknessRuleField, timestampField } from '../fields.ts';
import { newPinField, pinField, readsContent, roleField, wrongTries } from './people.ts';

export const preferences = z.object({
  ...readsContent,
  theme: z.enum(['day', 'night']).nullable(),
  /** The hand that holds the gun, so that what is tapped lies under the other one. */
  hand: z.enum(['right', 'left']).nullable(),
});

export const preferencesSave = z.strictObject({ ...preferences.shape, language: z.enum(languages).nullable() });

export const signIn = z.strictObject({ personId: idOf('person'), pin: pinField });

export const demoSignIn = z.strictObject({ personId: idOf('person') });

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
      id: idOf('person'),
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
  people: z.array(
    z.object({ id: idOf('person'), name: z.string(), role: roleField, hasPin: z.boolean(), ...readsContent }),
  ),
});

export type Preferences = z.infer<typeof preferences>;

export type PreferencesSave = z.infer<typeof preferencesSave>;

export type SessionState = z.infer<typeof sessionState>;

export type OwnSession = z.infer<typeof ownSession>;

export const pinChange = z.strictObject({ oldPin: pinField, pin: newPinField });

export const sessionEndpoints = {
  session: {
    method: 'GET',
    path: '/session',
    summary: message('contract.endpoint.session'),
    act: 'anyone',
    answer: sessionState,
  },
  signIn: {
    method: 'POST',
    path: '/session',
    summary: message('contract.endpoint.sign-in'),
    act: 'anyone',
    body: signIn,
    answer: sessionState,
  },
  demoSignIn: {
    method: 'POST',
    path: '/session/demo',
    summary: message('contract.endpoint.demo-sign-in'),
    act: 'anyone',
    body: demoSignIn,
    answer: sessionState,
  },
  makeOwner: {
    method: 'POST',
    path: '/session/owner',
    summary: message('contract.endpoint.first-owner'),
    act: 'anyone',
    body: ownerCreate,
    answer: sessionState,
    status: 201,
  },
  signOut: {
    method: 'DELETE',
    path: '/session',
    summary: message('contract.endpoint.sign-out'),
    act: 'anyone',
    answer: sessionState,
  },
  savePreferences: {
    method: 'PUT',
    path: '/session/preferences',
    summary: message('contract.how-one-reads'),
    act: 'savePreferences',
    body: preferencesSave,
    answer: sessionState,
  },
  ownSessions: {
    method: 'GET',
    path: '/session/list',
    summary: message('contract.endpoint.sessions'),
    act: 'ownSessions',
    answer: ownSessions,
  },
  endSession: {
    method: 'DELETE',
    path: '/session/list/:id',
    summary: message('contract.endpoint.session-end'),
    act: 'endSession',
    answer: ownSessions,
  },
  changePin: {
    method: 'PUT',
    path: '/session/pin',
    summary: message('contract.endpoint.own-pin'),
    act: 'changePin',
    body: pinChange,
    answer: sessionState,
  },
} as const satisfies Endpoints;
