import { describe, expect, it } from 'vitest';
import { thingsOf } from '../../../../../standins/rosterService/things';
import { REST_COLUMNS, rolesOf, rowsOf } from './restRows';
import { RosterReader } from './rosterReader';

const files = {
	orgs: [
		['sourcedId', 'name', 'type', 'parentSourcedId'],
		['o1', 'Estuary School', 'school', 'd1']
	],
	classes: [
		['sourcedId', 'title', 'grades', 'courseSourcedId', 'classType', 'schoolSourcedId', 'termSourcedIds'],
		['c1', 'Avocet', '04,05', 'k1', 'homeroom', 'o1', 't1,t2']
	],
	users: [
		[
			'sourcedId',
			'enabledUser',
			'username',
			'givenName',
			'familyName',
			'preferredGivenName',
			'identifier',
			'email',
			'grades'
		],
		['u1', 'true', 'ada', 'Ada', 'Carver', 'Addie', '17', '', '04']
	],
	roles: [
		['sourcedId', 'userSourcedId', 'roleType', 'role', 'orgSourcedId'],
		['r1', 'u1', 'primary', 'student', 'o1']
	],
	enrollments: [
		['sourcedId', 'classSourcedId', 'schoolSourcedId', 'userSourcedId', 'role', 'primary', 'beginDate', 'endDate'],
		['e1', 'c1', 'o1', 'u1', 'student', 'true', '2026-08-20', '2027-06-01']
	]
};

describe('what a service sends', () => {
	const things = thingsOf(files);

	it('becomes the rows that were written', () => {
		expect(rowsOf('orgs', things.orgs)).toEqual([
			{ sourcedId: 'o1', status: 'active', name: 'Estuary School', type: 'school', parentSourcedId: 'd1' }
		]);
		expect(rowsOf('classes', things.classes)[0]).toMatchObject({
			...{
				grades: '04,05',
				courseSourcedId: 'k1',
				classType: 'homeroom',
				schoolSourcedId: 'o1',
				termSourcedIds: 't1,t2'
			}
		});
		expect(rowsOf('users', things.users)[0]).toMatchObject({
			preferredGivenName: 'Addie',
			identifier: '17',
			grades: '04'
		});
		expect(rolesOf(things.users)).toEqual([
			{
				sourcedId: 'u1-role-0',
				status: 'active',
				userSourcedId: 'u1',
				role: 'student',
				orgSourcedId: 'o1',
				beginDate: '',
				endDate: ''
			}
		]);
		expect(rowsOf('enrollments', things.enrollments)[0]).toMatchObject({
			...{ classSourcedId: 'c1', userSourcedId: 'u1', primary: 'true', beginDate: '2026-08-20', endDate: '2027-06-01' }
		});
	});

	it('has every column that is needed, whatever is missing in it', () => {
		for (const [file, columns] of Object.entries(REST_COLUMNS))
			expect(new RosterReader().begin(file as keyof typeof REST_COLUMNS, columns), file).toBe(true);
	});

	it('is taken for text, or for nothing: a line that cannot be is told as of a file', () => {
		const strange = [{ sourcedId: 7, name: { x: 1 }, type: null, parent: 'o9' }, {}] as never[];
		expect(rowsOf('orgs', strange)).toEqual([
			{ sourcedId: '7', status: '', name: '', type: '', parentSourcedId: '' },
			{ sourcedId: '', status: '', name: '', type: '', parentSourcedId: '' }
		]);
		expect(rolesOf([{ roles: 'teacher' }, { roles: [null, 3] }])).toEqual([]);
		expect(rowsOf('users', [{ enabledUser: true }])[0].enabledUser).toBe('true');
	});
});
