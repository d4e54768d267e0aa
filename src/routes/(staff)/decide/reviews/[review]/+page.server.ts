import { error } from '@sveltejs/kit';
import { reviewPage } from '$lib/server/decide/meetingsPage';
import { undoVerdictAction, verdictAction } from '$lib/server/decide/verdictForm';
import { idOf } from '$lib/server/request';
import { staffContext } from '$lib/server/shell/staffPage';

export async function load({ locals, params }) {
	const { staff, school } = await staffContext(locals);
	const reviewId = idOf(params.review);
	const step = reviewId === null ? null : await reviewPage(locals.database, staff, school, reviewId);
	if (!step) error(404, 'No such review for you.');
	return { step };
}

export const actions = { verdict: verdictAction, undo: undoVerdictAction };
