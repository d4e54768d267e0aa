import { addDays, type SchoolDate } from '../calendar';
import { overlaps, type WeeklyTime } from '../timetable';
import { fullName } from '../words';
import type { BadLine, ListedIntervention } from './interventionList';

/** Minutes that a session takes where a list does not say. */
const USUAL_MINUTES = 30;

/** What a school has, against which a list of interventions is held. */
export interface KnownOfInterventions {
	today: SchoolDate;
	/** Those in a class today. */
	students: {
		id: number;
		number: string | null;
		/** Every name by which somebody may write them. */
		names: string[];
		shown: string;
		tier: 1 | 2 | 3;
		/** Days in a tier, and on record otherwise. */
		spans: { from: SchoolDate; until: SchoolDate | null }[];
	}[];
	skills: { id: number; code: string; shortName: string }[];
	/** Adults who can hold groups. */
	adults: { id: number; userName: string; displayName: string }[];
	/** Of groups that go on. */
	groupNames: string[];
	/** Meeting times in use. */
	times: (WeeklyTime & { id: number; staffId: number; isHeld: boolean })[];
}

/** Days of support that are over. */
export interface PastIntervention {
	studentId: number;
	name: string;
	tier: 2 | 3;
	from: SchoolDate;
	/** The first day after it. */
	until: SchoolDate;
	/** Whether the student was in the tier until then and is not any more by this line. */
	isOver: boolean;
	did: string;
	came: string;
}

/** A group that goes on here from today. */
export interface PlannedGroup {
	name: string;
	tier: 2 | 3;
	skillId: number;
	skill: string;
	staffId: number;
	adult: string;
	time: WeeklyTime;
	/** The meeting time that there is; null for one to be made. */
	slotId: number | null;
	/** Its last day where the list says it. */
	endsOn: SchoolDate | null;
	students: { id: number; name: string }[];
}

export interface InterventionPlan {
	/** Who comes into a tier, and since when they have been in it. */
	tiers: { studentId: number; name: string; tier: 2 | 3; from: SchoolDate }[];
	groups: PlannedGroup[];
	past: PastIntervention[];
	/** Lines that are left out, in their order. */
	bad: BadLine[];
}

/** Support that goes on, of a student who is found. */
interface Going {
	student: KnownOfInterventions['students'][number];
	row: ListedIntervention;
}

/**
 * What a list of interventions brings into a school: who is in which tier since when, the groups that go on, and what was
 * before. Nobody is taken for a student by a name that two have.
 */
export function planInterventions(listed: ListedIntervention[], known: KnownOfInterventions): InterventionPlan {
	const plan: InterventionPlan = { tiers: [], groups: [], past: [], bad: [] };
	const find = finderOf(known);
	const spans = new Map(known.students.map(({ id, spans: own }) => [id, [...own]]));
	const tierOf = new Map(known.students.filter(({ tier }) => tier > 1).map(({ id, tier }) => [id, tier as 2 | 3]));
	const going: Going[] = [];
	const leaveOut = ({ line }: ListedIntervention, says: string) => plan.bad.push({ line, says });
	// What is over comes first: support that goes on may follow it.
	const isOver = ({ until }: ListedIntervention) => until !== null && until <= known.today;
	for (const row of [...listed].sort((a, b) => Number(isOver(b)) - Number(isOver(a)))) {
		const student = find(row);
		if (typeof student === 'string') leaveOut(row, student);
		else if (isOver(row)) {
			const span = { from: row.from, until: row.until };
			if (spans.get(student.id)!.some((other) => meet(other, span)))
				leaveOut(row, `Other support of ${student.shown} is on record for some of these days`);
			else {
				spans.get(student.id)!.push(span);
				plan.past.push(pastOf(student, row, row.until!, true));
			}
		} else going.push({ student, row });
	}
	const kept = going.filter(({ student, row }) => {
		const tier = tierOf.get(student.id);
		if (tier === row.tier && student.tier === tier && !row.group) {
			leaveOut(row, `${student.shown} is in tier ${tier} already`);
			return false;
		}
		if (tier !== undefined && tier !== row.tier) {
			leaveOut(row, `${student.shown} is in tier ${tier} already: a review changes that`);
			return false;
		}
		if (tier === undefined && spans.get(student.id)!.some((other) => meet(other, { from: row.from, until: null }))) {
			leaveOut(row, `Other support of ${student.shown} is on record for some of these days`);
			return false;
		}
		if (tier === undefined) {
			tierOf.set(student.id, row.tier);
			plan.tiers.push({ studentId: student.id, name: student.shown, tier: row.tier, from: row.from });
		}
		return true;
	});
	const grouped = planGroups(kept, known, leaveOut);
	plan.groups = grouped.groups;
	// Days in a tier say the rest themselves.
	for (const { student, row } of grouped.taken)
		if (row.from < known.today && (row.group || row.did || row.came))
			plan.past.push(pastOf(student, row, known.today, false));
	plan.bad.sort((a, b) => a.line - b.line);
	return plan;
}

const meet = (a: { from: SchoolDate; until: SchoolDate | null }, b: { from: SchoolDate; until: SchoolDate | null }) =>
	a.from < (b.until ?? '9999-12-31') && b.from < (a.until ?? '9999-12-31');

