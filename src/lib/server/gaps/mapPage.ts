import { schoolDateOf } from '../../core/calendar';
import { misconceptionById } from '../../core/items';
import { ownOrInferred, shareAt, type SkillGraph, type StandingNow } from '../../core/mastery';
import { classwideNeeds } from './classwideNeeds';
import { needleMap } from './needleMap';
import { answerHtml, mathHtml } from '../sitting';
import type { Staff, VisibleId } from '../request';
import { overallAbilities, windowInView } from '../screen';
import type { Database } from '../database';
import type { RosterStudent } from '../people';
import type { School } from '../school';
import { currentGroups } from '../groups';
import { domainList, itemsAsked, skillGraph, skillList, type Skill } from '../library';
import { evidenceFor, levelReasons } from '../standing';

/** Parts of the evidence that are named, and the change of a share from which one is worth a word. */
const MOST_PARTS = 4;
const LEAST_CHANGE = 0.05;
/** Chains that are shown of a gap. */
const MOST_CAUSES = 3;

/**
 * The needle map of some students, and what its chosen cell follows from.
 *
 * @param cell of which student and skill; null where none is chosen
 */
export async function mapPage(
	database: Database,
	staff: Staff,
	school: School,
	students: RosterStudent[],
	cell: { studentId: number | null; skillId: number | null }
) {
	const ids = students.map(({ id }) => id);
	const [domains, skills, { window }] = await Promise.all([
		domainList(database, school.id),
		skillList(database, school.id),
		windowInView(database, school)
	]);
	const graph = await skillGraph(database, school.id, skills);
	const [{ rows, standings }, groups, abilities] = await Promise.all([
		needleMap(database, ids, skills, graph, school.today),
		currentGroups(database, staff, school.today),
		overallAbilities(database, ids)
	]);

	const term = window?.term ?? 3;
	const classwide = classwideNeeds(students, skills, standings, term);
	/** What the oldest here have been taught by now. */
	const reached = { grade: Math.max(1, ...students.map(({ grade }) => grade)), term };
	const chosen = ids.find((id) => id === cell.studentId);
	const skill = skills.find(({ id }) => id === cell.skillId);
	return {
		domains,
		skills,
		rows: rows.map((row, i) => {
			const { givenName, familyName, className, tier } = students[i];
			return { ...row, givenName, familyName, className, tier, ability: abilities.get(row.id) ?? null };
		}),
		reached,
		classwide,
		focus: [...new Set(groups.map(({ focusSkillId }) => focusSkillId))],
		evidence:
			chosen && skill
				? await cellEvidence(database, chosen, skill, skills, graph, standings.get(chosen)!, school.timeZone)
				: null
	};
}

/** What a student's standing on a skill follows from: answers, what comes before, and where a gap begins. */
async function cellEvidence(
	database: Database,
	studentId: VisibleId,
	skill: Skill,
	skills: Skill[],
	graph: SkillGraph,
	own: Map<number, StandingNow>,
	timeZone: string
) {
	const now = own.get(skill.id);
	const answers = await itemsAsked(database, await evidenceFor(database, studentId, skill.id));
	const named = (id: number) => {
		const state = own.get(id);
		return {
			id,
			name: skills.find((one) => one.id === id)!.shortName,
			state: state?.inferred ?? state?.standing ?? ('unseen' as const),
			inferred: Boolean(state?.inferred)
		};
	};
	const prerequisites = graph.prerequisites.get(skill.id)!.map(named);
	const reasons = now ? await levelReasons(database, studentId, skill.id) : null;
	const causes = now && ownOrInferred(now) === 'gap' ? reasons!.causes : [];
	return {
		studentId,
		skill,
		now,
		expected: reasons?.expected ?? null,
		without: (reasons?.without ?? [])
			.filter(({ share }) => Math.abs(share - shareAt(now!.level.mean, now!.difficulty)) >= LEAST_CHANGE)
			.slice(0, MOST_PARTS)
			.map(({ of, skillId, change, share }) => ({
				of,
				name: skillId === null ? null : named(skillId).name,
				raises: change > 0,
				share
			})),
		prerequisites,
		causes: causes.slice(0, MOST_CAUSES).map(({ way, share }) => ({
			share,
			// From where it begins up to the skill before this one.
			skills: way.toReversed().map(named)
		})),
		answers: answers.map((answer) => {
			return {
				on: schoolDateOf(answer.answeredAt, timeZone),
				kind: answer.kind,
				stemHtml: mathHtml(answer.item.stem),
				givenHtml: answerHtml(answer.item, answer.response),
				correct: answer.correct,
				notYet: answer.response === null,
				idea: answer.misconception ? (misconceptionById(answer.misconception)?.shows ?? null) : null,
				seconds: Math.round(answer.milliseconds / 1000)
			};
		})
	};
}
