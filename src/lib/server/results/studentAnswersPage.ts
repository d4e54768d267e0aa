import { misconceptionById } from '../../core/items';
import { SITTING_KINDS } from '../../core/measurement';
import { fullName } from '../../core/words';
import type { Database } from '../database';
import { itemsAsked, skillList } from '../library';
import type { RosterStudent } from '../people';
import { idIn, numberIn, oneIn, type Staff, undoesAll } from '../request';
import type { School } from '../school';
import { answerHtml, mathHtml } from '../sitting';
import type { TakenOut } from './resultFiles';
import { answeredSkills, responsesOf } from './store/responses';

/** Answers that are shown at once. */
const AT_ONCE = 50;

/** What is asked for of a student's answers by an address. */
function askedFrom(url: URL) {
	const judged = oneIn(url, 'judged', ['right', 'not right']);
	return {
		judged,
		skillId: idIn(url, 'skill'),
		isRight: judged === null ? null : judged === 'right',
		kind: oneIn(url, 'kind', SITTING_KINDS),
		sittingId: idIn(url, 'sitting')
	};
}

/** More answers of one student are not taken out at once: years of work. */
const MOST_TAKEN = 50_000;

/** What of a student's answers is taken out: all that are asked for by the address, the newest first. */
export async function studentAnswersTakenOut(database: Database, student: RosterStudent, url: URL): Promise<TakenOut> {
	const part = { from: 0, most: MOST_TAKEN };
	const { responses } = await responsesOf(database, student.id, askedFrom(url), part);
	return {
		title: `Answers of ${fullName(student)}`,
		of: { student: student.id },
		studentIds: [student.id],
		results: null,
		answers: responses.map((response) => ({ ...response, studentId: student.id }))
	};
}

/** What one student has answered, the newest first, narrowed by skill, by right or not, and by kind of work. */
export async function studentAnswersPage(
	database: Database,
	staff: Staff,
	school: School,
	student: RosterStudent,
	url: URL
) {
	const asked = askedFrom(url);
	const part = { from: numberIn(url, 'answers'), most: AT_ONCE };
	const [{ responses, total }, skills, answered] = await Promise.all([
		responsesOf(database, student.id, asked, part),
		skillList(database, school.id),
		answeredSkills(database, student.id)
	]);
	const skillOf = new Map(skills.map((skill) => [skill.id, skill]));
	return {
		asked,
		part: { ...part, total },
		/** Whether the person may accept another answer for all. */
		mayAccept: undoesAll(staff.role),
		skills: skills.filter(({ id }) => answered.has(id)).map(({ id, code, shortName }) => ({ id, code, shortName })),
		answers: (await itemsAsked(database, responses)).map(({ item, misconception, ...one }) => ({
			...{ id: one.id, kind: one.kind, attempt: one.attempt, correct: one.correct, hints: one.hints },
			...{ isAside: one.isAside, correctedFor: one.correctedFor },
			isNotYet: one.response === null,
			paperForm: one.paperForm,
			answeredAt: one.answeredAt,
			seconds: Math.round(one.milliseconds / 1_000),
			set: one.setId === null ? null : { id: one.setId, name: one.setName, question: one.position },
			skill: skillOf.get(one.skillId)?.shortName ?? 'a skill that is not taught here any more',
			stemHtml: mathHtml(item.stem),
			answerHtml: one.paperForm && !one.correct ? 'not right' : answerHtml(item, one.response),
			keyHtml: one.correct ? '' : answerHtml(item, item.key),
			shows: misconception === null ? '' : (misconceptionById(misconception)?.shows ?? misconception)
		}))
	};
}
