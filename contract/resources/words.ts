/** Texts of the application as native readers of the shop confirmed or corrected them. */
import type { Endpoints } from '../endpoint.ts';
import { message } from '@fox-tempo/core/base/messages';
import { z } from 'zod';
import { timestampField } from '../fields.ts';

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

export type WordReview = z.infer<typeof wordReview>;

export const wordEndpoints = {
  wordReviews: {
    method: 'GET',
    path: '/words/:language',
    summary: message('contract.endpoint.word-reviews'),
    act: 'anyone',
    answer: wordReviews,
  },
  reviewWord: {
    method: 'POST',
    path: '/words/:language',
    summary: message('contract.endpoint.word-review'),
    act: 'reviewWord',
    body: wordReviewCreate,
    answer: wordReviews,
    status: 201,
    needs: 'key',
  },
} as const satisfies Endpoints;
