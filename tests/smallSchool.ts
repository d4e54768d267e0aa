import { randomUUID } from 'node:crypto';
import { inject } from 'vitest';
import { shippedFramework } from '../framework/shipped';
import { addDays } from '../src/lib/core/calendar';
import { type Item } from '../src/lib/core/items';
import { itemFrom } from '../src/lib/core/items/bank';
import { openDatabase, type RootDatabase } from '../src/lib/server/database/pool';
import { adoptGroups, type NewGroup } from '../src/lib/server/groups/store/adoptions';
import { storeAnswers, type IncomingAnswer, type Stored } from '../src/lib/server/sitting/store/answers';
import { fill } from '../src/lib/server/database/seeding';
import type { School } from '../src/lib/server/school/store/school';
import { shipFramework } from '../src/lib/server/library/store/frameworks';
import { openItem } from '../src/lib/server/sitting/store/sittings';
import { skillList, type Skill } from '../src/lib/server/library/store/skills';
import type { Role, Staff, VisibleId } from '../src/lib/server/request/viewer';

export const TODAY = '2026-11-23';
/** School on every weekday. */
export const WEEKDAYS = { schoolDays: [1, 2, 3, 4, 5], off: [] };
export const NOW = new Date('2026-11-23T15:00:00Z');

export const staffAs = (
	role: Role,
	id = { coordinator: 1, specialist: 2, interventionist: 3, teacher: 10 }[role]
): Staff => ({
	kind: 'staff',
	id,
	schoolId: 1,
	role,
	displayName: role
});

/** Students as those who may see them have them. */
export const seen = (...ids: number[]) => ids as VisibleId[];
export const seenOne = (id: number) => id as VisibleId;

/** Where a database of the tests' server is. @param url of any of them */
export const addressOf = (url: string, name: string) =>
	Object.assign(new URL(url), { pathname: `/orderly_compass_${name}` }).href;

/** A database in whose transactions every statement fails that has these words in it. */
export const failingAt = (database: RootDatabase, words: string): RootDatabase => ({
	...database,
	transaction: (work) =>
		database.transaction((transaction) =>
			work({
				...transaction,
				run: (sql, values) =>
					sql.includes(words) ? Promise.reject(new Error(`fails at ${words}`)) : transaction.run(sql, values)
			})
		)
});

/** A new, empty database on the tests' server, open for who makes its tables. */
export async function emptyDatabase(name: string): Promise<RootDatabase> {
	const first = openDatabase(inject('ownerUrl'), 1);
	await first.run(`CREATE OR REPLACE DATABASE orderly_compass_${name}`);
	await first.close();
	return openDatabase(addressOf(inject('ownerUrl'), name));
}

/** A new database with its tables, open for who made them. */
export async function ownDatabase(name: string): Promise<RootDatabase> {
	const owned = await emptyDatabase(name);
	await owned.transaction(async (connection) => {
		await connection.run('ALTER DATABASE CHARACTER SET utf8mb4 COLLATE utf8mb4_uca1400_ai_ci');
		// Tables come in no order of theirs.
		await connection.run('SET foreign_key_checks = 0');
		for (const statement of inject('shape')) await connection.run(statement);
		await connection.run('SET foreign_key_checks = 1');
	});
	return owned;
}

/** A new database with its tables, open as for the app: it can read and write rows and do nothing else. */
export async function migratedDatabase(name: string): Promise<RootDatabase> {
	await (await ownDatabase(name)).close();
	return openDatabase(addressOf(inject('databaseUrl'), name));
}

export interface SmallSchool {
	database: RootDatabase;
	school: School;
	skills: Skill[];
	/** Stores one answer; what became of it. */
	answer(studentId: number, sittingId: number, answer: Partial<IncomingAnswer>): Promise<Stored>;
	/** Answers a whole sitting, or so many questions of it, right or wrong item by item. */
	answerAll(
		studentId: number,
		sittingId: number,
		right: (position: number, item: Item) => boolean,
		milliseconds?: number,
		at?: Date,
		most?: number
	): Promise<void>;
}

/**
 * Two classes of grade 4 with four students each (1–4 with teacher 10, 5–8 with teacher 11), and a student 9 of another
 * school; a screening window that is open, a cycle in week 5, and two meeting times, one of them for the first class.
 */
export async function smallSchool(name: string): Promise<SmallSchool> {
	return fillSmallSchool(await migratedDatabase(name));
}

