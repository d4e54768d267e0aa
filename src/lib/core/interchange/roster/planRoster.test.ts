import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { planRoster } from './planRoster';
import type { RosteredStudent, RosterRules, RosterStudent, SchoolNow, SchoolRoster } from './schoolRoster';

const RULES: RosterRules = { homeClasses: null, sections: ['math'], ours: [] };
const OWN = { isSection: false, members: [] };

const here = (id: number, more: Partial<RosteredStudent> = {}): RosteredStudent => ({
	id,
	sourcedId: `s-${id}`,
	givenName: `Given${id}`,
	familyName: `Family${id}`,
	preferredName: null,
	number: `N${id}`,
	grade: 4,
	birthDate: null,
	classId: 1,
	...more
});
const there = (id: number, more: Partial<RosterStudent> = {}): RosterStudent => ({
	sourcedId: `s-${id}`,
	givenName: `Given${id}`,
	familyName: `Family${id}`,
	preferredName: null,
	number: `N${id}`,
	gradeCode: '04',
	grade: 4,
	birthDate: null,
	classes: ['c-1'],
	line: id + 1,
	...more
});
const now = (students: RosteredStudent[], more: Partial<SchoolNow> = {}): SchoolNow => ({
	key: 'k',
	today: '2026-11-23',
	takenElsewhere: [],
	grades: { first: 1, last: 8 },
	classes: [
		{ id: 1, sourcedId: 'c-1', name: 'Avocet', grade: 4, adults: [], ...OWN },
		{ id: 2, sourcedId: 'c-2', name: 'Bittern', grade: 5, adults: [], ...OWN }
	],
	students,
	adults: [],
	...more
});
const roster = (students: RosterStudent[], more: Partial<SchoolRoster> = {}): SchoolRoster => ({
	classes: [
		{ sourcedId: 'c-1', name: 'Avocet', code: '', grade: 4, kind: 'homeroom', course: '', line: 2 },
		{ sourcedId: 'c-2', name: 'Bittern', code: '', grade: 5, kind: 'homeroom', course: '', line: 3 }
	],
	students,
	adults: [],
	...more
});
const plan = (school: SchoolNow, source: SchoolRoster, rules = RULES) => planRoster(school, source, rules);

it('a roster that says what is here changes nothing', () => {
	expect(plan(now([here(1)]), roster([there(1)]))).toEqual({ changes: [], doubts: [], leaving: { of: 1, count: 0 } });
});

