import type { SchoolDate } from '../../core/calendar';
import { masteredIn, readyNext, writeCell, type SkillGraph, type StandingNow } from '../../core/mastery';
import type { Database } from '../database';
import type { Skill } from '../library';
import { readStandings } from '../standing';
import type { VisibleId } from '../request';

/** A row of the needle map. */
export interface MapRow {
	/** Of the student. */
	id: number;
	/** A written cell a skill, in teaching order. */
	cells: string;
}

/** The needle map of some students on a day, and the standings it shows. */
export async function needleMap(
	database: Database,
	studentIds: VisibleId[],
	skills: Skill[],
	graph: SkillGraph,
	today: SchoolDate
): Promise<{ rows: MapRow[]; standings: Map<number, Map<number, StandingNow>> }> {
	const standings = await readStandings(database, studentIds);
	const rows = studentIds.map((id) => {
		const own = standings.get(id)!;
		const ready = new Set(readyNext(graph, masteredIn(own)));
		let cells = '';
		for (const skill of skills) {
			const now = own.get(skill.id);
			cells += writeCell(now, ready.has(skill.id), today);
		}
		return { id, cells };
	});
	return { rows, standings };
}
