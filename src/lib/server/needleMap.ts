import type { SchoolDate } from '../core/calendar';
import { readyNext, supposed, type SkillGraph, type StandingNow } from '../core/mastery';
import type { Database } from './database/pool';
import type { Skill } from './store/skills';
import { readStandings } from './store/standings';

/** One letter a cell keeps the page small: g f s l u as seen, G F S as inferred. */
const letters = { gap: 'g', forming: 'f', secure: 's', slipping: 'l', unseen: 'u' } as const;

/** A row of the needle map: one character a skill, in teaching order. */
export interface MapRow {
	id: number;
	cells: string;
	/** `1` where the skill is ready next. */
	ready: string;
	/** Evidence count in base 36, at most 35. */
	answers: string;
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
		const readySkills = new Set(readyNext(graph, secure));
		let cells = '';
		let ready = '';
		let answers = '';
		let gaps = 0;
		for (const skill of skills) {
			const now = own.get(skill.id);
			const letter = !now ? 'u' : now.inferred ? letters[now.inferred].toUpperCase() : letters[now.standing];
			cells += letter;
			ready += readySkills.has(skill.id) ? '1' : '0';
			answers += Math.min(35, now?.answers ?? 0).toString(36);
			if (letter === 'g') gaps++;
		}
		return { id, cells, ready, answers, gaps };
	});
	return { rows, standings };
}