describe('students of a roster', () => {
	it('who are new come, who are elsewhere move, who are gone leave, who left return', () => {
		const school = now([here(1), here(2), here(3, { classId: null })]);
		const { changes, leaving } = plan(school, roster([there(1, { classes: ['c-2'] }), there(3), there(4)]));
		expect(changes).toEqual([
			expect.objectContaining({ kind: 'add student', sourcedId: 's-4', to: 'c-1', line: 5 }),
			{ kind: 'move student', id: 1, name: 'Given1 Family1', from: 'Avocet', to: 'c-2', line: 2 },
			{ kind: 'move student', id: 3, name: 'Given3 Family3', from: null, to: 'c-1', line: 4 },
			{ kind: 'student leaves', id: 2, name: 'Given2 Family2', from: 'Avocet' }
		]);
		expect(leaving).toEqual({ of: 2, count: 1 });
	});

	it('are changed field by field, but for what is ours and what the source leaves empty', () => {
		const source = roster([there(1, { familyName: 'Marsh', number: null, preferredName: 'Gee' })]);
		const [change] = plan(now([here(1, { preferredName: 'Gig' })]), source, {
			...RULES,
			ours: ['preferredName']
		}).changes;
		expect(change).toMatchObject({
			kind: 'renew student',
			before: { familyName: 'Family1', number: 'N1', preferredName: 'Gig' },
			after: { familyName: 'Marsh', number: 'N1', preferredName: 'Gig' }
		});
	});

	const unknown = { sourcedId: null };
	it.each([
		['number', here(1, unknown), there(1, { sourcedId: 'x' }), 'number'],
		[
			'name and birth date',
			here(1, { ...unknown, number: null, birthDate: '2016-03-02' }),
			there(1, { sourcedId: 'x', birthDate: '2016-03-02' }),
			'name and birth date'
		],
		['name and class', here(1, { ...unknown, number: null }), there(1, { sourcedId: 'x' }), 'name and class']
	])('are found the first time by %s', (_, before, source, matchedBy) => {
		const { changes } = plan(now([before]), roster([source]));
		expect(changes).toMatchObject([{ kind: 'renew student', id: 1, sourcedId: 'x', matchedBy }]);
	});

	it.each([
		[
			'a name alone',
			here(1, { ...unknown, number: null, classId: 2 }),
			there(9, { givenName: 'Given1', familyName: 'Family1' }),
			'Somebody of this name is here already'
		],
		[
			'a number of somebody else',
			here(1, unknown),
			there(9, { number: 'N1' }),
			'The number N1 is Given1 Family1’s here'
		],
		['a grade that is none', here(2), there(1, { gradeCode: 'PK', grade: null }), 'Grade PK is none of K to 12'],
		['a grade that is not taught', here(2), there(1, { gradeCode: '09', grade: 9 }), 'Grade 9 is not taught here'],
		['no class that is taken', here(2), there(1, { classes: ['c-9'] }), 'In no class that is taken']
	])('are left to a person for %s', (_, before, source, says) => {
		const { changes, doubts } = plan(now([before]), roster([source, there(2)]));
		expect(doubts.filter(({ line }) => line === source.line)).toMatchObject([{ says: expect.stringContaining(says) }]);
		expect(changes.filter((one) => 'line' in one && one.line === source.line)).toEqual([]);
	});

	it('whom no roster has brought stay, and are told', () => {
		const { changes, doubts } = plan(now([here(1, unknown)]), roster([]));
		expect(changes).toEqual([]);
		expect(doubts).toMatchObject([{ kind: 'unmatched', says: 'Here in Avocet, and not in the roster: stays' }]);
	});

	it('who are in two classes stay in the one they are in', () => {
		expect(plan(now([here(1)]), roster([there(1, { classes: ['c-2', 'c-1'] })])).changes).toEqual([]);
	});
});

describe('classes of a roster', () => {
	it('that are no more end once nobody is in them, and leave their names to others', () => {
		const source = roster([there(1, { classes: ['c-3'] })]);
		source.classes = [
			{ sourcedId: 'c-3', name: 'Avocet', code: '', grade: null, kind: 'homeroom', course: '', line: 2 }
		];
		const { changes } = plan(now([here(1)]), source);
		expect(changes).toMatchObject([
			{ kind: 'add class', sourcedId: 'c-3', name: 'Avocet', grade: 4 },
			{ kind: 'move student', id: 1, to: 'c-3' },
			{ kind: 'end class', id: 1 },
			{ kind: 'end class', id: 2 }
		]);
	});

	it('do not end while somebody is in them', () => {
		const source = roster([], { classes: [] });
		const { doubts } = plan(now([here(1, { sourcedId: null })]), source);
		expect(doubts).toContainEqual(expect.objectContaining({ of: 'class', name: 'Avocet', kind: 'conflict' }));
	});

	it('of one name are told apart by their codes, and those of a name that is taken are left out', () => {
		const source = roster([there(1)]);
		source.classes.push({
			sourcedId: 'c-3',
			name: 'Avocet',
			code: '4B',
			grade: 4,
			kind: 'homeroom',
			course: '',
			line: 4
		});
		source.classes.push({
			sourcedId: 'c-4',
			name: 'Curlew',
			code: '',
			grade: 4,
			kind: 'homeroom',
			course: '',
			line: 5
		});
		const school = now([here(1)]);
		school.classes.push(
			{ id: 3, sourcedId: null, name: 'Curlew', grade: 5, adults: [], ...OWN },
			{ id: 4, sourcedId: null, name: 'Curlew', grade: 6, adults: [], ...OWN }
		);
		const { changes, doubts } = plan(school, source);
		expect(changes).toMatchObject([
			{ kind: 'renew class', id: 1, after: { name: 'Avocet (c-1)' } },
			{ kind: 'add class', name: 'Avocet (4B)' }
		]);
		expect(doubts).toMatchObject([{ name: 'Curlew', says: 'Another class has this name' }]);
	});
});

