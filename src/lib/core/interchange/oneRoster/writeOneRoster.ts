import type { SchoolDate } from '../../calendar';
import { sourcedIdOf, type ClassKind, type SchoolNow } from '../roster/schoolRoster';

/** What is written of a school beside who is in it. */
export interface WrittenSchool {
	/** By which the source of its roster knows it; null where there is none. */
	sourcedId: string | null;
	name: string;
	/** The kind of classes that students belong to; sections are of the other. */
	homeClasses: ClassKind;
	/** The school year, in `[startsOn, endsOn)`. */
	year: { startsOn: SchoolDate; endsOn: SchoolDate };
}

const gradeCode = (grade: number) => (grade === 0 ? 'KG' : String(grade).padStart(2, '0'));

/** Every file the standard names; those that are not written are absent. */
const ALL_FILES = [
	'academicSessions',
	'categories',
	'classes',
	'classResources',
	'courses',
	'courseResources',
	'demographics',
	'enrollments',
	'lineItemLearningObjectiveIds',
	'lineItems',
	'lineItemScoreScales',
	'orgs',
	'resources',
	'resultLearningObjectiveIds',
	'results',
	'resultScoreScales',
	'roles',
	'scoreScales',
	'userProfiles',
	'userResources',
	'users'
];

/**
 * A school as OneRoster 1.2 CSV (bulk): rows of cells a file, each with its head. Who has left is not in it. What no
 * roster has brought goes by ids of ours, so that reading it back finds everybody.
 */
export function writeOneRoster(now: SchoolNow, school: WrittenSchool): Record<string, string[][]> {
	const org = school.sourcedId ?? now.key;
	const session = `${now.key}-year`;
	const homeroom = `${now.key}-course`;
	const section = `${now.key}-section`;
	const sections = now.classes.filter(({ isSection }) => isSection);
	const classes = new Map(now.classes.map((one) => [one.id, sourcedIdOf(now, 'class', one)]));
	const students = now.students.filter(({ classId }) => classId !== null && classes.has(classId));
	const teaches = new Set(now.classes.flatMap(({ adults }) => adults));
	const adults = now.adults.filter(({ id }) => teaches.has(id));
	const people = [
		...students.map((one) => ({ ...one, is: sourcedIdOf(now, 'student', one) })),
		...adults.map((one) => ({ ...one, is: sourcedIdOf(now, 'adult', one) }))
	];
	const ofStudent = new Map(students.map((one) => [one.id, sourcedIdOf(now, 'student', one)]));
	const ofAdult = new Map(adults.map((one) => [one.id, sourcedIdOf(now, 'adult', one)]));
	const files: Record<string, string[][]> = {
		orgs: [
			['sourcedId', 'status', 'dateLastModified', 'name', 'type', 'identifier', 'parentSourcedId'],
			[org, '', '', school.name, 'school', '', '']
		],
		academicSessions: [
			[
				'sourcedId',
				'status',
				'dateLastModified',
				'title',
				'type',
				'startDate',
				'endDate',
				'parentSourcedId',
				'schoolYear'
			],
			[
				session,
				'',
				'',
				'School year',
				'schoolYear',
				school.year.startsOn,
				school.year.endsOn,
				'',
				school.year.endsOn.slice(0, 4)
			]
		],
		courses: [
			[
				'sourcedId',
				'status',
				'dateLastModified',
				'schoolYearSourcedId',
				'title',
				'courseCode',
				'grades',
				'orgSourcedId'
			],
			[homeroom, '', '', session, 'Homeroom', '', '', org],
			...(sections.length ? [[section, '', '', session, 'Section', '', '', org]] : [])
		],
		classes: [
			[
				'sourcedId',
				'status',
				'dateLastModified',
				'title',
				'grades',
				'courseSourcedId',
				'classCode',
				'classType',
				'location',
				'schoolSourcedId',
				'termSourcedIds'
			],
			...now.classes.map(({ id, name, grade, isSection }) => [
				classes.get(id)!,
				'',
				'',
				name,
				gradeCode(grade),
				isSection ? section : homeroom,
				'',
				isSection === (school.homeClasses === 'homeroom') ? 'scheduled' : 'homeroom',
				'',
				org,
				session
			])
		],
		users: [
			[
				'sourcedId',
				'status',
				'dateLastModified',
				'enabledUser',
				'username',
				'givenName',
				'familyName',
				'identifier',
				'email',
				'grades',
				'preferredGivenName',
				'primaryOrgSourcedId'
			],
			...people.map((one) =>
				'grade' in one
					? [
							one.is,
							'',
							'',
							'true',
							'',
							one.givenName,
							one.familyName,
							one.number ?? '',
							'',
							gradeCode(one.grade),
							one.preferredName ?? '',
							org
						]
					: adultRow(one, org)
			)
		],
		roles: [
			[
				'sourcedId',
				'status',
				'dateLastModified',
				'userSourcedId',
				'roleType',
				'role',
				'beginDate',
				'endDate',
				'orgSourcedId'
			],
			...people.map((one) => [
				`${one.is}-role`,
				'',
				'',
				one.is,
				'primary',
				'grade' in one ? 'student' : 'teacher',
				'',
				'',
				org
			])
		],
		enrollments: [
			[
				'sourcedId',
				'status',
				'dateLastModified',
				'classSourcedId',
				'schoolSourcedId',
				'userSourcedId',
				'role',
				'primary',
				'beginDate',
				'endDate'
			],
			...students.map((one) => {
				const is = ofStudent.get(one.id)!;
				return [`${is}-in-${one.classId}`, '', '', classes.get(one.classId!)!, org, is, 'student', 'true', '', ''];
			}),
			...sections.flatMap((one) =>
				one.members.flatMap((id) => {
					const is = ofStudent.get(id);
					if (!is) return [];
					return [[`${is}-in-${one.id}`, '', '', classes.get(one.id)!, org, is, 'student', 'false', '', '']];
				})
			),
			...now.classes.flatMap((one) =>
				one.adults.flatMap((adult, place) => {
					const is = ofAdult.get(adult);
					if (!is) return [];
					const isFirst = place === 0;
					return [[`${is}-of-${one.id}`, '', '', classes.get(one.id)!, org, is, 'teacher', String(isFirst), '', '']];
				})
			)
		],
		demographics: [
			['sourcedId', 'status', 'dateLastModified', 'birthDate'],
			...students
				.filter(({ birthDate }) => birthDate !== null)
				.map((one) => [sourcedIdOf(now, 'student', one), '', '', one.birthDate!])
		]
	};
	return { manifest: manifest(files), ...files };
}

/**
 * An adult's row of users: the last word of a name is the family name. One name only stands twice; whose two names are
 * alike is preferred to be called by the first, so that the two can be told apart.
 */
function adultRow(one: { is: string; userName: string; displayName: string; email: string | null }, org: string) {
	const name = one.displayName;
	const at = name.trim().lastIndexOf(' ');
	const [given, family] = at < 0 ? [name, name] : [name.slice(0, at), name.slice(at + 1)];
	const preferred = at >= 0 && given === family ? given : '';
	return [one.is, '', '', 'true', one.userName, given, family, '', one.email ?? '', '', preferred, org];
}

const manifest = (files: Record<string, string[][]>): string[][] => [
	['propertyName', 'value'],
	['manifest.version', '1.0'],
	['oneroster.version', '1.2'],
	...ALL_FILES.map((file) => [`file.${file}`, file in files ? 'bulk' : 'absent']),
	['source.systemName', 'Orderly Compass'],
	['source.systemCode', 'orderly-compass']
];
