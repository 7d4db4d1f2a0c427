import type { Handlers } from '../../http/endpoints.ts';
import { addReview, languageOf, reviewsIn } from './service.ts';

export const wordHandlers = {
  wordReviews: async ({ db, params }) => ({ reviews: await reviewsIn(db, languageOf(params.language)) }),
  reviewWord: async ({ db, params, body, me }) => ({ reviews: await addReview(db, params.language, body, me.id) }),
} satisfies Pick<Handlers, 'wordReviews' | 'reviewWord'>;
