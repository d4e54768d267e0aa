import { schoolDateOf } from '../../core/calendar';
import { misconceptionById } from '../../core/items';
import { NEEDLE_FILTERS, ownOrInferred, shareAt, type NeedleFilter } from '../../core/mastery';
import { classwideNeeds } from './classwideNeeds';
import { ROW_ORDERS, viewMap, type MapChoice, type SkillChoice } from './mapView';
import { answerHtml, mathHtml } from '../sitting';
import { FIRST_ROWS, idIn, oneIn, textIn, type Staff, type VisibleId } from '../request';
import { overallAbilities, windowInView } from '../screen';
import type { Database } from '../database';
import type { RosterStudent } from '../people';
import type { School } from '../school';
import { currentGroups } from '../groups';
import { domainList, itemsAsked, skillGraph, skillList, type Skill } from '../library';
import { evidenceFor, levelReasons, readCells, readStandings } from '../standing';

/** Parts of the evidence that are named, and the change of a share from which one is worth a word. */
const MOST_PARTS = 4;
const LEAST_CHANGE = 0.05;
/** Chains that are shown of a gap. */
const MOST_CAUSES = 3;

const LONGEST_FIND = 60;

/** What the address asks of the map; whatever else it says is left out. */
function choiceIn(url: URL, reached: MapChoice['reached'], focus: ReadonlySet<number>): MapChoice {
	const asked = (name: string) => url.searchParams.get(name) ?? '';
	const columns = asked('columns');
	return {
		skills: /^(all|focus|below:\d)$/.test(columns) ? (columns as SkillChoice) : 'term',
		needles: oneIn(url, 'needles', Object.keys(NEEDLE_FILTERS) as NeedleFilter[]) ?? 'all',
		order: oneIn(url, 'order', ROW_ORDERS) ?? 'class',
		find: textIn(url, 'find', LONGEST_FIND),
		folded: new Set(asked('folded').split(',').map(Number)),
		reached,
		focus
	};
}

/** The needle map of some students: who is in it in which order, its first rows, and what its chosen cell follows from. */
export async function mapPage(database: Database, staff: Staff, school: School, students: RosterStudent[], url: URL) {
	const ids = students.map(({ id }) => id);
	const [domains, library, cells, groups, { window }] = await Promise.all([
		domainList(database, school.id),
		skillList(database, school.id),
		readCells(database, school.id, ids),
		currentGroups(database, staff, school.today),
		windowInView(database, school)
	]);
	const skills = library.map((skill) => ({ ...skill, place: cells.placeOf.get(skill.id)! }));
	const term = window?.term ?? 3;
	/** What the oldest here have been taught by now. */
	const reached = { grade: Math.max(1, ...students.map(({ grade }) => grade)), term };
	const choice = choiceIn(url, reached, new Set(groups.map(({ focusSkillId }) => focusSkillId)));
	const abilities = choice.order === 'level' ? await overallAbilities(database, ids) : new Map<number, number>();
	const view = viewMap(
		students.map((student) => ({
			...student,
			cells: cells.packed(student.id),
			ability: abilities.get(student.id) ?? null
		})),
		skills,
		choice
	);
	const chosen = ids.find((id) => id === idIn(url, 'student'));
	const skill = skills.find(({ id }) => id === idIn(url, 'cell'));
	return {
		domains,
		skills: skills.map(({ id, domainId, code, shortName, statement, grade, term: taughtIn, place }) => ({
			id,
			domainId,
			code,
			shortName,
			statement,
			grade,
			term: taughtIn,
			place
		})),
		/** All in scope, in the order of classes and names; of what is shown the order, the first rows and the skills. */
		inScope: ids,
		ids: view.students.map(({ id }) => id),
		rows: view.students.slice(0, FIRST_ROWS).map(mapRow),
		shownSkills: view.skills.map(({ id }) => id),
		choice: { skills: choice.skills, needles: choice.needles, order: choice.order },
		reached,
		classwide: classwideNeeds(students, skills, cells, term),
		evidence: chosen && skill ? await cellEvidence(database, chosen, skill, skills, school) : null
	};
}

/** More rows of the map, as it is scrolled to. */
export async function mapRows(database: Database, school: School, students: RosterStudent[]) {
	const cells = await readCells(
		database,
		school.id,
		students.map(({ id }) => id)
	);
	return students.map((student) => mapRow({ ...student, cells: cells.packed(student.id) }));
}

/** A row as it is sent: cells in base 64. */
const mapRow = ({ id, givenName, familyName, className, tier, cells }: RosterStudent & { cells: Uint8Array }) => ({
	id,
	givenName,
	familyName,
	className,
	tier,
	cells: Buffer.from(cells).toString('base64')
});

/** What a student's standing on a skill follows from: answers, what comes before, and where a gap begins. */
async function cellEvidence(database: Database, studentId: VisibleId, skill: Skill, skills: Skill[], school: School) {
	const [graph, standings] = await Promise.all([
		skillGraph(database, school.id, skills),
		readStandings(database, [studentId])
	]);
	const own = standings.get(studentId)!;
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
				on: schoolDateOf(answer.answeredAt, school.timeZone),
				kind: answer.kind,
				stemHtml: mathHtml(answer.item.stem),
				givenHtml:
					answer.paperForm && !answer.correct ? 'not right, on paper' : answerHtml(answer.item, answer.response),
				correct: answer.correct,
				notYet: answer.response === null && answer.paperForm === null,
				idea: answer.misconception ? (misconceptionById(answer.misconception)?.shows ?? null) : null,
				seconds: Math.round(answer.milliseconds / 1000)
			};
		})
	};
}
