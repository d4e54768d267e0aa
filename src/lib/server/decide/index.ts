/** Reviews and their verdicts, with the tiers that follow. */
export { adviceFor } from './advice';
export {
	dueReviews,
	decidedReviews,
	openReview,
	openReviews,
	reviewList,
	type Review,
	tierHistory
} from './store/reviews';
export { decide, undoDecision } from './store/verdicts';
export { whereTo } from './whereTo';
