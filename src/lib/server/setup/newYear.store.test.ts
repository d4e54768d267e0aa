import { oneSkillSet } from '../../../../tests/oneSkillSet';
import { afterAll, beforeEach, describe, expect, it } from 'vitest';
import {
	adopt,
	newGroup,
	newProbes,
	NOW,
	smallSchool,
	staffAs,
	type SmallSchool,
	TODAY,
	seenOne
} from '../../../../tests/smallSchool';
import { addDays } from '../../core/calendar';
import { assignChecks } from '../gaps/store/skillChecks';
import { findGroup } from '../groups/store/groups';
import { classBlocks } from '../groups/timetable/store/timetable';
import { addClasses, classesInSetup } from '../people/store/classes';
import { addStudents } from '../people/store/enrollment';
import { moveToClass, takeBackMoves } from '../people/store/moves';
import { rosterStudents } from '../people/store/roster';
import { assignSet } from '../practice/store/assigning';
import { planYear, schoolYears } from '../school/store/years';
import { refreshPlaces } from '../screen/store/places';
import { gradeAbilities } from '../screen/store/scores';
import { beginPractice } from '../sitting/store/practiceSittings';
import { fieldInputs, remakeFields } from '../standing/store/studentFields';
import { startProbes } from '../track/store/probes';
import { beginYear, type NewYear, takeYearBack } from './newYear';
import { newestYearBegun } from './store/yearsBegun';

const coordinator = staffAs('coordinator');
/** A day of the next summer's end, when the old year is over. */
const SUMMER = '2027-08-20';
const AT = new Date('2027-08-20T15:00:00Z');
const when = { today: SUMMER, at: AT };
const year: NewYear = {
	startsOn: '2027-08-23',
	endsOn: '2028-06-09',
	adults: 'along',
	classes: [
		{ classId: 1, becomes: { name: 'Avocet', grade: 5 } },
		{ classId: 2, becomes: null }
	]
};

let small: SmallSchool;
let count = 0;
const opened: SmallSchool[] = [];
beforeEach(async () => {
	small = await smallSchool(`new_year_${count++}`);
	opened.push(small);
});
afterAll(() => Promise.all(opened.map(({ database }) => database.close())));

const begin = (change: Partial<NewYear> = {}, at = when) =>
	beginYear(small.database, coordinator, { ...year, ...change }, at);
/** Begins the year; its id. */
async function begun(change: Partial<NewYear> = {}): Promise<number> {
	const done = await begin(change);
	if ('not' in done) throw new Error(JSON.stringify(done.not));
	return done.id;
}
const back = (id: number) => takeYearBack(small.database, coordinator, id, when);
const roster = (today: string) => rosterStudents(small.database, { staff: coordinator, today });
/** Every row that a new year may change, but for who did what when. */
async function everything() {
	const tables = [
		['class', 'name, grade, code, ended_on'],
		['class_membership', 'class_id, student_id, from_on, until_on'],
		['class_adult', 'class_id, account_id, from_on, until_on'],
		['class_block', 'class_id, kind, starts_at'],
		['student', 'grade'],
		['former_grade', 'student_id, until_on, grade'],
		['school_year', 'starts_on, ends_on'],
		['small_group', 'ends_on'],
		['group_membership', 'student_id, until_on'],
		['review', 'student_id, due_on'],
		['probe_plan', 'student_id, ended_on'],
		['practice_set_student', 'set_id, student_id'],
		['skill_check', 'student_id, withdrawn_at'],
		['student_summary', 'student_id, probes_until', 'probes_until >= CURDATE()']
	];
	return Object.fromEntries(
		await Promise.all(
			tables.map(async ([table, columns, where = '1']) => [
				table,
				(await small.database.rows<object>(`SELECT ${columns} FROM ${table} WHERE ${where}`))
					.map((row) => JSON.stringify(row))
					.sort()
			])
		)
	);
}
/** A group under way, a set nobody has begun, probes, and a check. */
async function work() {
	const { database, skills } = small;
	const { ids } = await adopt(small, newGroup(small, { startsOn: '2026-11-23', endsOn: '2027-09-30' }));
	const set = {
		skillId: skills[0].id,
		groupId: null,
		itemCount: 5,
		opensOn: TODAY,
		dueOn: addDays(TODAY, 7),
		studentIds: [1, 5]
	};
	const setId = await assignSet(database, coordinator, oneSkillSet(set), NOW);
	const plan = { studentIds: [1], skillId: skills[0].id, groupId: ids[0], startsOn: TODAY, goalOn: '2027-10-01' };
	await startProbes(database, coordinator, newProbes(plan), NOW);
	await assignChecks(database, coordinator, [{ studentId: 2, skillIds: [skills[1].id] }], addDays(TODAY, 7), NOW);
	return { groupId: ids[0], setId };
}

