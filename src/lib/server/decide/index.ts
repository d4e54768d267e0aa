/** Reviews and their verdicts, with the tiers that follow. */
export { adviceFor } from './advice';
export {
	dueReviews,
	decide,
	decidedReviews,
	openReview,
	openReviews,
	reviewList,
	type Review,
	tierHistory,
	undoDecision
} from './store/reviews';
export { whereTo } from './whereTo';
