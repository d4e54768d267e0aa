import { addDays, schoolDateOf, type SchoolDate } from '../../core/calendar';
import { type Advice, BACK_WITHIN_DAYS, isAsAdvised, VERDICTS, whatBecame } from '../../core/growth';
import { yearOf } from '../../core/measurement';
import type { Database } from '../database';
import { groupsOn } from '../groups';
import { staffList, visibleAmong } from '../people';
import { dayIn, idIn, numberIn, oneIn, type Staff } from '../request';
import { schoolYears, type School } from '../school';
import type { Scope } from '../shell';
import { decidedSince, type DecidedSince, findDecisions } from './store/decisions';
import { tasksFor } from './store/tasks';

/** Decisions that are shown at once. */
const AT_ONCE = 40;

/** What became of verdicts that were, or were not, as advised. */
export interface AdviceLine {
	advice: Advice;
	asAdvised: boolean;
	verdicts: number;
	better: number;
	same: number;
	worse: number;
	/** Of which that cannot be said yet. */
	open: number;
}

/** Verdicts by the advice and whether it was followed, with what became of them. */
export function sumUp(decided: DecidedSince[], today: SchoolDate): AdviceLine[] {
	const lines = new Map<string, AdviceLine>();
	for (const one of decided) {
		const asAdvised = isAsAdvised(one.verdict, one.advice);
		const key = `${one.advice} ${asAdvised}`;
		const line = lines.get(key) ?? {
			...{ advice: one.advice, asAdvised },
			...{ verdicts: 0, better: 0, same: 0, worse: 0, open: 0 }
		};
		line.verdicts++;
		line[whatBecame(one, addDays(one.effectiveOn, BACK_WITHIN_DAYS) <= today) ?? 'open']++;
		lines.set(key, line);
	}
	return [...lines.values()].sort((a, b) =>
		a.advice === b.advice ? Number(b.asAdvised) - Number(a.asAdvised) : a.advice < b.advice ? -1 : 1
	);
}

/** The first day of the school year that it is, or of the last twelve months where none is planned. */
export async function yearBegan(database: Database, school: School): Promise<SchoolDate> {
	return yearOf(school.today, await schoolYears(database, school.id))?.startsOn ?? addDays(school.today, -365);
}

/** Decisions of a scope, searched as the address says, and what became of those of this school year. */
export async function decisionsPage(database: Database, staff: Staff, school: School, scope: Scope, url: URL) {
	const advised = oneIn(url, 'advised', ['yes', 'no']);
	const groups = await groupsOn(database, staff, school.today, school.today);
	const wanted = idIn(url, 'group');
	const filter = {
		from: dayIn(url, 'from'),
		until: dayIn(url, 'until'),
		verdict: oneIn(url, 'verdict', VERDICTS),
		asAdvised: advised && advised === 'yes',
		groupId: groups.some(({ id }) => id === wanted) ? wanted : null,
		byId: idIn(url, 'by')
	};
	const part = { from: numberIn(url, 'decisions'), most: AT_ONCE };
	const since = await yearBegan(database, school);
	const [found, all, adults] = await Promise.all([
		findDecisions(database, scope.roster, filter, part),
		decidedSince(database, scope.roster, since),
		staffList(database, school.id, ['coordinator', 'specialist'])
	]);
	const ids = [...new Set(found.reviews.map(({ studentId }) => studentId))];
	const [students, tasks] = await Promise.all([
		visibleAmong(database, staff, ids, school.today),
		tasksFor(database, ids)
	]);
	return {
		filter,
		part: { ...part, total: found.total },
		decisions: found.reviews.map((review) => {
			const own = tasks.filter(({ reviewId }) => reviewId === review.id);
			return {
				...review,
				decidedOn: review.decidedAt && schoolDateOf(review.decidedAt, school.timeZone),
				isAsAdvised: review.advice !== null && isAsAdvised(review.verdict!, review.advice),
				tasks: { all: own.length, done: own.filter(({ doneAt }) => doneAt).length }
			};
		}),
		students: students.map(({ id, givenName, familyName, className }) => ({ id, givenName, familyName, className })),
		since,
		lines: sumUp(all, school.today),
		adults,
		groups: groups.map(({ id, name }) => ({ id, name }))
	};
}
