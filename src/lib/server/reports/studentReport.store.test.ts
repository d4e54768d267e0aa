import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { NOW, smallSchool, staffAs, TODAY, type SmallSchool } from '../../../../tests/smallSchool';
import { normalShareBelow } from '../../core/measurement';
import { fill } from '../database/seeding';
import { importScores } from '../screen';
import { screeningWindows } from '../screen/store/windows';
import { findScope } from '../shell';
import { studentReports } from './studentReport';

let small: SmallSchool;
/** More students of the grade, so that the school's own scores are a norm. */
const MORE = Array.from({ length: 33 }, (_, i) => 100 + i);

beforeAll(async () => {
	small = await smallSchool('student_report');
	const student = (id: number) => ({
		id,
		school_id: 1,
		number: `S${id}`,
		given_name: `Given${id}`,
		family_name: `Family${id}`,
		grade: 4,
		pin_hash: 'none'
	});
	await fill(small.database, 'student', MORE.map(student));
	await fill(
		small.database,
		'class_membership',
		MORE.map((student_id) => ({ class_id: 1, student_id, from_on: '2026-08-20' }))
	);
	await importScores(
		small.database,
		staffAs('specialist'),
		2,
		'elsewhere',
		// Thirds of a logit, which points and back do not give again to the last digit.
		MORE.map((studentId, i) => ({
			studentId,
			domainId: 0,
			theta: (i - 16) / 3,
			standardError: 0.3,
			takenOn: TODAY
		})),
		NOW
	);
});
afterAll(() => small.database.close());

describe('a student’s place among the grade at the school', () => {
	it('counts the own score as one of them: half of it lies below', async () => {
		const students = await (await findScope(small.database, staffAs('specialist'), 'school', TODAY))!.students();
		const windows = await screeningWindows(small.database, 1);
		const winter = windows.find(({ id }) => id === 2)!;
		const { reports } = await studentReports(small.database, small.school, windows, winter, students);
		const placed = MORE.map((id) => reports.find((report) => report.id === id)!.percentile);
		expect(placed).toEqual(
			MORE.map((_, i) => ({
				of: 'school',
				value: Math.min(99, Math.max(1, Math.round((100 * (i + 0.5)) / MORE.length)))
			}))
		);
		expect(reports.find((report) => report.id === 1)!.percentile).toBeNull();
	});

	it('goes by made-up norms where the school has few scores, those of the week the student sat in', async () => {
		const { database, school } = small;
		const report = async (takenOn: string) => {
			const score = { studentId: 1, domainId: 0, theta: 0, standardError: 0.3, takenOn };
			await importScores(database, staffAs('specialist'), 1, 'elsewhere', [score], NOW);
			const windows = await screeningWindows(database, 1);
			const autumn = windows.find(({ id }) => id === 1)!;
			const students = await (await findScope(database, staffAs('specialist'), 'school', TODAY))!.students();
			const { reports } = await studentReports(database, school, windows, autumn, students);
			return reports.find(({ id }) => id === 1)!.percentile;
		};
		// The middle of grade 4 is reached in week 18; this year has a week of the norms every seven days.
		const inWeek = (week: number) => Math.round(100 * normalShareBelow((18 - week) / 36 / 1.1));
		expect(await report('2026-09-21')).toEqual({ of: 'shipped norms', value: inWeek(6) });
		await fill(database, 'school_year', [{ school_id: 1, starts_on: '2026-08-24', ends_on: '2027-05-03' }]);
		expect(await report('2026-09-21')).toEqual({ of: 'shipped norms', value: inWeek(4) });
		expect(await report('2026-10-05')).toEqual({ of: 'shipped norms', value: inWeek(6) });
		expect(inWeek(4)).toBeGreaterThan(inWeek(6));
	});
});
