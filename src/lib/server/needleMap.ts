import type { SchoolDate } from '../core/calendar';
import { readyNext, supposed, writeCell, type SkillGraph, type StandingNow } from '../core/mastery';
import type { Database } from './database/pool';
import type { Skill } from './store/skills';
import { readStandings } from './store/standings';

/** A row of the needle map. */
export interface MapRow {
	/** Of the student. */
	id: number;
	/** A written cell a skill, in teaching order. */
	cells: string;
	/** Gaps with evidence. */
	gaps: number;
}

/** The needle map of some students on a day, and the standings it shows. */
export async function needleMap(
	database: Database,
	studentIds: number[],
	skills: Skill[],
	graph: SkillGraph,
	today: SchoolDate
): Promise<{ rows: MapRow[]; standings: Map<number, Map<number, StandingNow>> }> {
	const standings = await readStandings(database, studentIds, today);
	const rows = studentIds.map((id) => {
		const own = standings.get(id)!;
		const secure = (skillId: number) => {
			const now = own.get(skillId);
			return now !== undefined && supposed(now) === 'secure';
		};
		const ready = new Set(readyNext(graph, secure));
		let cells = '';
		let gaps = 0;
		for (const skill of skills) {
			const now = own.get(skill.id);
			cells += writeCell(now, ready.has(skill.id));
			if (now?.standing === 'gap') gaps++;
		}
		return { id, cells, gaps };
	});
	return { rows, standings };
}
