import Type from 'typebox';
import { sayDate } from '$lib/core/calendar';
import { WATCH_POINTS } from '$lib/core/timetable';
import { findGroup, takeBackWatch, watchSession } from '$lib/server/groups';
import { recordAction } from '$lib/server/groups/meetingForm';
import { formCheck, id, schoolDate } from '$lib/server/request';
import { refuse, scopeOf, staffAction, staffContext } from '$lib/server/shell/staffPage';
import { sessionsPage } from '$lib/server/track/sessionsPage';

export async function load({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	const scope = await scopeOf(locals, url, staff, school);
	return { page: await sessionsPage(locals.database, staff, school, scope, url) };
}

const watchForm = formCheck(
	Type.Object({
		group: id,
		on: schoolDate,
		note: Type.String({ maxLength: 500 }),
		points: Type.Optional(Type.Array(Type.Integer({ minimum: 0, maximum: WATCH_POINTS.length - 1 }), { maxItems: 5 }))
	})
);
const takeBackForm = formCheck(Type.Object({ watch: id }));

export const actions = {
	record: recordAction,
	watch: staffAction('take attendance', watchForm, async ({ staff, school, database, at, form }) => {
		const { group, on, note, points = [] } = form;
		if (on > school.today) return refuse('That day has not come yet');
		if (!(await findGroup(database, staff, group, school.today))) return refuse('There is no such group');
		const seen = WATCH_POINTS.map((_, i) => points.includes(i));
		const watch = await watchSession(database, staff, { groupId: group, on, points: seen, note: note.trim() }, at);
		return {
			done: `Kept: ${seen.filter(Boolean).length} of ${WATCH_POINTS.length} points of the session on ${sayDate(on)}.`,
			undo: { action: '?/takeBackWatch', fields: { watch: String(watch) } }
		};
	}),
	takeBackWatch: staffAction('take attendance', takeBackForm, async ({ staff, database, at, form }) =>
		(await takeBackWatch(database, staff, form.watch, at))
			? { done: 'Taken back.' }
			: refuse('What you kept of that session is not there any more')
	)
};
