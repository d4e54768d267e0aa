import { addDays, weekday, type SchoolDate } from '../src/lib/core/calendar';
import { FIRST_PRACTICE_SEED } from '../src/lib/core/items';
import { itemsForSkill } from '../src/lib/core/items/bank';
import { type FollowRule, seedsOf, USUAL_FOLLOW } from '../src/lib/core/practice';
import type { RootDatabase } from '../src/lib/server/database/pool';
import { fill } from '../src/lib/server/database/seeding';
import { atHour, type AnswerLog } from './answerLog';
import { SCHOOL_ID, type DemoStudent } from './people';

type Row = Record<string, unknown>;

interface DemoSet {
	skillCode: string;
	itemCount: number;
	opensOn: SchoolDate;
	dueOn: SchoolDate;
	createdBy: number;
	groupId: number | null;
	students: DemoStudent[];
	/** What follows above the line and below it; word to who assigned it where nothing is said. */
	rule?: Partial<FollowRule>;
	/** How far each got. */
	finishes: (student: DemoStudent, index: number) => 'done' | 'half' | 'not';
}

/** Collects practice sets and lets their students work them on a school day before they are due. */
export class PracticeLog {
	private sets: Row[] = [];
	private skills: Row[] = [];
	private members: Row[] = [];
	private lastId = 0;
	private readonly nextSeed = new Map<string, number>();

	constructor(
		private readonly log: AnswerLog,
		private readonly skillIds: Map<string, number>,
		private readonly today: SchoolDate
	) {}

	assign({ skillCode, itemCount, opensOn, dueOn, createdBy, groupId, students, finishes, rule }: DemoSet): void {
		const id = ++this.lastId;
		const firstSeed = this.nextSeed.get(skillCode) ?? FIRST_PRACTICE_SEED;
		const skill = { practice: itemCount, checks: 0 };
		this.nextSeed.set(skillCode, firstSeed + seedsOf(skill));
		this.sets.push({
			id,
			school_id: SCHOOL_ID,
			group_id: groupId,
			item_count: itemCount,
			opens_on: opensOn,
			due_on: dueOn,
			above: rule?.above ?? USUAL_FOLLOW.above,
			below: rule?.below ?? USUAL_FOLLOW.below,
			created_by: createdBy,
			created_at: atHour(opensOn, 8)
		});
		this.skills.push({
			set_id: id,
			skill_id: this.skillIds.get(skillCode),
			number: 0,
			first_seed: firstSeed,
			seeds: seedsOf(skill),
			practice_count: itemCount
		});
		const items = itemsForSkill(skillCode, itemCount, firstSeed);
		const days = [4, 3, 2, 1, 0]
			.map((back) => addDays(dueOn, -back))
			.filter((day) => day >= opensOn && day <= this.today && weekday(day) <= 5);
		students.forEach((student, i) => {
			this.members.push({ set_id: id, student_id: student.id });
			const finish = finishes(student, i);
			const from = atHour(days.length ? student.draw.pick(days) : opensOn, student.draw.integer(9, 14));
			if (finish === 'not') return;
			const upTo = finish === 'half' ? Math.floor(itemCount / 2) : itemCount;
			this.log.sit(student, { kind: 'practice', origin: { set_id: id }, items, from, upTo });
		});
	}

	async write(database: RootDatabase): Promise<void> {
		await fill(database, 'practice_set', this.sets);
		await fill(database, 'practice_set_skill', this.skills);
		await fill(database, 'practice_set_student', this.members);
		this.sets = [];
		this.skills = [];
		this.members = [];
	}
}