/** The same in a database that is migrated and empty. */
export async function fillSmallSchool(database: RootDatabase): Promise<SmallSchool> {
	await shipFramework(database, shippedFramework());
	const staff = (id: number, role: Role, school_id = 1) => ({
		id,
		school_id,
		role,
		user_name: `user${id}`,
		display_name: `Staff ${id}`,
		password_hash: 'none'
	});
	const schools = [1, 2].map((id) => ({ id, name: `School ${id}`, time_zone: 'America/New_York' }));
	await fill(database, 'school', schools);
	await fill(database, 'account', [
		staff(1, 'coordinator'),
		staff(2, 'specialist'),
		staff(3, 'interventionist'),
		staff(10, 'teacher'),
		staff(11, 'teacher'),
		staff(20, 'specialist', 2)
	]);
	await fill(database, 'class', [
		{ id: 1, school_id: 1, name: 'Avocet', grade: 4, code: 'AVO1' },
		{ id: 2, school_id: 1, name: 'Curlew', grade: 4, code: 'CUR2' },
		{ id: 3, school_id: 2, name: 'Dunlin', grade: 4, code: 'DUN3' }
	]);
	await fill(
		database,
		'class_adult',
		[1, 2].map((class_id) => ({ class_id, account_id: 9 + class_id, from_on: '2026-08-20' }))
	);
	const classOf = (id: number) => (id === 9 ? 3 : id <= 4 ? 1 : 2);
	const ids = [1, 2, 3, 4, 5, 6, 7, 8, 9];
	await fill(
		database,
		'student',
		ids.map((id) => ({
			id,
			school_id: id === 9 ? 2 : 1,
			number: `S${id}`,
			given_name: `Given${id}`,
			family_name: `Family${id}`,
			grade: 4,
			pin_hash: 'none'
		}))
	);
	await fill(
		database,
		'class_membership',
		ids.map((id) => ({ class_id: classOf(id), student_id: id, from_on: '2026-08-20' }))
	);
	await fill(database, 'cycle', [{ id: 1, school_id: 1, number: 2, starts_on: '2026-10-26', weeks: 8 }]);
	const form = { school_id: 1, subject: 'Mathematics', mode: 'fixed form' };
	await fill(database, 'screening_window', [
		{ ...form, id: 1, name: 'Autumn', term: 1, opens_on: '2026-09-21', closes_on: '2026-10-09' },
		{ ...form, id: 2, name: 'Winter', term: 2, opens_on: '2026-11-16', closes_on: '2026-12-04' }
	]);
	await fill(
		database,
		'window_class',
		[1, 2].flatMap((window_id) => [1, 2].map((class_id) => ({ window_id, class_id })))
	);
	await fill(database, 'slot', [
		{ id: 1, staff_id: 2, days: 0b10101, starts_at: '09:00', minutes: 30, room: 'Gull' },
		{ id: 2, staff_id: 3, days: 0b01010, starts_at: '10:05', minutes: 30, room: 'Tern', tier: 3 }
	]);
	// The second class has its lunch when the second slot meets.
	await fill(database, 'class_block', [{ class_id: 2, kind: 'lunch', days: 0b11111, starts_at: '10:15', minutes: 40 }]);
	const skills = await skillList(database, 1);
	const school: School = {
		id: 1,
		name: 'School 1',
		timeZone: 'America/New_York',
		today: TODAY,
		minute: 600,
		calendar: WEEKDAYS
	};

	const submit = (studentId: number, sittingId: number, answers: Partial<IncomingAnswer>[], at = NOW) =>
		storeAnswers(
			database,
			answers.map((one) => ({
				id: randomUUID(),
				position: 0,
				attempt: 1,
				response: '1',
				milliseconds: 9_000,
				answeredAt: at.toISOString(),
				...one,
				studentId,
				sittingId,
				timeZone: school.timeZone,
				receivedAt: at
			}))
		);
	return {
		database,
		school,
		skills,
		answer: async (studentId, sittingId, answer) => (await submit(studentId, sittingId, [answer]))[0],
		async answerAll(studentId, sittingId, right, milliseconds = 9_000, at = NOW, most = Infinity) {
			let given = 0;
			// One by one, as an adaptive sitting has its next question only once the last is answered.
			for (let next; given++ < most && (next = await openItem(database, sittingId));) {
				const { position, familyId, seed } = next;
				const item = itemFrom(familyId, seed);
				const wrong =
					item.expectedErrors[0]?.answer ??
					(item.response.kind === 'choice' ? (Number(item.key) + 1) % item.response.options.length : '99999');
				const response = right(position, item) ? item.key : wrong;
				const [became] = await submit(studentId, sittingId, [{ position, response, milliseconds }], at);
				if (became !== 'stored') throw new Error(`An answer to question ${position} is ${became}`);
			}
		}
	};
}

/** A group of tier 2 on the first skill, at the first meeting time, from today; `change` says what is different. */
export const newGroup = ({ skills }: SmallSchool, change: Partial<NewGroup> = {}): NewGroup => ({
	name: 'Rounding',
	kind: 'same need',
	tier: 2,
	focusSkillId: skills[0].id,
	slotId: 1,
	startsOn: TODAY,
	endsOn: addDays(TODAY, 27),
	studentIds: [1, 2, 3],
	helperIds: [],
	reviewOn: addDays(TODAY, 24),
	...change
});

/** Adopts groups whose meeting times are free. @returns their ids, and that of the adoption */
export async function adopt({ database }: SmallSchool, ...groups: NewGroup[]): Promise<{ id: number; ids: number[] }> {
	const adopted = await adoptGroups(
		database,
		staffAs('specialist'),
		{ groups, ends: [], draftId: null, reason: '' },
		NOW
	);
	if ('takenSlotId' in adopted) throw new Error(`Meeting time ${adopted.takenSlotId} is taken`);
	return adopted;
}

/** Takes all groups out, with everything that rests on them. */
export async function clearGroups({ database }: SmallSchool): Promise<void> {
	for (const table of [
		'student_note',
		'attendance',
		'group_meeting',
		'group_change',
		'group_focus',
		'group_pause',
		'review',
		'group_membership',
		'small_group'
	])
		await database.run(`DELETE FROM ${table}`);
}

/** Weekly probes of sixteen for students, as `startProbes` takes them. */
export const newProbes = ({
	studentIds,
	...plan
}: {
	studentIds: number[];
	skillId: number;
	groupId: number | null;
	startsOn: string;
	goalOn: string;
}) => ({
	students: studentIds.map((id) => ({ id, goalCorrect: 14, questions: 16, ofFocus: 10, aWeek: 1 })),
	onDay: null,
	...plan
});
