import type { RootDatabase } from '../src/lib/server/database/pool';
import { addMaterial, importStandards, shelve } from '../src/lib/server/library/store/library';
import type { Skill } from '../src/lib/server/library/store/skills';
import type { Staff } from '../src/lib/server/request/viewer';
import { SCHOOL_ID, SPECIALIST } from './people';

/** The framework of a county that does not exist, as far as the demo school uses it. */
const COUNTY = 'Estuary County mathematics';
const standards: [code: string, grade: number, statement: string, skills: string[]][] = [
	['EC.3.2', 3, 'Recall products of one-digit numbers and use them to divide.', ['W32', 'W33']],
	['EC.3.7', 3, 'Show fractions as places on a line and as parts of a whole.', ['F31', 'F32']],
	['EC.4.1', 4, 'Write equal fractions and say which of two fractions is greater.', ['F41', 'F42']],
	['EC.4.5', 4, 'Change a measurement to a smaller unit and use it in a problem.', ['M41']],
	['EC.5.3', 5, 'Add and subtract fractions, also with different denominators.', ['F43', 'F52']],
	['EC.5.6', 5, 'Plan with timetables: work out when something ends and how long it takes.', ['M33', 'M51']],
	['EC.6.4', 6, 'Solve problems with rates and percent.', ['F61', 'F62']],
	['EC.6.9', 6, 'Describe a set of data by its average.', ['D51', 'D61']],
	['EC.7.1', 7, 'Calculate with numbers above and below zero.', ['W61', 'W71']],
	['EC.7.8', 7, 'Keep a weather diary for a month and present it.', []]
];

/** Gives the library what a school has in it by midyear: its county's standards, own material, a shelf. */
export async function fillLibrary(database: RootDatabase, skills: Skill[], at: Date): Promise<void> {
	const idOf = (code: string) => skills.find((skill) => skill.code === code)!.id;
	const staff = (id: number, role: Staff['role']): Staff => ({
		kind: 'staff',
		id,
		schoolId: SCHOOL_ID,
		role,
		displayName: ''
	});
	const specialist = staff(SPECIALIST, 'specialist');
	await importStandards(
		database,
		staff(1, 'coordinator'),
		COUNTY,
		standards.map(([code, grade, statement, codes]) => ({ code, grade, statement, skillIds: codes.map(idOf) })),
		at
	);
	const note = {
		title: 'Tide table cards',
		link: null,
		note: 'In the gray box in Room Gull: start and end times to match.'
	};
	await addMaterial(database, specialist, idOf('M33'), note, at);
	await addMaterial(
		database,
		staff(3, 'interventionist'),
		idOf('F32'),
		{
			title: 'Rope number line',
			link: null,
			note: 'Hang fraction cards on the rope with pegs; ask which peg moves and why.'
		},
		at
	);
	await shelve(database, specialist, idOf('F52'), true, at);
	await shelve(database, specialist, idOf('M41'), false, at);
	await shelve(database, staff(3, 'interventionist'), idOf('W32'), true, at);
}
