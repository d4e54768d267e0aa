import { peekAt, ribbon } from '$lib/server/shell';
import { noticesFor } from '$lib/server/notices';
import { studentIn } from '$lib/server/people';
import { lockedOutOf } from '$lib/server/auth';
import { idIn, may } from '$lib/server/request';
import { scopeOf, staffContext } from '$lib/server/shell/staffPage';

export async function load({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	const scope = await scopeOf(locals, url, staff, school);
	const selectedId = idIn(url, 'student');
	const selected = selectedId === null ? null : await studentIn(locals.database, scope.roster, selectedId);
	const [overview, peek, locked, notices] = await Promise.all([
		ribbon(locals.database, staff, school, scope),
		selected && peekAt(locals.database, staff, school, selected),
		lockedOutOf(locals.database, staff, school, locals.at),
		noticesFor(locals.database, staff, school)
	]);
	return {
		staff: { name: staff.displayName, role: staff.role, servesOthers: staff.servesOthers === true },
		can: {
			screen: may(staff.role, 'run screening'),
			cuts: may(staff.role, 'set cut scores'),
			calibrate: may(staff.role, 'calibrate'),
			give: may(staff.role, 'give measures'),
			noteAbsences: may(staff.role, 'note absences'),
			group: may(staff.role, 'form groups'),
			timetable: may(staff.role, 'plan the timetable'),
			check: may(staff.role, 'assign skill checks'),
			note: may(staff.role, 'write notes'),
			attend: may(staff.role, 'take attendance'),
			practice: may(staff.role, 'assign practice'),
			probe: may(staff.role, 'plan probes'),
			decide: may(staff.role, 'decide'),
			library: may(staff.role, 'change the library'),
			setUp: may(staff.role, 'set up the school')
		},
		school,
		scope: { key: scope.key, label: scope.label, inWords: scope.inWords, size: scope.size },
		...overview,
		peek,
		locked,
		notices: {
			count: notices.now.length,
			here: notices.now.filter(({ place }) => place === url.pathname).map(({ says, action }) => ({ says, action }))
		}
	};
}
