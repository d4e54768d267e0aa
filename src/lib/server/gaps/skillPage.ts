import { ownStanding, type Standing } from '../../core/mastery';
import type { Database } from '../database';
import type { RosterStudent } from '../people';
import { FIRST_ROWS } from '../request';
import type { School } from '../school';
import { readCells, readStandings } from '../standing';

/** Those who need a skill most come first. */
const ORDER: Standing[] = ['gap', 'slipping', 'forming', 'unseen', 'secure'];

/** How students stand on a skill: how many each way, the order of their rows and the first of them. */
export async function studentsOnSkill(database: Database, school: School, students: RosterStudent[], skillId: number) {
	const ids = students.map(({ id }) => id);
	const cells = await readCells(database, school.id, ids);
	const standings = new Map(ids.map((id) => [id, ownStanding(cells.looksOf(id)(skillId))]));
	const byStanding = ORDER.map((standing) => ({
		standing,
		students: students.filter(({ id }) => standings.get(id) === standing)
	})).filter(({ students: members }) => members.length);
	const shown = byStanding.flatMap(({ students: members }) => members);
	return {
		counts: byStanding.map(({ standing, students: members }) => ({ standing, count: members.length })),
		lacking: byStanding
			.filter(({ standing }) => standing === 'gap' || standing === 'slipping')
			.flatMap(({ students: members }) => members.map(({ id }) => id as number)),
		ids: shown.map(({ id }) => id as number),
		rows: await skillRows(database, shown.slice(0, FIRST_ROWS), skillId)
	};
}

/** Rows of some students on a skill. */
export async function skillRows(database: Database, students: RosterStudent[], skillId: number) {
	const standings = await readStandings(
		database,
		students.map(({ id }) => id)
	);
	return students.map(({ id, givenName, familyName, className }) => ({
		id: id as number,
		givenName,
		familyName,
		className,
		now: standings.get(id)!.get(skillId)!
	}));
}
