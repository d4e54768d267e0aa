import { addDays, beginningOf } from '../../core/calendar';
import { detailLines, type DetailLine } from '../../core/words';
import type { Database } from '../database';
import { skillList } from '../library';
import { classesInSetup, enrolledByIds, staffInSetup } from '../people';
import { dayIn, idIn, numberIn, type Staff, textIn } from '../request';
import type { School } from '../school';
import { auditLog, loggedActions } from './store/auditLog';

/** Deeds that are shown at once. */
const AT_ONCE = 50;

/** The log as the address asks for it: `by`, `about`, `action`, `since`, `to`, `from` for the part. */
export async function logPage(database: Database, staff: Staff, school: School, url: URL, at: Date) {
	const [since, to] = [dayIn(url, 'since'), dayIn(url, 'to')];
	const [people, actions, about, skills, classes, sections] = await Promise.all([
		staffInSetup(database, school.id, at),
		loggedActions(database, staff),
		enrolledByIds(database, staff, [idIn(url, 'about') ?? 0], school.today),
		skillList(database, school.id),
		classesInSetup(database, staff, school.today),
		classesInSetup(database, staff, school.today, 'section')
	]);
	const asked = {
		accountId: people.find(({ id }) => id === idIn(url, 'by'))?.id ?? null,
		studentId: about[0]?.id ?? null,
		action: actions.find((one) => one === textIn(url, 'action', 60)) ?? null
	};
	const part = { from: numberIn(url, 'from'), most: AT_ONCE };
	const { deeds, total } = await auditLog(
		database,
		staff,
		{
			...asked,
			from: since === null ? null : beginningOf(since, school.timeZone),
			until: to === null ? null : beginningOf(addDays(to, 1), school.timeZone)
		},
		part
	);
	const names = {
		account: new Map(people.map(({ id, displayName }) => [id, displayName])),
		skill: new Map(skills.map(({ id, shortName }) => [id, shortName])),
		class: new Map([...classes, ...sections].map(({ id, name }) => [id, name]))
	};
	return {
		...asked,
		...{ since, to, part, total, actions },
		people: people.map(({ id, displayName }) => ({ id, displayName })),
		about: about[0] ? `${about[0].preferredName ?? about[0].givenName} ${about[0].familyName}` : null,
		deeds: deeds.map(({ detail, ...deed }) => ({ ...deed, lines: linesOf(detail, names) }))
	};
}

/** A very long detail was cut, and is no JSON any more. */
function linesOf(detail: string, names: Record<string, Map<number, string>>): DetailLine[] {
	try {
		return detailLines(JSON.parse(detail), names);
	} catch {
		return [{ name: 'detail', value: `${detail.slice(0, 200)} …` }];
	}
}
