import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { recordsIn, rowOf, setCell, type RosterFiles } from '../../../../tests/rosterPackage';
import { NOW, smallSchool, staffAs, TODAY, type SmallSchool } from '../../../../tests/smallSchool';
import { addDays } from '../../core/calendar';
import { writeOneRoster } from '../../core/interchange/oneRoster/writeOneRoster';
import {
	addRosterRun,
	recordsInForce,
	rosterRules,
	rosterRuns,
	setRosterRules
} from '../people/rosters/store/rosterRuns';
import { schoolNow } from '../people/rosters/store/schoolNow';
import { NO_ACCOMMODATION, setAccommodations } from '../people/store/accommodations';
import { addClasses } from '../people/store/classes';
import { rosterStudents } from '../people/store/roster';
import { applyRoster, planRun, takeBackRoster } from './applyRoster';

let small: SmallSchool;
const coordinator = staffAs('coordinator');
const when = { today: TODAY, at: NOW };
/** Nothing stays of a roster that was taken back. */
const WHOLE = { stay: [], ended: [] };
const now = () => schoolNow(small.database, 1, TODAY);

beforeAll(async () => {
	small = await smallSchool('rosters');
});
afterAll(() => small.database.close());

/** The school as a roster has it, with what is changed in it. */
async function changed(change: (files: RosterFiles, org: string) => void = () => {}) {
	const school = await now();
	const year = { startsOn: addDays(TODAY, -90), endsOn: addDays(TODAY, 200) };
	const { sourcedId, name } = school;
	const files = writeOneRoster(school, { sourcedId, name, homeClasses: 'homeroom', year }) as RosterFiles;
	const org = school.sourcedId ?? school.key;
	change(files, org);
	return recordsIn(files, org);
}

/** Brings a roster, and applies it. @returns the run and what it did */
async function bring(records: Awaited<ReturnType<typeof changed>>) {
	const run = await addRosterRun(
		small.database,
		coordinator,
		{ fileName: 'roster.zip', systemName: 'Harbor Office', isDelta: false, records },
		NOW
	);
	const plan = (await planRun(small.database, 1, run, TODAY))!;
	return {
		run,
		plan,
		applied: await applyRoster(small.database, coordinator, run, { key: plan.key, isSure: true }, when)
	};
}

/** Who is in which class on a day, by name. */
const placesOn = async (today: string) =>
	Object.fromEntries(
		(await rosterStudents(small.database, { staff: coordinator, today })).map(
			({ givenName, familyName, className }) => [`${givenName} ${familyName}`, className]
		)
	);

/**
 * A roster in which one student joins, one marries, one moves, one leaves, and a class is new with its teacher, and a
 * section with two students.
 */
function aTermLater(files: RosterFiles, org: string, school: Awaited<ReturnType<typeof now>>) {
	const is = ({ id, sourcedId }: { id: number; sourcedId: string | null }) =>
		sourcedId ?? `${school.key}-student-${id}`;
	const [first, second, third] = school.students.filter(({ classId }) => classId === 1);
	const inClassOf = (one: typeof first) => files.enrollments.find((row) => row.includes(is(one)))!;
	const session = files.academicSessions[1][0];
	files.classes.push(
		rowOf(files.classes, {
			sourcedId: 'c-new',
			title: 'Dunlin',
			grades: '05',
			courseSourcedId: files.courses[1][0],
			classType: 'homeroom',
			schoolSourcedId: org,
			termSourcedIds: session
		})
	);
	const lab = { title: 'Lab', classType: 'scheduled', schoolSourcedId: org, termSourcedIds: session };
	files.courses.push(rowOf(files.courses, { sourcedId: 'math', title: 'Mathematics' }));
	files.classes.push(rowOf(files.classes, { sourcedId: 'm-new', courseSourcedId: 'math', ...lab }));
	for (const user of [is(first), 's-new'])
		files.enrollments.push(
			rowOf(files.enrollments, {
				...{ sourcedId: `m-${user}`, classSourcedId: 'm-new', userSourcedId: user, role: 'student' }
			})
		);
	setCell(files.users, is(first), 'familyName', 'Marsh-Vale');
	inClassOf(second)[files.enrollments[0].indexOf('classSourcedId')] = 'c-new';
	for (const file of ['users', 'roles', 'enrollments', 'demographics'] as const)
		files[file] = files[file].filter((row) => !row.includes(is(third)));
	const person = (sourcedId: string, cells: Record<string, string>, role: string) => {
		files.users.push(rowOf(files.users, { sourcedId, enabledUser: 'true', ...cells }));
		files.roles.push(
			rowOf(files.roles, { sourcedId: `r-${sourcedId}`, userSourcedId: sourcedId, role, orgSourcedId: org })
		);
		files.enrollments.push(
			rowOf(files.enrollments, { sourcedId: `e-${sourcedId}`, classSourcedId: 'c-new', userSourcedId: sourcedId, role })
		);
	};
	person('s-new', { givenName: 'Noor', familyName: 'Ahl', identifier: '99001', grades: '05' }, 'student');
	person('t-new', { givenName: 'Tess', familyName: 'Brook', username: 'tess.brook' }, 'teacher');
	return { first, second, third };
}

