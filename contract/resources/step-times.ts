/** Minutes that the steps of a changeover took here. */
import type { Endpoints } from '../endpoint.ts';
import { message } from '@fox-tempo/core/base/messages';
import { stepKinds } from '@fox-tempo/core/machine/setup';
import { z } from 'zod';
import { recordedKinds } from './observations.ts';

/** Minutes a changeover step took here. */
export const stepTimeCreate = recordedKinds['step-time'];

export const stepTimes = z.object({
  /** Median of the last five by kind; kinds never timed are absent. */
  minutes: z.partialRecord(z.enum(stepKinds), z.number()),
});

export type StepTimes = z.infer<typeof stepTimes>;

export type StepTimeCreate = z.infer<typeof stepTimeCreate>;

export const stepTimeEndpoints = {
  stepTimes: {
    method: 'GET',
    path: '/machines/:id/step-times',
    summary: message('contract.endpoint.step-times'),
    act: 'stepTimes',
    answer: stepTimes,
  },
  addStepTime: {
    method: 'POST',
    path: '/machines/:id/step-times',
    summary: message('contract.endpoint.step-time'),
    act: 'addStepTime',
    body: stepTimeCreate,
    answer: stepTimes,
    status: 201,
    needs: 'key',
    late: true,
  },
} as const satisfies Endpoints;
