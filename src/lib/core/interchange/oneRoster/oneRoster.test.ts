import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { planRoster } from '../roster/planRoster';
import type { RosteredStudent, SchoolNow } from '../roster/schoolRoster';
import { ROSTER_FILES, type RosterFile, type RosterRecords } from './records';
import { afterDelta, rosterOfSchool, schoolsOf, splitBySchool } from './rosterOfSchool';
import { Problems, readManifest, RosterReader, type RosterProblem } from './rosterReader';
import { writeOneRoster } from './writeOneRoster';

const TODAY = '2026-11-23';
const YEAR = { startsOn: '2026-08-24', endsOn: '2027-06-19' };

/** Reads files of cells as they come out of a package. */
function read(files: Partial<Record<RosterFile, string[][]>>, isDelta = false) {
	const reader = new RosterReader(isDelta);
	for (const [file, [head, ...rows]] of Object.entries(files) as [RosterFile, string[][]][])
		if (reader.begin(file, head)) rows.forEach((row, i) => reader.take(row, i + 2));
	return reader.end();
}

const small = (): SchoolNow => ({
	key: 'k',
	today: TODAY,
	takenElsewhere: [],
	grades: { first: 1, last: 8 },
	classes: [
		{ id: 1, sourcedId: null, name: 'Avocet', grade: 4, adults: [5], isSection: false, members: [] },
		{ id: 2, sourcedId: 'c-2', name: 'Bittern', grade: 5, adults: [], isSection: false, members: [] }
	],
	students: [student(1, { classId: 1 }), student(2, { classId: 2, sourcedId: 's-2', birthDate: '2015-03-02' })],
	adults: [{ id: 5, sourcedId: null, userName: 'imara', displayName: 'Imara Vale', email: 'imara@school.example' }]
});

const student = (id: number, more: Partial<RosteredStudent> = {}): RosteredStudent => ({
	id,
	sourcedId: null,
	givenName: `Given${id}`,
	familyName: `Family${id}`,
	preferredName: null,
	number: `N${id}`,
	grade: 4,
	birthDate: null,
	classId: null,
	...more
});

const filesOf = (now: SchoolNow) => {
	const { manifest, ...files } = writeOneRoster(now, {
		sourcedId: null,
		name: 'Saltmarsh Bridge School',
		homeClasses: 'homeroom',
		year: YEAR
	});
	return { manifest, files: files as Record<RosterFile, string[][]> };
};

describe('a school as OneRoster', () => {
	it('is read back as no change, whoever is in it', () => {
		fc.assert(
			fc.property(schools, (now) => {
				const { manifest, files } = filesOf(now);
				const said = new Problems();
				expect(readManifest(manifest, said).modes).toMatchObject({ users: 'bulk', demographics: 'bulk' });
				const { records, problems } = read(files);
				expect([...said.told, ...problems.told]).toEqual([]);
				const own = splitBySchool(records, ['k']).get('k')!;
				const plan = planRoster(now, rosterOfSchool(own, 'k', TODAY), { homeClasses: null, sections: [], ours: [] });
				expect(plan.changes).toEqual([]);
				expect(plan.doubts).toEqual([]);
			})
		);
	});

	it.each(['Imara', 'Imara Imara', 'Imara Imara Vale'])('keeps adults apart from students: %s', (displayName) => {
		const now = small();
		now.adults[0].displayName = displayName;
		const { records } = read(filesOf(now).files);
		expect(rosterOfSchool(records, 'k', TODAY).adults).toMatchObject([{ displayName, classes: ['k-class-1'] }]);
		expect(
			planRoster(now, rosterOfSchool(records, 'k', TODAY), { homeClasses: null, sections: [], ours: [] }).changes
		).toEqual([]);
	});

	it('names its schools, and gives each only what is its own', () => {
		const { files } = filesOf(small());
		files.orgs.push(['k2', '', '', 'Another School', 'school', '', ''], ['d', '', '', 'District', 'district', '', '']);
		const { records } = read(files);
		expect(schoolsOf(records).map(({ name }) => name)).toEqual(['Another School', 'Saltmarsh Bridge School']);
		const parts = splitBySchool(records, ['k', 'k2']);
		expect(parts.get('k2')).toMatchObject({ users: [], classes: [], enrollments: [] });
		expect(parts.get('k')!.users).toHaveLength(3);
	});

	it('is as it is on a day: enrollments, roles and sessions that are over or not begun do not count', () => {
		const { files } = filesOf(small());
		const end = files.enrollments[0].indexOf('endDate');
		files.enrollments[1][end] = TODAY;
		const { records } = read(files);
		const on = (day: string) => rosterOfSchool(records, 'k', day).students.map(({ classes }) => classes.length);
		expect(on('2026-11-22')).toEqual([1, 1]);
		expect(on(TODAY)).toEqual([0, 1]);
		expect(rosterOfSchool(records, 'k', YEAR.endsOn).classes).toEqual([]);
	});
});

