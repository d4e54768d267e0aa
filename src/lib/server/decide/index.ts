/** Reviews and their verdicts, with the tiers that follow. */
export { adviceFor } from './advice';
export {
	dueReviews,
	decidedReviews,
	countOverdueReviews,
	findReview,
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
export { countTasks, tasksLateAt } from './store/tasks';
export { decide, undoDecision } from './store/verdicts';
export { agendaOf } from './store/agendas';
export { findReviewMeeting, invitedTo } from './store/reviewMeetings';
export { studentLook } from './studentLook';
export { whereTo } from './whereTo';
