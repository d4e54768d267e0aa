import { seededRandom, seedFrom, type Random } from '../src/lib/core/random';
import { hashSecret } from '../src/lib/server/auth/passwords';
import { fill } from '../src/lib/server/database/seeding';
import type { RootDatabase } from '../src/lib/server/database/pool';
import type { VisibleId } from '../src/lib/server/request/viewer';
import type { SchoolDate } from '../src/lib/core/calendar';
import { classNames, familyNames, givenNames } from './names';
import { simulateStudent, type SimulatedStudent, type SkillLevel } from './simulatedStudent';

/** The demo's sign-ins: one password for all staff, one PIN for all students. */
export const DEMO_PASSWORD = 'tide-table-7';
export const DEMO_PIN = '2468';
export const SCHOOL_ID = 1;
export const SCHOOL_NAME = 'Saltmarsh Bridge School';
export const TIME_ZONE = 'America/New_York';
export const SEED = 20_260_817;
export const STUDENTS_A_CLASS = 22;

/** Account ids: the coordinator, those who run groups, and from 10 on the class teachers in order of their classes. */
export const SPECIALIST = 2;
export const GROUP_STAFF = [SPECIALIST, 3, 4];
export const teacherOf = (classId: number) => 9 + classId;

/** The skill that one class lacks as a whole, and which class. */
export const CLASSWIDE = { className: 'Phalarope', skillCode: 'W43' };

/** The demo school's students, as those who may see all of them have them. */
export const STUDENT_IDS = Array.from({ length: classNames.length * STUDENTS_A_CLASS }, (_, i) => (i + 1) as VisibleId);

export interface DemoStudent {
	id: VisibleId;
	grade: number;
	classId: number;
	className: string;
	/** What is known in truth; nothing but the simulation may look at it. */
	hidden: SimulatedStudent;
	/** This student's own chance, so that one student's life does not change another's. */
	draw: Random;
}

/** Two classes a grade, from grade 2. */
export const gradeOfClass = (classId: number) => 2 + Math.floor((classId - 1) / 2);

/** What students type to find their class: `AVOC31` for the first. */
export const classCodeOf = (classId: number) =>
	`${classNames[classId - 1].slice(0, 4).toUpperCase()}${31 + 7 * (classId - 1)}`;

/** All students with their hidden states at the start of the year. */
export function drawStudents(levels: SkillLevel[]): DemoStudent[] {
	return classNames.flatMap((className, c) =>
		Array.from({ length: STUDENTS_A_CLASS }, (_, n) => {
			const id = STUDENT_IDS[c * STUDENTS_A_CLASS + n];
			const grade = gradeOfClass(c + 1);
			const draw = seededRandom(seedFrom(SEED, 'student', id));
			const hidden = simulateStudent(draw, grade, levels, -0.25);
			return { id, grade, classId: c + 1, className, hidden, draw };
		})
	);
}

/** Writes staff, classes and students; everyone has been in class since the year's first day. */
export async function writePeople(
	database: RootDatabase,
	students: DemoStudent[],
	yearStart: SchoolDate
): Promise<void> {
	const [passwordHash, pinHash] = await Promise.all([hashSecret(DEMO_PASSWORD), hashSecret(DEMO_PIN)]);
	await fill(database, 'account', staffRows(passwordHash));
	await fill(
		database,
		'class',
		classNames.map((name, i) => ({
			id: i + 1,
			school_id: SCHOOL_ID,
			name,
			grade: gradeOfClass(i + 1),
			code: classCodeOf(i + 1)
		}))
	);
	await fill(
		database,
		'class_adult',
		classNames.map((_, i) => ({ class_id: i + 1, account_id: teacherOf(i + 1), from_on: yearStart }))
	);
	const names = drawNames(students.length);
	await fill(
		database,
		'student',
		students.map(({ id, grade }, i) => ({
			id,
			school_id: SCHOOL_ID,
			number: `S${10_000 + id}`,
			given_name: names[i][0],
			family_name: names[i][1],
			grade,
			pin_hash: pinHash
		}))
	);
	await fill(
		database,
		'class_membership',
		students.map(({ id, classId }) => ({ class_id: classId, student_id: id, from_on: yearStart }))
	);
	await fill(
		database,
		'student_attribute',
		students.flatMap((student) => attributesOf(student).map((attribute) => ({ student_id: student.id, ...attribute })))
	);
}

const HOME_LANGUAGES = ['Catalan', 'Tagalog', 'Wolof', 'Portuguese'];

/** What the roster says of some students: a home language, a plan, that they joined this year. */
function attributesOf({ id }: DemoStudent): { name: string; value: string }[] {
	const random = seededRandom(seedFrom(SEED, 'roster', id));
	return [
		{ name: 'Home language', value: random.chance(0.2) ? random.pick(HOME_LANGUAGES) : 'English' },
		...(random.chance(0.1) ? [{ name: 'Education plan', value: 'yes' }] : []),
		...(random.chance(0.06) ? [{ name: 'Joined', value: 'this year' }] : [])
	];
}

/** Given and family names of the school's students, in the order of their ids. */
export function drawNames(count: number): [string, string][] {
	const random = seededRandom(seedFrom(SEED, 'names'));
	const taken = new Map<string, [string, string]>();
	while (taken.size < count) {
		const name: [string, string] = [random.pick(givenNames), random.pick(familyNames)];
		taken.set(name.join(' '), name);
	}
	return [...taken.values()];
}

function staffRows(passwordHash: string) {
	const draw = seededRandom(seedFrom(SEED, 'staff'));
	const family = draw.shuffle(familyNames);
	const given = draw.shuffle(givenNames);
	const account = (id: number, role: string, userName: string) => ({
		id,
		school_id: SCHOOL_ID,
		role,
		user_name: userName,
		display_name: `${given[id]} ${family[id]}`,
		password_hash: passwordHash
	});
	return [
		account(1, 'coordinator', 'coordinator'),
		account(SPECIALIST, 'specialist', 'specialist'),
		account(3, 'interventionist', 'interventionist1'),
		account(4, 'interventionist', 'interventionist2'),
		...classNames.map((name, i) => account(teacherOf(i + 1), 'teacher', name.toLowerCase()))
	];
}
