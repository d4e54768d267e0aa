import { GROWTH_PRIOR, type GrowthMoves } from '../../../core/growth';
import type { Database } from '../../database';

/** How a school's students move by its own series. */
export interface KeptMoves extends GrowthMoves {
	/** From how many series. */
	series: number;
}

/** How a school's students move by its own series; null while there are too few. */
export async function growthMoves(database: Database, schoolId: number): Promise<KeptMoves | null> {
	const row = await database.row<{ mean: number; sd: number; chance: number; series: number }>(
		`SELECT slope_mean AS mean, slope_sd AS sd, jump_chance AS chance, series FROM growth_moves WHERE school_id = ?`,
		[schoolId]
	);
	return (
		row && {
			slope: { mean: row.mean, sd: row.sd },
			jump: { ...GROWTH_PRIOR.jump, chance: row.chance },
			series: row.series
		}
	);
}

/** Of which series that was worked out; null for never. */
export async function movesMadeOf(database: Database, schoolId: number): Promise<Buffer | null> {
	const row = await database.row<{ madeOf: Buffer }>('SELECT made_of AS madeOf FROM growth_moves WHERE school_id = ?', [
		schoolId
	]);
	return row?.madeOf ?? null;
}

/** Keeps how a school's students move. */
export async function keepMoves(
	database: Database,
	schoolId: number,
	{ slope, jump, series }: KeptMoves,
	madeOf: Buffer,
	at: Date
): Promise<void> {
	await database.run(
		`INSERT INTO growth_moves (school_id, slope_mean, slope_sd, jump_chance, series, made_of, made_at)
		VALUES (?, ?, ?, ?, ?, ?, ?)
		ON DUPLICATE KEY UPDATE slope_mean = VALUES(slope_mean), slope_sd = VALUES(slope_sd), jump_chance = VALUES(jump_chance),
			series = VALUES(series), made_of = VALUES(made_of), made_at = VALUES(made_at)`,
		[schoolId, slope.mean, slope.sd, jump.chance, series, madeOf, at]
	);
}

/** The newest plans of a school with so many probes taken or more, and how many they have; watches after an exit left out. */
export async function plansToPool(
	database: Database,
	schoolId: number,
	{ probes, most }: { probes: number; most: number }
): Promise<{ id: number; taken: number }[]> {
	const rows = await database.rows<{ id: number; taken: number }>(
		`SELECT plan.id, COUNT(*) AS taken
		FROM student
		STRAIGHT_JOIN probe_plan AS plan ON plan.student_id = student.id AND NOT plan.after_exit
		STRAIGHT_JOIN sitting ON sitting.plan_id = plan.id AND sitting.finished_at IS NOT NULL
		WHERE student.school_id = ?
		GROUP BY plan.id HAVING COUNT(*) >= ?
		ORDER BY plan.id DESC LIMIT ?`,
		[schoolId, probes, most]
	);
	return rows.map(({ id, taken }) => ({ id, taken: Number(taken) }));
}
