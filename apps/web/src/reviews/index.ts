/** What other folders may use of this one. */
export { ReviewTasks } from './review-tasks';
export { ReviewsOfMap } from './reviews-of-map';
