/** Reviews and their verdicts, with the tiers that follow. */
export { adviceFor } from './advice';
export {
	countDueReviews,
	decide,
	decidedReviews,
	openReview,
	openReviews,
	type Review,
	tierHistory,
	undoDecision
} from './store/reviews';