describe('a roster', () => {
	it('of the school as it is changes nothing', async () => {
		const { plan, applied } = await bring(await changed());
		expect(plan).toMatchObject({ changes: [], doubts: [] });
		expect(applied).toEqual({ figures: {} });
	});

	/** Names of those in the section on a day. */
	const inLab = async (today: string) => {
		const { classes, students } = await schoolNow(small.database, 1, today);
		const ids = classes.find(({ name }) => name === 'Lab')?.members ?? [];
		return ids.map((id) => students.find((one) => one.id === id)!.familyName).sort();
	};

	it('is applied as a whole, holds from today on, and is taken back as a whole', async () => {
		const rules = await rosterRules(small.database, 1);
		await setRosterRules(small.database, coordinator, { ...rules, sections: ['math'] }, NOW);
		const before = await now();
		const places = await placesOn(TODAY);
		let who!: ReturnType<typeof aTermLater>;
		// Ids of the source: those that were ours until then.
		const records = await changed((files, org) => (who = aTermLater(files, org, before)));
		const { run, applied } = await bring(records);
		expect(applied).toEqual({
			figures: { classes: 2, change: 1, join: 1, move: 1, sections: 1, adults: 2 }
		});
		const name = ({ givenName, familyName }: { givenName: string; familyName: string }) => `${givenName} ${familyName}`;
		const after = await placesOn(TODAY);
		expect(after['Noor Ahl']).toBe('Dunlin');
		expect(after[name(who.second)]).toBe('Dunlin');
		expect(after[`${who.first.givenName} Marsh-Vale`]).toBe(places[name(who.first)]);
		// Whom no roster has brought stays, and is told of.
		expect(after[name(who.third)]).toBe(places[name(who.third)]);
		expect((await placesOn(addDays(TODAY, -1)))[name(who.second)]).toBe(places[name(who.second)]);
		expect(await inLab(TODAY)).toEqual(['Ahl', 'Marsh-Vale']);
		expect(await inLab(addDays(TODAY, -1))).toEqual([]);
		const again = await bring(records);
		expect(again.plan.changes).toEqual([]);
		expect(again.plan.doubts).toMatchObject([{ kind: 'unmatched', name: name(who.third) }]);
		expect(await takeBackRoster(small.database, coordinator, run, when)).toBeNull();
		expect(await takeBackRoster(small.database, coordinator, again.run, when)).toEqual(WHOLE);
		expect(await takeBackRoster(small.database, coordinator, run, when)).toEqual(WHOLE);
		expect(await now()).toEqual({ ...before, sourcedId: expect.any(String) });
		expect(await inLab(TODAY)).toEqual([]);
		expect(await placesOn(TODAY)).toEqual(places);
		expect((await rosterRuns(small.database, 1, 5)).slice(0, 2).map(({ state }) => state)).toEqual([
			'undone',
			'undone'
		]);
	});

	it('finds who is here by number, name or class the first time, and lets those leave who are no more in it', async () => {
		const { key, students } = await now();
		const foreign = (files: RosterFiles) => {
			for (const rows of Object.values(files))
				for (const row of rows) row.forEach((cell, i) => (row[i] = cell.replace(`${key}-student-`, 's-')));
		};
		const first = await bring(await changed(foreign));
		expect(first.plan.doubts).toEqual([]);
		expect(new Set(first.plan.changes.map(({ kind }) => kind))).toEqual(new Set(['renew student']));
		expect((await bring(await changed())).plan.changes).toEqual([]);

		const gone = students.find(({ classId }) => classId === 1)!;
		const without = await changed((files) => {
			for (const file of ['users', 'roles', 'enrollments', 'demographics'] as const)
				files[file] = files[file].filter((row) => !row.includes(`s-${gone.id}`));
		});
		const run = await addRosterRun(
			small.database,
			coordinator,
			{ fileName: 'roster.zip', systemName: '', isDelta: false, records: without },
			NOW
		);
		const plan = (await planRun(small.database, 1, run, TODAY))!;
		expect(plan.leaving.count).toBe(1);
		const apply = (key: string, isSure: boolean) =>
			applyRoster(small.database, coordinator, run, { key, isSure }, when);
		expect(await apply('another', true)).toEqual({ not: 'changed' });
		await setRosterRules(
			small.database,
			coordinator,
			{ ...(await rosterRules(small.database, 1)), mostLeaving: 0 },
			NOW
		);
		expect(await apply(plan.key, false)).toEqual({ not: 'many leave' });
		expect(await apply(plan.key, true)).toEqual({ figures: { leave: 1 } });
		// It does not wait any more: applying it twice does nothing.
		expect(await apply(plan.key, true)).toEqual({ not: 'gone' });
		const places = await placesOn(TODAY);
		const name = `${gone.givenName} ${gone.familyName}`;
		expect(places).not.toHaveProperty(name);
		expect(await placesOn(addDays(TODAY, -1))).toHaveProperty(name);
		expect(await takeBackRoster(small.database, coordinator, run, when)).toEqual(WHOLE);
		expect(await placesOn(TODAY)).toHaveProperty(name);
	});

	it('taken back lets those stay of whom something has come already, and what was changed since', async () => {
		const school = await now();
		const { run } = await bring(await changed((files, org) => aTermLater(files, org, school)));
		const added = (await now()).students.find(({ sourcedId }) => sourcedId === 's-new')!;
		await setAccommodations(small.database, coordinator, [added.id], { ...NO_ACCOMMODATION, readAloud: true }, NOW);
		const married = school.students.find(({ classId }) => classId === 1)!;
		await small.database.run('UPDATE student SET family_name = ? WHERE id = ?', ['Another', married.id]);
		expect(await takeBackRoster(small.database, coordinator, run, when)).toEqual({ stay: [added.id], ended: [] });
		expect(await placesOn(TODAY)).toMatchObject({
			'Noor Ahl': 'Dunlin',
			[`${married.givenName} Another`]: expect.any(String)
		});
	});

	it('does not take a user name of another school, and says so', async () => {
		await small.database.run('UPDATE account SET user_name = ? WHERE school_id = 2 LIMIT 1', ['Tess.Brook']);
		const { plan, applied } = await bring(
			await changed((files, org) => {
				const teacher = { sourcedId: 't-2', givenName: 'Tess', familyName: 'Brook', username: 'tess.brook' };
				files.users.push(rowOf(files.users, { ...teacher, enabledUser: 'true' }));
				files.roles.push(
					rowOf(files.roles, { sourcedId: 'r-t-2', userSourcedId: 't-2', role: 'teacher', orgSourcedId: org })
				);
				const of = { classSourcedId: files.classes[1][0], userSourcedId: 't-2', role: 'teacher' };
				files.enrollments.push(rowOf(files.enrollments, { sourcedId: 'e-t-2', ...of }));
			})
		);
		expect(plan.doubts).toContainEqual(
			expect.objectContaining({ of: 'adult', name: 'Tess Brook', says: 'The user name tess.brook is taken' })
		);
		expect(applied).not.toHaveProperty('not');
		expect((await now()).adults.map(({ displayName }) => displayName)).not.toContain('Tess Brook');
	});

	it('taken back tells which classes stay ended as another has their name by now', async () => {
		const school = await now();
		const ended = school.classes.find(({ name }) => name === 'Dunlin')!;
		const { run } = await bring(
			await changed((files) => {
				const gone = ended.sourcedId!;
				files.classes = files.classes.filter(([id]) => id !== gone);
				const at = files.enrollments[0].indexOf('classSourcedId');
				for (const row of files.enrollments) if (row[at] === gone) row[at] = files.classes[1][0];
			})
		);
		await addClasses(small.database, coordinator, [{ name: 'Dunlin', grade: 5 }], NOW);
		expect(await takeBackRoster(small.database, coordinator, run, when)).toEqual({ stay: [], ended: [ended.id] });
	});

	it('is taken back within fourteen days only', async () => {
		const { run } = await bring(await changed());
		const later = { today: addDays(TODAY, 15), at: new Date(NOW.getTime() + 15 * 86_400_000) };
		expect(await takeBackRoster(small.database, coordinator, run, later)).toBeNull();
	});

	it('that can be taken back no more leaves its figures only, but for the newest, which a delta goes on from', async () => {
		const { run } = await bring(await changed());
		const kept = async () =>
			(
				await small.database.rows<{ id: number }>(
					'SELECT id FROM roster_run WHERE records IS NOT NULL OR done IS NOT NULL ORDER BY id'
				)
			).map(({ id }) => id);
		expect(await kept()).toContain(run);
		await small.database.run('UPDATE roster_run SET applied_at = applied_at - INTERVAL 15 DAY');
		expect(await recordsInForce(small.database, 1)).not.toBeNull();
		const next = await bring(await changed());
		expect(await kept()).toEqual([next.run]);
	});
});
