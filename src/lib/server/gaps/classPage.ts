import { fullName, sayLevel } from '../../core/words';
import { isOwn, type Standing } from '../../core/mastery';
import { expectedTheta, workingLevel } from '../../core/measurement';
import { shareInterval } from '../../core/screening';
import { classwideNeeds } from './classwideNeeds';
import type { Staff } from '../request';
import { overallAbilities, windowInView } from '../screen';
import type { Database } from '../database';
import type { RosterStudent } from '../people';
import type { School } from '../school';
import { currentGroups, type SmallGroup } from '../groups';
import { domainList, type Skill, skillList } from '../library';
import { readCells } from '../standing';
import { type Slot, slotList } from '../groups/timetable';

/** Students who lack a skill and are ready for it, fewer than which are taught one by one. */
const LEAST_SHARING = 2;
/** Logits above what the class has been taught by now from which on a student is ahead of it. */
const FAR_AHEAD = 1;

/** What a class needs: what is for all of it, who shares a need, and each student; of the scope's classes the wanted or first one. */
export async function classPage(
	database: Database,
	staff: Staff,
	school: School,
	inScope: RosterStudent[],
	wanted: number | null
) {
	const classes = [...new Map(inScope.map(({ classId, className }) => [classId, className]))].map(([id, name]) => ({
		id,
		name
	}));
	const chosen = classes.find(({ id }) => id === wanted) ?? classes[0] ?? null;
	const students = inScope.filter(({ classId }) => classId === chosen?.id);
	const ids = students.map(({ id }) => id);
	const [skills, domains, cells, { window }, groups, slots, abilities] = await Promise.all([
		skillList(database, school.id),
		domainList(database, school.id),
		readCells(database, school.id, ids),
		windowInView(database, school),
		currentGroups(database, staff, school.today),
		slotList(database, school.id),
		overallAbilities(database, ids)
	]);
	const term = window?.term ?? 3;
	const grade = students[0]?.grade ?? 1;
	const reached = expectedTheta({ grade, term });
	const whole = classwideNeeds(students, skills, cells, term);
	const isWhole = new Set(whole.map(({ skillId }) => skillId));
	const is = (id: number, skillId: number, standing: Standing) => {
		const cell = cells.of(id, skillId);
		return isOwn(cell) && cell.standing === standing;
	};
	const domainOf = new Map(domains.map(({ id, name }) => [id, name]));
	const due = skills.filter((skill) => expectedTheta(skill) <= reached);
	return {
		classes,
		chosen,
		grade,
		term,
		whole: whole.map((need) => {
			const unseen = ids.filter((id) => !isOwn(cells.of(id, need.skillId)));
			return { ...need, ...shareInterval(need.lacking, need.withEvidence), unseen };
		}),
		// What several lack and are ready for, most first; what the whole class lacks stands above.
		needs: due
			.filter(({ id }) => !isWhole.has(id))
			.map((skill) => ({
				skill: { id: skill.id, code: skill.code, name: skill.shortName, domain: domainOf.get(skill.domainId)! },
				who: ids.filter((id) => is(id, skill.id, 'gap') && cells.of(id, skill.id).readyNext),
				slipping: ids.filter((id) => is(id, skill.id, 'slipping'))
			}))
			.filter(({ who, slipping }) => who.length >= LEAST_SHARING || slipping.length >= LEAST_SHARING)
			.sort((a, b) => b.who.length + b.slipping.length - a.who.length - a.slipping.length),
		students: students.map((student) => {
			const theta = abilities.get(student.id) ?? null;
			const level = theta === null ? null : workingLevel(theta);
			const gaps = due.filter(({ id }) => is(student.id, id, 'gap')).length;
			const later = skills.filter((skill) => expectedTheta(skill) > reached);
			return {
				id: student.id,
				name: fullName(student),
				tier: student.tier,
				level: level && sayLevel(level),
				// Ready for what the class meets later, with nothing due that is a gap.
				isAhead: theta !== null && theta > reached + FAR_AHEAD && gaps === 0,
				gaps,
				ahead: later
					.filter(({ id }) => cells.of(student.id, id).readyNext)
					.slice(0, 2)
					.map(({ shortName }) => shortName),
				groups: groups
					.filter(({ studentIds }) => studentIds.includes(student.id))
					.map((group) => groupRow(group, slots, skills))
			};
		})
	};
}

function groupRow({ id, slotId, focusSkillId }: SmallGroup, slots: Slot[], skills: Skill[]) {
	const { days, startsAt, staffName } = slots.find((slot) => slot.id === slotId)!;
	return { id, focus: skills.find((skill) => skill.id === focusSkillId)!.shortName, days, startsAt, staffName };
}