/** Finds who is meant by a line, by number or else by a name that only one has; or says why nobody is. */
function finderOf({ students }: KnownOfInterventions) {
	const byNumber = new Map(students.flatMap((one) => (one.number ? [[one.number.toLowerCase(), one]] : [])));
	const byName = new Map<string, typeof students>();
	for (const one of students)
		for (const name of new Set(one.names.map((text) => text.toLowerCase())))
			byName.set(name, [...(byName.get(name) ?? []), one]);
	return ({ number, name }: ListedIntervention) => {
		if (number) return byNumber.get(number.toLowerCase()) ?? `No student in a class has the number ${number}`;
		const found = byName.get(name.replace(/\s+/g, ' ').toLowerCase()) ?? [];
		if (found.length > 1) return `${found.length} students have the name ${name}: say the number`;
		return found[0] ?? `No student in a class has the name ${name}`;
	};
}

/** Names by which somebody may write a student. */
export function namesOf({
	givenName,
	familyName,
	preferredName
}: {
	givenName: string;
	familyName: string;
	preferredName: string | null;
}): string[] {
	return [givenName, ...(preferredName ? [preferredName] : [])].flatMap((given) => [
		fullName({ givenName: given, familyName }),
		`${familyName}, ${given}`
	]);
}

const pastOf = (
	{ id, shown }: Going['student'],
	{ tier, from, group, focus, did, came }: ListedIntervention,
	until: SchoolDate,
	isOver: boolean
): PastIntervention => ({
	studentId: id,
	name: shown,
	tier,
	from,
	until,
	isOver,
	did: did || [group, focus].filter(Boolean).join(', ') || `Tier ${tier} support`,
	came
});

/** The groups that lines about support that goes on name, and the lines that are taken. */
function planGroups(
	going: Going[],
	known: KnownOfInterventions,
	leaveOut: (row: ListedIntervention, says: string) => void
): { groups: PlannedGroup[]; taken: Going[] } {
	const taken = going.filter(({ row }) => !row.group);
	const byName = new Map<string, Going[]>();
	for (const one of going.filter(({ row }) => row.group)) {
		const name = one.row.group.toLowerCase();
		byName.set(name, [...(byName.get(name) ?? []), one]);
	}
	const groups: PlannedGroup[] = [];
	for (const members of byName.values()) {
		const group = groupOf(members, known, groups);
		if (typeof group === 'string') {
			for (const { row } of members) leaveOut(row, `${group}; the student comes into the tier without it`);
			continue;
		}
		groups.push(group);
		for (const one of members) {
			if (one.row.tier === group.tier) {
				if (!group.students.some(({ id }) => id === one.student.id))
					group.students.push({ id: one.student.id, name: one.student.shown });
				taken.push(one);
			} else
				leaveOut(
					one.row,
					`“${group.name}” is of tier ${group.tier}; the student comes into tier ${one.row.tier} without it`
				);
		}
	}
	return { groups, taken };
}

/** A group from its lines, without its members; or what it lacks. */
function groupOf(members: Going[], known: KnownOfInterventions, others: PlannedGroup[]): PlannedGroup | string {
	const rows = members.map(({ row }) => row);
	const { group: name, tier } = rows[0];
	if (known.groupNames.some((one) => one.toLowerCase() === name.toLowerCase()))
		return `There is a group “${name}” already: students join it there`;
	const said = <Field extends 'focus' | 'adult' | 'startsAt'>(field: Field) =>
		rows.find((row) => row[field])?.[field] ?? '';
	const [focus, adult, startsAt] = [said('focus'), said('adult'), said('startsAt')];
	const days = rows.find((row) => row.days.length)?.days ?? [];
	const skill = known.skills.find(
		(one) => one.code.toLowerCase() === focus.toLowerCase() || one.shortName.toLowerCase() === focus.toLowerCase()
	);
	if (!skill) return focus ? `“${name}”: no skill is called ${focus}` : `“${name}” has no focus`;
	const person = known.adults.find(
		(one) => one.userName.toLowerCase() === adult.toLowerCase() || one.displayName.toLowerCase() === adult.toLowerCase()
	);
	if (!person)
		return adult ? `“${name}”: no specialist or interventionist is called ${adult}` : `“${name}” has no adult`;
	if (days.length === 0 || !startsAt) return `“${name}” has no days or no time`;
	const minutes = rows.find((row) => row.minutes !== null)?.minutes ?? USUAL_MINUTES;
	const time = { days, startsAt, minutes };
	const own = known.times.filter(({ staffId }) => staffId === person.id);
	const isBusy =
		own.some((one) => one.isHeld && overlaps(one, time)) ||
		others.some((one) => one.staffId === person.id && overlaps(one.time, time));
	if (isBusy) return `“${name}”: ${person.displayName} holds another group then`;
	const isSame = (one: WeeklyTime) =>
		one.days.join() === days.join() && one.startsAt === startsAt && one.minutes === time.minutes;
	return {
		name,
		tier,
		skillId: skill.id,
		skill: skill.shortName,
		staffId: person.id,
		adult: person.displayName,
		time,
		slotId: own.find(isSame)?.id ?? null,
		endsOn: lastDay(rows),
		students: []
	};
}

/** The last day that lines say, of a group that goes on. */
function lastDay(rows: ListedIntervention[]): SchoolDate | null {
	const last = rows
		.flatMap(({ until }) => until ?? [])
		.sort()
		.at(-1);
	return last ? addDays(last, -1) : null;
}
