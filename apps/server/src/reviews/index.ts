/** What other folders may use of this one. */
export { Review } from './review.entity.js';
export { ReviewsKeeper } from './reviews.keeper.js';
export { ReviewsModule } from './reviews.module.js';
export { ReviewsService } from './reviews.service.js';
export { RoundOfReviews } from './round.entity.js';
export { RoundsService } from './rounds.service.js';