describe('adults of a roster', () => {
	const teacher = {
		sourcedId: 'a-1',
		userName: 'imara',
		displayName: 'Imara Vale',
		email: 'i@school.example',
		classes: ['c-1'],
		line: 2
	};
	it('come with their classes; those whom no roster brought stay in theirs', () => {
		const school = now([], {
			adults: [{ id: 7, sourcedId: null, userName: 'omar', displayName: 'Omar Reed', email: null }]
		});
		school.classes[0].adults = [7];
		expect(plan(school, roster([], { adults: [teacher] })).changes).toMatchObject([
			{ kind: 'add adult', userName: 'imara', email: 'i@school.example' },
			{ kind: 'adults of class', name: 'Avocet', come: ['Imara Vale'], go: [], adults: ['a-1'], stay: [7] }
		]);
	});

	it('are found by address or user name the first time, and never twice', () => {
		const known = { id: 7, sourcedId: null, userName: 'other', displayName: 'I. Vale', email: 'I@school.example' };
		expect(plan(now([], { adults: [known] }), roster([], { adults: [teacher] })).changes).toMatchObject([
			{ kind: 'renew adult', id: 7, sourcedId: 'a-1', matchedBy: 'address', after: { displayName: 'Imara Vale' } },
			{ kind: 'adults of class', come: ['Imara Vale'] }
		]);
		const taken = { ...known, sourcedId: 'a-9', userName: 'imara', email: null };
		const { changes, doubts } = plan(now([], { adults: [taken] }), roster([], { adults: [teacher] }));
		expect(changes).toEqual([]);
		expect(doubts).toMatchObject([{ of: 'adult', says: 'The user name imara is taken' }]);
		const elsewhere = plan(now([], { takenElsewhere: ['imara'] }), roster([], { adults: [teacher] }));
		expect(elsewhere.changes).toEqual([]);
		expect(elsewhere.doubts).toMatchObject([{ of: 'adult', says: 'The user name imara is taken' }]);
	});

	it('who teach a class no more go from it', () => {
		const school = now([], {
			adults: [{ id: 7, sourcedId: 'a-1', userName: 'imara', displayName: 'Imara Vale', email: 'i@school.example' }]
		});
		school.classes[1].adults = [7];
		expect(plan(school, roster([], { adults: [teacher] })).changes).toMatchObject([
			{ name: 'Avocet', come: ['Imara Vale'], go: [] },
			{ name: 'Bittern', come: [], go: ['Imara Vale'] }
		]);
	});
});

