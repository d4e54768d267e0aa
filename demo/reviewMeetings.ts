import { addDays, type SchoolDate } from '../src/lib/core/calendar';
import type { Advice, Verdict } from '../src/lib/core/growth';
import type { RootDatabase } from '../src/lib/server/database/pool';
import { fill } from '../src/lib/server/database/seeding';
import { atHour } from './answerLog';
import { GROUP_STAFF, SCHOOL_ID, SPECIALIST, teacherOf, type DemoStudent } from './people';
import type { DemoYear } from './timetable';

const COORDINATOR = 1;

interface Held {
	/** Students in groups of this cycle. */
	members: { groupId: number; student: DemoStudent }[];
	/** All others. */
	others: DemoStudent[];
	/** The one whose plan was changed once, two weeks ago. */
	needsMore: number;
	/** Whose weeks are told. */
	toldOf: Set<number>;
	year: DemoYear;
	today: SchoolDate;
}

/** What was decided at the end of the first cycle, and of how many it was. */
const FIRST_CYCLE: { verdict: Verdict; advice: Advice; tier: 1 | 2; against?: string; stayed: boolean }[] = [
	...Array.from({ length: 7 }, () => ({ verdict: 'exit', advice: 'exit', tier: 1, stayed: false }) as const),
	{ verdict: 'exit', advice: 'fade', tier: 1, against: 'The class teacher goes on with it daily.', stayed: false },
	...Array.from({ length: 5 }, () => ({ verdict: 'continue', advice: 'continue', tier: 2, stayed: true }) as const),
	...Array.from({ length: 3 }, () => ({ verdict: 'adjust', advice: 'adjust', tier: 2, stayed: true }) as const),
	{
		...{ verdict: 'continue', advice: 'adjust', tier: 2, stayed: true },
		against: 'Two weeks of the cycle fell to illness.'
	}
];

/** The review meetings of the year: at the end of the first cycle, two weeks ago, and today's, with its agenda. */
export async function holdMeetings(database: RootDatabase, held: Held): Promise<void> {
	const { year, today } = held;
	const meetings = [addDays(year.cycleStart, -4), addDays(today, -14), today];
	await fill(
		database,
		'review_meeting',
		meetings.map((on_date, i) => ({
			id: i + 1,
			school_id: SCHOOL_ID,
			on_date,
			note: ['End of cycle 1', 'Mid-cycle look', 'Week 5 of cycle 2, library'][i],
			planned_by: SPECIALIST,
			planned_at: atHour(addDays(on_date, -7), 9)
		}))
	);
	await fill(
		database,
		'review_meeting_adult',
		meetings.flatMap((_, i) =>
			[COORDINATOR, ...GROUP_STAFF].map((account_id) => ({
				meeting_id: i + 1,
				account_id,
				was_there: i > 0 || account_id !== COORDINATOR
			}))
		)
	);
	await firstCycle(database, held, meetings[0]);
	await adjustedOnce(database, held, meetings[1]);
	const due = ({ student }: Held['members'][number], i: number) => held.toldOf.has(student.id) || i % 9 === 4;
	await fill(
		database,
		'review',
		held.members.map((member, i) => ({
			student_id: member.student.id,
			group_id: member.groupId,
			due_on: due(member, i) ? today : addDays(year.cycleEnd, -4 + (i % 3)),
			meeting_id: due(member, i) ? 3 : null,
			place: i + 1
		}))
	);
}

/** Who was in tier 2 in the first cycle, of whose groups nothing is kept, and what was decided at its end. */
async function firstCycle(database: RootDatabase, { members, others, year }: Held, on: SchoolDate): Promise<void> {
	const stayed = members.map(({ student }) => student).filter((_, i) => i % 3 === 0);
	const left = others.filter((_, i) => i % 9 === 2);
	const reviewed = FIRST_CYCLE.flatMap((decided) => {
		const student = (decided.stayed ? stayed : left).shift();
		return student ? [{ student, ...decided }] : [];
	});
	await fill(
		database,
		'review',
		reviewed.map(({ student, verdict, advice, tier, against = '' }, i) => ({
			id: i + 1,
			student_id: student.id,
			group_id: null,
			due_on: on,
			meeting_id: 1,
			place: i + 1,
			verdict,
			advice,
			reasons: '[]',
			against,
			effective_on: year.cycleStart,
			new_tier: tier,
			decided_by: SPECIALIST,
			decided_at: atHour(on, 14)
		}))
	);
	await fill(
		database,
		'tier_interval',
		reviewed.map(({ student }) => ({
			student_id: student.id,
			tier: 2,
			from_on: addDays(year.startsOn, 14),
			until_on: year.cycleStart
		}))
	);
}

/** Whoever needs more has had one change of the plan, two weeks ago; what was agreed then is done in part. */
async function adjustedOnce(
	database: RootDatabase,
	{ members, needsMore, today }: Held,
	on: SchoolDate
): Promise<void> {
	const { groupId, student } = members.find((member) => member.student.id === needsMore)!;
	const review = FIRST_CYCLE.length + 1;
	await fill(database, 'review', [
		{
			id: review,
			student_id: student.id,
			group_id: groupId,
			due_on: on,
			meeting_id: 2,
			place: 1,
			verdict: 'adjust',
			advice: 'not enough yet',
			reasons: '[]',
			against: 'Everybody at the table saw it in the sessions.',
			plan_change: 'smaller steps',
			note: 'Said aloud before it is written.',
			family_told: 'We are trying smaller steps, and will tell you in two weeks how that goes.',
			effective_on: on,
			new_tier: 2,
			decided_by: SPECIALIST,
			decided_at: atHour(on, 14)
		}
	]);
	await fill(database, 'review_task', [
		{
			review_id: review,
			student_id: student.id,
			account_id: teacherOf(student.classId),
			what: 'Let the student explain one problem aloud each day',
			due_on: addDays(on, 10),
			done_at: atHour(addDays(on, 9), 15)
		},
		{
			review_id: review,
			student_id: student.id,
			account_id: SPECIALIST,
			what: 'Sit in on a session and note where the steps are too large',
			due_on: addDays(today, 2),
			done_at: null
		}
	]);
}