describe('a new year', () => {
	it('takes classes and grades along from its first day on, and lets the last grade go', async () => {
		await begun();
		const [yesterday, today] = [await roster(addDays(SUMMER, -1)), await roster(SUMMER)];
		expect(yesterday).toHaveLength(8);
		expect(today.map(({ id, className, grade }) => [id, className, grade])).toEqual(
			[1, 2, 3, 4].map((id) => [id, 'Avocet', 5])
		);
		expect(today[0].classId).not.toBe(1);
		const classes = await classesInSetup(small.database, coordinator, SUMMER);
		expect(classes.map(({ name, grade, endedOn }) => [name, grade, endedOn])).toEqual([
			['Avocet', 5, null],
			['Avocet', 4, SUMMER],
			['Curlew', 4, SUMMER]
		]);
		expect((await schoolYears(small.database, 1))[0]).toMatchObject({ startsOn: '2027-08-23' });
	});

	it('ends groups and what waits for students, and is taken back as a whole', async () => {
		const { groupId } = await work();
		const before = await everything();
		const id = await begun();
		expect((await findGroup(small.database, coordinator, groupId, SUMMER))!.endsOn).toBe(addDays(SUMMER, -1));
		const after = await everything();
		expect([after.review, after.practice_set_student]).toEqual([[], []]);
		expect(after.probe_plan).toEqual([`{"student_id":1,"ended_on":"${SUMMER}"}`]);
		expect(after.skill_check[0]).not.toContain('null');
		expect(await back(id)).toBe('done');
		expect(await everything()).toEqual(before);
		expect(await newestYearBegun(small.database, 1)).toBeNull();
		expect(await back(id)).toBe('gone');
	});

	it('leaves a set that is begun, so that it can be finished', async () => {
		const { setId } = await work();
		const { skills } = small;
		const set = { id: setId, skillCode: skills[0].code, itemCount: 5, firstSeed: 1 };
		await beginPractice(small.database, seenOne(1), set, skills, NOW);
		await begun();
		expect((await everything()).practice_set_student).toEqual([`{"set_id":${setId},"student_id":1}`]);
	});

	it('lets adults and times go along, stay with the name, or neither', async () => {
		const swap = {
			classes: [
				{ classId: 1, becomes: { name: 'Curlew', grade: 5 } },
				{ classId: 2, becomes: { name: 'Avocet', grade: 5 } }
			]
		};
		const settled = async () => {
			const classes = (await classesInSetup(small.database, coordinator, SUMMER)).filter(({ endedOn }) => !endedOn);
			const blocks = await classBlocks(small.database, 1);
			return classes.map(({ id, name, adults }) => [
				name,
				adults.map((adult) => adult.id),
				blocks.filter(({ classId }) => classId === id).map(({ startsAt }) => startsAt)
			]);
		};
		const along = await begun({ ...swap, adults: 'along' });
		expect(await settled()).toEqual([
			['Avocet', [11], ['10:15']],
			['Curlew', [10], []]
		]);
		expect(await back(along)).toBe('done');
		const byName = await begun({ ...swap, adults: 'with the name' });
		expect(await settled()).toEqual([
			['Avocet', [10], []],
			['Curlew', [11], ['10:15']]
		]);
		expect(await back(byName)).toBe('done');
		await begun({ ...swap, adults: 'nobody' });
		expect((await settled()).map(([, adults]) => adults)).toEqual([[], []]);
	});

	it('is begun once: who sends it again changes nothing', async () => {
		await begun();
		const before = await everything();
		const [{ id }] = await classesInSetup(small.database, coordinator, SUMMER);
		const again = [{ classId: id, becomes: { name: 'Avocet', grade: 6 } }];
		expect(await begin({ classes: again })).toEqual({ not: 'begun already' });
		expect(await everything()).toEqual(before);
	});

	it('joins classes of one name and grade', async () => {
		const same = { name: 'Tern', grade: 5 };
		await begun({ classes: [1, 2].map((classId) => ({ classId, becomes: same })) });
		expect(new Set((await roster(SUMMER)).map(({ className }) => className))).toEqual(new Set(['Tern']));
		expect(await roster(SUMMER)).toHaveLength(8);
	});

	it('does not begin while something stands in the way, and changes nothing then', async () => {
		await planYear(
			small.database,
			coordinator,
			null,
			{ startsOn: '2026-08-20', endsOn: '2027-08-25', winterOn: null, springOn: null },
			NOW
		);
		const before = await everything();
		expect(await begin()).toEqual({ not: { runs: expect.objectContaining({ endsOn: '2027-08-25' }) } });
		const later = { today: '2027-08-26', at: AT };
		expect(await begin({ classes: year.classes.slice(0, 1) }, later)).toEqual({ not: 'changed' });
		const clash = [
			{ classId: 1, becomes: { name: 'Tern', grade: 5 } },
			{ classId: 2, becomes: { name: 'Tern', grade: 6 } }
		];
		expect(await begin({ classes: clash }, later)).toEqual({ not: { taken: 'Tern' } });
		expect(await everything()).toEqual(before);
		const on = { from: '2027-09-01', at: AT };
		const leaves = await moveToClass(small.database, coordinator, [1], null, on);
		expect(await begin({}, later)).toEqual({ not: 'planned later' });
		await takeBackMoves(small.database, coordinator, leaves, AT);
		await moveToClass(small.database, coordinator, [1], 2, on);
		expect(await begin({}, later)).toEqual({ not: 'planned later' });
	});

	it('cannot be taken back once a student works, or the new classes are in use', async () => {
		const { setId } = await work();
		const first = await begun();
		const [{ id: classId }] = await classesInSetup(small.database, coordinator, SUMMER);
		const record = {
			givenName: 'New',
			familyName: 'One',
			preferredName: null,
			number: null,
			grade: 5,
			birthDate: null
		};
		await addStudents(small.database, coordinator, [{ ...record, classId }], { from: SUMMER, at: AT });
		const before = await everything();
		expect(await back(first)).toBe('built on');
		expect(await everything()).toEqual(before);
		const { skills } = small;
		const set = { id: setId, skillCode: skills[0].code, itemCount: 5, firstSeed: 1 };
		await small.database.run('INSERT INTO practice_set_student (set_id, student_id) VALUES (?, 1)', [setId]);
		await beginPractice(small.database, seenOne(1), set, skills, AT);
		expect(await back(first)).toBe('worked');
	});

	it('takes nobody’s of another school along', async () => {
		await begun();
		const other = { ...staffAs('coordinator', 20), schoolId: 2 };
		const [there] = await rosterStudents(small.database, { staff: other, today: SUMMER });
		expect([there.id, there.grade, there.classId]).toEqual([9, 4, 3]);
	});
});

