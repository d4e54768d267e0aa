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
export {
	type Brought,
	bringSupport,
	type PastSupport,
	pastSupport,
	takeBackSupport,
	tierSpans
} from './store/pastSupport';
export { decide, undoDecision } from './store/verdicts';
export { whereTo } from './whereTo';