describe('a delta', () => {
	const recordsOf = (now: SchoolNow) => splitBySchool(read(filesOf(now).files).records, ['k']).get('k')!;
	/** What the second has otherwise than the first, as a source would send it. */
	const between = (first: RosterRecords, second: RosterRecords) =>
		Object.fromEntries(
			ROSTER_FILES.map((file) => {
				const before = new Map(first[file].map((one) => [one.sourcedId, one]));
				const after = new Map(second[file].map((one) => [one.sourcedId, one]));
				const plain = (one: object) => JSON.stringify({ ...one, line: 0 });
				const changed = second[file].filter((one) => {
					const old = before.get(one.sourcedId);
					return !old || plain(old) !== plain(one);
				});
				const gone = first[file].filter(({ sourcedId }) => !after.has(sourcedId));
				return [file, [...changed, ...gone.map((one) => ({ ...one, isGone: true }))]];
			})
		) as unknown as RosterRecords;
	const sorted = ({ classes, students, adults }: ReturnType<typeof rosterOfSchool>) =>
		[classes, students, adults].map((list) =>
			list
				.map((one) => ({ ...one, line: 0, ...('classes' in one ? { classes: [...one.classes].sort() } : {}) }))
				.sort((one, other) => one.sourcedId.localeCompare(other.sourcedId))
		);

	it('brings a roster from what it was to what it is', () => {
		fc.assert(
			fc.property(schools, schools, (before, after) => {
				const [first, second] = [recordsOf(before), recordsOf(after)];
				const merged = afterDelta(first, between(first, second), 'k');
				expect(sorted(rosterOfSchool(merged, 'k', TODAY))).toEqual(sorted(rosterOfSchool(second, 'k', TODAY)));
			})
		);
	});

	it('of another school changes nothing', () => {
		const first = recordsOf(small());
		const delta = { ...first, orgs: [], classes: [], users: [], demographics: [], enrollments: [] };
		delta.roles = [{ ...first.roles[0], sourcedId: 'r-9', user: 'u-9', org: 'k2' }];
		expect(afterDelta(first, delta, 'k').roles.map(({ user }) => user)).not.toContain('u-9');
	});
});

/** What is wrong with a roster whose files were changed. */
function problemsWith(change: (files: Record<RosterFile, string[][]>) => void): RosterProblem[] {
	const { files } = filesOf(small());
	change(files);
	return read(files).problems.told;
}

const cell = (rows: string[][], line: number, column: string, value: string) => {
	rows[line - 1][rows[0].indexOf(column)] = value;
};

describe('a roster that is wrong says where', () => {
	const cases: [string, (files: Record<RosterFile, string[][]>) => void, RosterProblem][] = [
		[
			'a column missing',
			({ users }) => users.forEach((row) => row.splice(users[0].indexOf('familyName'), 1)),
			{ file: 'users.csv', line: 1, says: 'Without the column familyName' }
		],
		[
			'an id that stands twice',
			({ users }) => cell(users, 3, 'sourcedId', users[1][0]),
			{ file: 'users.csv', line: 3, says: 'sourcedId k-student-1 stands in line 2 already' }
		],
		[
			'a reference to nothing',
			({ enrollments }) => cell(enrollments, 2, 'classSourcedId', 'c-9'),
			{ file: 'enrollments.csv', line: 2, says: 'classSourcedId c-9 is not in classes.csv' }
		],
		[
			'organizations within each other',
			({ orgs }) =>
				orgs.splice(1, 1, ['k', '', '', 'One', 'school', '', 'd'], ['d', '', '', 'Two', 'district', '', 'k']),
			{ file: 'orgs.csv', line: 2, says: 'k lies within itself: k in d in k' }
		],
		[
			'a day in another form',
			({ demographics }) => cell(demographics, 2, 'birthDate', '03/02/2015'),
			{ file: 'demographics.csv', line: 2, says: 'birthDate is “03/02/2015”, not a day written YYYY-MM-DD' }
		],
		[
			'a day that never was',
			({ academicSessions }) => cell(academicSessions, 2, 'startDate', '2026-02-30'),
			{ file: 'academicSessions.csv', line: 2, says: 'startDate is “2026-02-30”, not a day written YYYY-MM-DD' }
		],
		[
			'a session that ends before it begins',
			({ academicSessions }) => cell(academicSessions, 2, 'endDate', '2026-08-01'),
			{ file: 'academicSessions.csv', line: 2, says: 'endDate 2026-08-01 is not after startDate 2026-08-24' }
		],
		[
			'a role that is none',
			({ enrollments }) => cell(enrollments, 3, 'role', 'studnt'),
			{
				file: 'enrollments.csv',
				line: 3,
				says: 'role is “studnt”; it can be administrator, aide, guardian, parent, proctor, relative, student, teacher'
			}
		],
		[
			'too few cells',
			({ roles }) => roles[2].pop(),
			{ file: 'roles.csv', line: 3, says: '8 cells, where the head has 9' }
		],
		[
			'a name that is empty',
			({ users }) => cell(users, 2, 'familyName', ' '),
			{ file: 'users.csv', line: 2, says: 'familyName is empty' }
		],
		[
			'a quote that is not closed',
			({ users }) => cell(users, 4, 'givenName', 'x'.repeat(3_000)),
			{ file: 'users.csv', line: 4, says: 'A cell has no end: is a quote not closed?' }
		],
		[
			'a status that is none',
			({ classes }) => cell(classes, 2, 'status', 'maybe'),
			{ file: 'classes.csv', line: 2, says: 'status is “maybe”; it can be active, inactive, tobedeleted' }
		]
	];
	it.each(cases)('%s', (_, change, problem) => {
		expect(problemsWith(change)).toContainEqual(problem);
	});

	it.each([
		['no version', [['oneroster.version', '1.1']], 'oneroster.version is “1.1”; version 1.2 is read'],
		['a file without which nothing goes', [['file.users', 'absent']], 'file.users is absent; it is needed'],
		['two kinds at once', [['file.roles', 'delta']], 'Some files are bulk and others delta; send all of one kind'],
		['a kind that is none', [['file.users', 'full']], 'file.users is “full”; it can be bulk, delta or absent']
	])('a manifest with %s', (_, changes, says) => {
		const { manifest } = filesOf(small());
		for (const [name, value] of changes) manifest.find(([property]) => property === name)![1] = value;
		const problems = new Problems();
		readManifest(manifest, problems);
		expect(problems.told).toContainEqual({ file: 'manifest.csv', line: null, says });
	});

	it('a line that cannot be read is told once, not for all that refers to it', () => {
		expect(problemsWith(({ users }) => cell(users, 2, 'familyName', ''))).toHaveLength(1);
	});

	it('of many problems the first hundred are told, and all counted', () => {
		const { files } = filesOf(small());
		for (let i = 0; i < 150; i++) files.roles.push(['', '', '', 'nobody', '', 'student', '', '', 'k']);
		const { problems } = read(files);
		expect(problems.count).toBe(150);
		expect(problems.told).toHaveLength(100);
	});
});