describe('grades of the past', () => {
	/** A score in the autumn window of the fourth grade. */
	const score = (studentId: number) =>
		small.database.run(
			`INSERT INTO score (student_id, window_id, source, domain_id, theta, standard_error, taken_on)
			VALUES (?, 1, 'elsewhere', 0, 0.2, 0.3, '2026-09-25')`,
			[studentId]
		);

	it('stay with the windows and scores of then, whatever is made anew', async () => {
		await score(1);
		await refreshPlaces(small.database, 1, [1]);
		await remakeFields(small.database, [1]);
		const place = () => small.database.row('SELECT grade FROM window_place WHERE window_id = 1 AND student_id = 1');
		const before = await fieldInputs(small.database, 1);
		expect(await place()).toEqual({ grade: 4 });
		await begun();
		await refreshPlaces(small.database, 1, [1]);
		expect(await place()).toEqual({ grade: 4 });
		expect((await fieldInputs(small.database, 1)).prior).toEqual(before.prior);
		expect([
			(await gradeAbilities(small.database, 1, 1, 4)).length,
			(await gradeAbilities(small.database, 1, 1, 5)).length
		]).toEqual([1, 0]);
	});

	it('are the new ones for who has done nothing yet', async () => {
		const before = await fieldInputs(small.database, 1);
		await begun();
		const after = await fieldInputs(small.database, 1);
		expect(after.prior.mean).toBeGreaterThan(before.prior.mean);
	});

	it('are found through several years', async () => {
		await begun();
		const made = await addClasses(small.database, coordinator, [{ name: 'Knot', grade: 5 }], AT);
		expect(made).toHaveProperty('ids');
		const classes = (await classesInSetup(small.database, coordinator, '2028-08-20')).filter(({ endedOn }) => !endedOn);
		const next = classes.map(({ id, name, grade }) => ({ classId: id, becomes: { name, grade: grade + 1 } }));
		const done = await beginYear(
			small.database,
			coordinator,
			{ startsOn: '2028-08-21', endsOn: '2029-06-08', adults: 'along', classes: next },
			{ today: '2028-08-20', at: new Date('2028-08-20T15:00:00Z') }
		);
		expect(done).toHaveProperty('id');
		const rows = await small.database.rows(
			'SELECT until_on AS untilOn, grade FROM former_grade WHERE student_id = 1 ORDER BY until_on'
		);
		expect(rows).toEqual([
			{ untilOn: SUMMER, grade: 4 },
			{ untilOn: '2028-08-20', grade: 5 }
		]);
		await score(1);
		await refreshPlaces(small.database, 1, [1]);
		const place = await small.database.row('SELECT grade FROM window_place WHERE window_id = 1 AND student_id = 1');
		expect(place).toEqual({ grade: 4 });
	});
});
