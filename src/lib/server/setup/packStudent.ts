import { strToU8, zip } from 'fflate';
import { promisify } from 'node:util';
import { sayDate } from '../../core/calendar';
import { columnTitle, type FileTable, studentFile } from '../../core/interchange/studentFile';
import { shareBand } from '../../core/mastery';
import { fullName, sayShareBand } from '../../core/words';
import { audit, type Database } from '../database';
import { skillList } from '../library';
import type { Enrolled } from '../people';
import type { Staff, VisibleId } from '../request';
import type { School } from '../school';
import { readStandings } from '../standing';
import { asJson, dictionaryOf } from './packArchive';
import { archiveRows, type Cell, PEOPLE_FILES, WORK_FILES } from './store/archive';

const sayCell = (value: Cell) =>
	value === null ? '' : typeof value === 'boolean' ? (value ? 'yes' : 'no') : String(value);

/** What is believed of a student on each skill with answers of its own; it follows from the answers. */
async function standingsTable(database: Database, school: School, student: Enrolled): Promise<FileTable> {
	const [skills, standings] = await Promise.all([
		skillList(database, school.id),
		readStandings(database, [student.id as VisibleId])
	]);
	const own = standings.get(student.id)!;
	return {
		title: 'Where the student stands',
		says: 'a skill on which the student has answered, with what the program believes now',
		columns: [
			{ name: 'Skill', means: 'what it is' },
			{ name: 'Standing', means: 'in a word' },
			{ name: 'Gets', means: 'of ten usual questions, with the band that holds it four times out of five' },
			{ name: 'Answers', means: 'first tries on the skill' },
			{ name: 'Newest', means: 'day of the last of them' }
		],
		rows: skills.flatMap(({ id, shortName }) => {
			const now = own.get(id);
			if (!now || now.answers === 0) return [];
			const share = sayShareBand(shareBand(now.level, now.difficulty));
			return [[shortName, now.standing, share, String(now.answers), now.lastOn ?? '']];
		})
	};
}

/**
 * Everything that is kept of one student, as a ZIP: a page that reads by itself, and the same as JSON with what each column
 * means. For whom a family asks it. Who fetched it is written down.
 */
export async function packStudent(
	database: Database,
	staff: Staff,
	school: School,
	student: Enrolled,
	at: Date
): Promise<Uint8Array<ArrayBuffer>> {
	const files = [...PEOPLE_FILES, ...WORK_FILES];
	const tables = [await standingsTable(database, school, student)];
	const data: Record<string, unknown> = {};
	for (const file of files) {
		const rows = await archiveRows(database, file, [student.id]);
		const columns = Object.entries(file.columns).filter(([name]) => name !== 'student');
		data[file.name] = rows.map((row) => asJson(row, file));
		tables.push({
			title: columnTitle(file.name),
			says: file.says,
			columns: columns.map(([name, means]) => ({ name: columnTitle(name), means })),
			rows: rows.map((row) => columns.map(([name]) => sayCell(row[name])))
		});
	}
	await audit(database, staff, at, 'fetch student file', { student: student.id });
	const about = { student: fullName(student), school: school.name, on: sayDate(school.today) };
	const { about: notes, files: meanings } = dictionaryOf(files);
	const json = { ...about, on: school.today, about: notes, files: meanings, data };
	return promisify(zip)({
		'student.html': strToU8(studentFile(about, tables)),
		'student.json': strToU8(JSON.stringify(json, null, '\t'))
	}) as Promise<Uint8Array<ArrayBuffer>>;
}