describe('sections of a roster', () => {
	const lab = (more: Partial<SchoolRoster['classes'][number]> = {}): SchoolRoster['classes'][number] => ({
		...{ sourcedId: 'm-1', name: 'Lab', code: '', grade: null, kind: 'scheduled', course: 'Mathematics 4', line: 9 },
		...more
	});
	const withLab = (students: RosterStudent[], more = {}) => {
		const source = roster(students);
		source.classes.push(lab(more));
		return source;
	};
	const labHere = (members: number[], more = {}) => ({
		...{ id: 5, sourcedId: 'm-1', name: 'Lab', grade: 4, adults: [], isSection: true, members },
		...more
	});
	const withLabHere = (students: RosteredStudent[], members: number[], more = {}) => {
		const school = now(students);
		school.classes.push(labHere(members, more));
		return school;
	};
	const inLab = (id: number) => there(id, { classes: ['c-1', 'm-1'] });

	it('come where their course has one of the words, with those who are in them', () => {
		const source = withLab([inLab(1), inLab(2), there(3)]);
		source.adults = [
			{ ...{ sourcedId: 'a-1', userName: 'imara', displayName: 'Imara Vale', email: null }, classes: ['m-1'], line: 2 }
		];
		const { changes, doubts } = plan(now([here(1), here(3)]), source);
		expect(doubts).toEqual([]);
		expect(changes).toMatchObject([
			{ kind: 'add class', sourcedId: 'm-1', name: 'Lab', grade: 4, isSection: true },
			{ kind: 'add student', sourcedId: 's-2' },
			{
				kind: 'members of section',
				of: 'm-1',
				come: [
					{ sourcedId: 's-1', name: 'Given1 Family1' },
					{ sourcedId: 's-2', name: 'Given2 Family2' }
				],
				go: []
			},
			{ kind: 'add adult', sourcedId: 'a-1' },
			{ kind: 'adults of class', of: 'm-1', come: ['Imara Vale'] }
		]);
	});

	it('of other courses stay away, but for one that is a section here', () => {
		const source = withLab([inLab(1)], { course: 'Music' });
		expect(plan(now([here(1)]), source).changes).toEqual([]);
		// A word begins where a word begins.
		expect(plan(now([here(1)]), withLab([inLab(1)], { course: 'Aftermath' })).changes).toEqual([]);
		expect(plan(now([here(1)]), withLab([inLab(1)], { course: 'Grade 4: Math' })).changes).not.toEqual([]);
		expect(plan(withLabHere([here(1)], []), source).changes).toMatchObject([
			{ kind: 'members of section', come: [{ sourcedId: 's-1' }] }
		]);
	});

	it('are left by who is in them no more or leaves, and not by whom no roster has brought', () => {
		const school = withLabHere([here(1), here(2), here(3, { sourcedId: null }), here(4)], [1, 2, 3, 4]);
		const { changes } = plan(school, withLab([there(1), inLab(2)]));
		expect(changes).toMatchObject([
			{ kind: 'student leaves', id: 4 },
			{ kind: 'members of section', come: [], go: [{ id: 1 }, { id: 4 }] }
		]);
	});

	it('take in nobody who has left the school and is in no class of the roster', () => {
		const source = withLab([there(1, { classes: ['m-1'] }), inLab(2)]);
		const { changes } = plan(withLabHere([here(1, { classId: null }), here(2)], []), source);
		expect(changes).toMatchObject([{ kind: 'members of section', come: [{ sourcedId: 's-2' }] }]);
	});

	it('end with the roster that has them no more, whoever is in them', () => {
		expect(plan(withLabHere([here(1)], [1]), roster([there(1)])).changes).toEqual([
			{ kind: 'end class', id: 5, name: 'Lab' }
		]);
		const own = withLabHere([here(1)], [1], { sourcedId: null });
		expect(plan(own, roster([there(1)])).changes).toEqual([]);
	});

	it('are found by name among sections, and never take a class for one', () => {
		const own = withLabHere([here(1)], [1], { sourcedId: null });
		expect(plan(own, withLab([inLab(1)])).changes).toMatchObject([
			{ kind: 'renew class', id: 5, sourcedId: 'm-1', matchedBy: 'name' }
		]);
		const asClass = withLabHere([here(1)], [], { isSection: false });
		const { changes, doubts } = plan(asClass, withLab([inLab(1)]));
		expect(changes).toEqual([]);
		expect(doubts).toMatchObject([{ of: 'class', name: 'Lab', says: 'It is a class here' }]);
	});
});

