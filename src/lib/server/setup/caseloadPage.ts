import { fullName } from '../../core/words';
import type { Database } from '../database';
import { responsibleFor, staffList } from '../people';
import { idIn, numberIn } from '../request';
import type { School } from '../school';
import type { Scope } from '../shell';

/** Students that are shown at once. */
const AT_ONCE = 60;

/**
 * Who is responsible for the students in tiers 2 and 3 of a scope: how many each has, and a part of the list; those for whom
 * nobody is come first. The address asks for those of one adult (`whose=12`), or for nobody's (`whose=nobody`).
 */
export async function caseloadPage(database: Database, school: School, scope: Scope, url: URL) {
	const tiered = (await scope.students()).filter(({ tier }) => tier > 1);
	const ids = tiered.map(({ id }) => id);
	const [responsible, people] = await Promise.all([
		responsibleFor(database, ids, school.today),
		staffList(database, school.id, ['specialist', 'interventionist'])
	]);
	const all = tiered.map((student) => ({
		...student,
		name: fullName(student),
		responsible: responsible.get(student.id) ?? null
	}));
	const nobodys = all.filter((student) => student.responsible === null);
	const of = (accountId: number) => all.filter((student) => student.responsible?.id === accountId);
	const whose = url.searchParams.get('whose') === 'nobody' ? 'nobody' : idIn(url, 'whose');
	const shown =
		whose === 'nobody'
			? nobodys
			: whose !== null
				? of(whose)
				: [...nobodys, ...all.filter((student) => student.responsible !== null)];
	const from = numberIn(url, 'from');
	return {
		size: all.length,
		nobodys: nobodys.length,
		people: people.map(({ id, displayName }) => ({ id, displayName, students: of(id).length })),
		whose,
		part: { from, most: AT_ONCE, total: shown.length },
		students: shown.slice(from, from + AT_ONCE)
	};
}
