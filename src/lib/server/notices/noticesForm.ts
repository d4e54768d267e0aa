import Type from 'typebox';
import { addDays, sayDate, schoolDayFrom } from '../../core/calendar';
import { formCheck, id, idList } from '../request';
import { refuse, staffAction } from '../shell/staffPage';
import { markSeen, putOff, setDone } from './store/notices';

/** Days for which a notice is put off. */
const LATER_DAYS = 7;
const seenForm = formCheck(Type.Object({ notices: idList(200) }));
const noticeForm = formCheck(Type.Object({ notice: id }));
const GONE = 'That is not so any more';

/** The form actions of the page of notices, which everybody of the staff has. */
export const noticesActions = {
	seen: staffAction('change own account', seenForm, async ({ staff, database, at, form }) => {
		await markSeen(database, staff, form.notices, at);
	}),
	later: staffAction('change own account', noticeForm, async ({ staff, school, database, at, form }) => {
		const until = schoolDayFrom(addDays(school.today, LATER_DAYS), school.calendar);
		return (await putOff(database, staff, form.notice, until, at))
			? {
					done: `You are told again on ${sayDate(until)}.`,
					undo: { action: '/notices?/now', fields: { notice: String(form.notice) } }
				}
			: refuse(GONE);
	}),
	now: staffAction('change own account', noticeForm, async ({ staff, database, at, form }) =>
		(await putOff(database, staff, form.notice, null, at)) ? { done: 'It is among your notices again.' } : refuse(GONE)
	),
	done: staffAction('change own account', noticeForm, async ({ staff, database, at, form }) =>
		(await setDone(database, staff, form.notice, true, at))
			? {
					done: 'Done, for everybody who is told this. It comes again if it gets worse.',
					undo: { action: '/notices?/undone', fields: { notice: String(form.notice) } }
				}
			: refuse(GONE)
	),
	undone: staffAction('change own account', noticeForm, async ({ staff, database, at, form }) =>
		(await setDone(database, staff, form.notice, false, at)) ? { done: 'It is among the notices again.' } : refuse(GONE)
	)
};