/** A plan carried out on a school kept in memory, as plainly as can be. */
function carryOut(school: SchoolNow, source: SchoolRoster): SchoolNow {
	const after = structuredClone(school);
	const classOf = (sourcedId: string) => after.classes.find((one) => one.sourcedId === sourcedId)!.id;
	for (const change of plan(school, source).changes) {
		const next = Math.max(0, ...after.classes.map(({ id }) => id), ...after.students.map(({ id }) => id)) + 1;
		const of = (id: number) => after.students.find((one) => one.id === id)!;
		switch (change.kind) {
			case 'add class':
				after.classes.push({
					id: next,
					sourcedId: change.sourcedId,
					name: change.name,
					grade: change.grade,
					adults: [],
					isSection: change.isSection,
					members: []
				});
				break;
			case 'renew class':
				Object.assign(
					after.classes.find(({ id }) => id === change.id)!,
					change.after,
					{ sourcedId: change.sourcedId }
				);
				break;
			case 'add student':
				after.students.push({ id: next, sourcedId: change.sourcedId, ...change.record, classId: classOf(change.to) });
				break;
			case 'renew student':
				Object.assign(of(change.id), change.after, { sourcedId: change.sourcedId });
				break;
			case 'move student':
				of(change.id).classId = classOf(change.to);
				break;
			case 'student leaves':
				of(change.id).classId = null;
				break;
			case 'members of section': {
				const section = after.classes.find(({ sourcedId }) => sourcedId === change.of)!;
				const gone = new Set(change.go.map(({ id }) => id));
				const come = change.come.map((one) => after.students.find(({ sourcedId }) => sourcedId === one.sourcedId)!.id);
				section.members = [...section.members.filter((id) => !gone.has(id)), ...come];
				break;
			}
			case 'end class':
				after.classes = after.classes.filter(({ id }) => id !== change.id);
		}
	}
	return after;
}

/** Rosters of up to ten students in up to four classes, some of whom stand in an earlier one. */
const rosters = fc
	.array(
		fc.option(
			fc.record({
				place: fc.nat(3),
				name: fc.nat(3),
				grade: fc.integer({ min: 1, max: 8 }),
				sections: fc.subarray(['c-4', 'c-5'])
			})
		),
		{
			minLength: 10,
			maxLength: 10
		}
	)
	.map((students): SchoolRoster => ({
		classes: [0, 1, 2, 3, 4, 5].map((place) => ({
			sourcedId: `c-${place}`,
			name: `Class ${place}`,
			code: '',
			grade: place + 1,
			kind: place < 4 ? 'homeroom' : 'scheduled',
			course: place < 4 ? '' : 'Mathematics',
			line: place + 2
		})),
		students: students.flatMap((one, i) =>
			one === null
				? []
				: [
						there(i, {
							classes: [`c-${one.place}`, ...one.sections],
							familyName: `Family${one.name}`,
							grade: one.grade,
							gradeCode: `${one.grade}`
						})
					]
		),
		adults: []
	}));

describe('one roster after another', () => {
	it('leaves the school as the last one has it, and the last one again changes nothing', () => {
		fc.assert(
			fc.property(fc.array(rosters, { minLength: 1, maxLength: 4 }), (all) => {
				let school = now([], { classes: [] });
				for (const source of all) school = carryOut(school, source);
				const last = all.at(-1)!;
				const inClass = school.students
					.filter(({ classId }) => classId !== null)
					.map(({ sourcedId, familyName, grade, classId }) => ({
						sourcedId,
						familyName,
						grade,
						class: school.classes.find(({ id }) => id === classId)!.sourcedId
					}))
					.sort((one, other) => one.sourcedId!.localeCompare(other.sourcedId!));
				expect(inClass).toEqual(
					last.students
						.map(({ sourcedId, familyName, grade, classes }) => ({ sourcedId, familyName, grade, class: classes[0] }))
						.sort((one, other) => one.sourcedId.localeCompare(other.sourcedId))
				);
				const members = (section: string) =>
					last.students.filter(({ classes }) => classes.includes(section)).map(({ sourcedId }) => sourcedId);
				for (const { sourcedId, isSection, members: there } of school.classes) {
					const ids = there.map((id) => school.students.find((one) => one.id === id)!.sourcedId);
					expect(ids.sort()).toEqual(isSection ? members(sourcedId!) : []);
				}
				expect(new Set(school.students.map(({ sourcedId }) => sourcedId)).size).toBe(school.students.length);
				expect(plan(school, last)).toMatchObject({ changes: [], doubts: [] });
			})
		);
	});
});