const text = fc
	.string({ minLength: 1, maxLength: 12, unit: fc.constantFrom(...'abcdefgÄéß ,"\n’-') })
	.map((word) => `N${word.trim()}`);
const word = fc
	.string({ minLength: 2, maxLength: 9, unit: fc.constantFrom(...'aeiouäéßlmnrst') })
	.map((letters) => `N${letters}`);

/** Of so many classes the last is a section where there are others. */
const isSection = (i: number, of: number) => of > 1 && i === of - 1;
const isClass = (i: number, of: number) => i < of && !isSection(i, of);
/** Schools of some classes and students, some of whom a roster has brought. */
const schools: fc.Arbitrary<SchoolNow> = fc
	.record({
		classes: fc.uniqueArray(word, { minLength: 1, maxLength: 5, selector: (name) => name.toLowerCase() }),
		students: fc.array(
			fc.record({
				givenName: word,
				familyName: word,
				preferredName: fc.option(word),
				grade: fc.integer({ min: 0, max: 8 }),
				isBrought: fc.boolean(),
				hasNumber: fc.boolean(),
				birthDate: fc.option(fc.constantFrom('2015-03-02', '2016-10-11')),
				place: fc.option(fc.nat(4))
			}),
			{ maxLength: 12 }
		),
		adults: fc.array(fc.record({ given: word, family: word, isBrought: fc.boolean(), teaches: fc.array(fc.nat(4)) }), {
			maxLength: 3
		}),
		code: text
	})
	.map(({ classes, students, adults, code }) => ({
		key: 'k',
		today: TODAY,
		takenElsewhere: [],
		grades: { first: 0, last: 8 },
		classes: classes.map((name, i) => ({
			isSection: isSection(i, classes.length),
			members: isSection(i, classes.length)
				? students.flatMap(({ place }, n) => (place !== null && isClass(place, classes.length) ? [n + 1] : []))
				: [],
			id: i + 1,
			sourcedId: i % 2 ? `${code}-${i}` : null,
			name,
			grade: i,
			adults: adults.flatMap(({ teaches }, n) => (teaches.includes(i) ? [n + 1] : []))
		})),
		students: students.map(({ isBrought, hasNumber, place, preferredName, ...record }, i) => ({
			...record,
			preferredName: preferredName === record.givenName ? null : preferredName,
			id: i + 1,
			sourcedId: isBrought ? `s-${i}` : null,
			number: hasNumber ? `${i}` : null,
			classId: place === null || !isClass(place, classes.length) ? null : place + 1
		})),
		adults: adults.map(({ given, family, isBrought }, i) => ({
			id: i + 1,
			sourcedId: isBrought ? `a-${i}` : null,
			userName: `u${i}`,
			displayName: `${given} ${family}`,
			email: null
		}))
	}));
