import { afterAll, beforeAll, expect, it } from 'vitest';
import { migratedDatabase, NOW, staffAs } from '../../../../tests/smallSchool';
import { shippedFramework } from '../../../../framework/shipped';
import type { RootDatabase } from '../database/pool';
import { fill } from '../database/seeding';
import { shipFramework } from '../library/store/frameworks';
import { addClasses } from '../people/store/classes';
import { addStudents } from '../people/store/enrollment';
import { setPins } from '../people/store/pins';
import { changeProfile, schoolProfile, UNNAMED_SCHOOL } from '../school/store/profile';
import { planYear } from '../school/store/years';
import { findSchool } from '../school/store/school';
import { addWindow } from '../screen/store/windows';
import { whatIsMissing } from './whatIsMissing';

let database: RootDatabase;
beforeAll(async () => {
	database = await migratedDatabase('what_is_missing');
	await shipFramework(database, shippedFramework());
	await fill(database, 'school', [{ id: 1, name: UNNAMED_SCHOOL, time_zone: 'America/New_York' }]);
	const account = { id: 1, school_id: 1, role: 'coordinator', user_name: 'c', display_name: 'C', password_hash: 'x' };
	await fill(database, 'account', [account]);
});
afterAll(() => database.close());

it('ticks each thing by what there is, in the order in which a school is set up', async () => {
	const staff = staffAs('coordinator');
	const school = await findSchool(database, 1, NOW);
	const missing = async () =>
		(await whatIsMissing(database, staff, school, NOW))
			.filter(({ isNeeded, isDone }) => isNeeded && !isDone)
			.map(({ says }) => says);
	const all = ['Name and time zone', 'School year', 'Classes', 'Students', 'PINs', 'First screening window'];
	expect(await missing()).toEqual(all);

	await changeProfile(database, staff, { ...(await schoolProfile(database, 1)), name: 'Estuary' }, NOW);
	expect(await missing()).toEqual(all.slice(1));
	const year = { startsOn: '2026-08-24', endsOn: '2027-06-11', winterOn: null, springOn: null };
	await planYear(database, staff, null, year, NOW);
	expect(await missing()).toEqual(all.slice(2));
	// Of kindergarten there are no skills: such a class alone cannot be screened.
	await addClasses(database, staff, [{ name: 'Knot', grade: 0 }], NOW);
	expect(await missing()).toEqual(all.slice(2));
	const made = (await addClasses(database, staff, [{ name: 'Avocet', grade: 4 }], NOW)) as { ids: number[] };
	expect(await missing()).toEqual(all.slice(3));

	const student = { givenName: 'Ada', preferredName: null, number: null, birthDate: null, familyName: 'Diaz' };
	const from = { from: school.today, at: NOW };
	const [id] = await addStudents(database, staff, [{ ...student, grade: 4, classId: made.ids[0] }], from);
	const steps = await whatIsMissing(database, staff, school, NOW);
	expect(steps.find(({ says }) => says === 'Students')!.fact).toBe('1 student; nobody in Knot');
	// Whoever cannot be screened is not waited for.
	expect(await missing()).toEqual(all.slice(4));
	const knot = (await database.row<{ id: number }>("SELECT id FROM class WHERE name = 'Knot'"))!.id;
	await addStudents(database, staff, [{ ...student, grade: 0, classId: knot }], from);
	expect(await missing()).toEqual(all.slice(4));
	await setPins(database, staff, [{ studentId: id, pinHash: 'hash' }], NOW);
	expect(await missing()).toEqual(all.slice(4));
	await database.run("UPDATE student SET pin_hash = 'hash'");
	expect(await missing()).toEqual(all.slice(5));
	const window = { name: 'Autumn', subject: 'Mathematics', mode: 'adaptive' as const, measure: null, term: 1 };
	const days = { opensOn: school.today, closesOn: school.today, classIds: made.ids };
	await addWindow(database, staff, { ...window, ...days }, NOW);
	expect(await missing()).toEqual([]);
});
