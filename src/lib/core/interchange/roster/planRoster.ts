import { planClasses } from './planClasses';
import { planAdults } from './planAdults';
import { planSections } from './planSections';
import { planStudents } from './planStudents';
import type { RosterChange, RosterDoubt, RosterPlan, RosterRules, SchoolNow, SchoolRoster } from './schoolRoster';

/**
 * What a roster from elsewhere would do to a school. Whoever is here already is found by the source's id, the first time
 * by number, or by name with birth date or class; a name alone decides nothing. What the source leaves empty stays as it is.
 */
export function planRoster(now: SchoolNow, roster: SchoolRoster, rules: RosterRules): RosterPlan {
	const kind = rules.homeClasses ?? (roster.classes.some((one) => one.kind === 'homeroom') ? 'homeroom' : 'scheduled');
	const doubts: RosterDoubt[] = [];
	const classes = planClasses(now, roster, { kind, words: rules.sections }, doubts);
	const students = planStudents(now, roster, classes.placeOf, rules, doubts);
	const members = planSections(now, roster, classes.sectionPlaceOf, students.known);
	const places = new Map([...classes.placeOf, ...classes.sectionPlaceOf]);
	const adults = planAdults(now, roster, places, doubts);
	const ended = endClasses(now, classes.kept, students.inClass, doubts);
	return {
		changes: [...classes.changes, ...students.changes, ...members, ...adults, ...ended],
		doubts,
		leaving: {
			of: now.students.filter(({ classId }) => classId !== null).length,
			count: students.changes.filter((one) => one.kind === 'student leaves').length
		}
	};
}

/** Classes that a roster brought and has no more, once nobody is in them; sections at once. */
function endClasses(now: SchoolNow, kept: Set<number>, inClass: Set<number>, doubts: RosterDoubt[]): RosterChange[] {
	return now.classes.flatMap(({ id, name, sourcedId, isSection }): RosterChange[] => {
		if (sourcedId === null || kept.has(id)) return [];
		if (isSection || !inClass.has(id)) return [{ kind: 'end class', id, name }];
		doubts.push({
			kind: 'conflict',
			of: 'class',
			name,
			line: null,
			says: 'No more in the roster, and somebody is in it: move them first'
		});
		return [];
	});
}
