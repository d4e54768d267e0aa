import { addDays, beginningOf, weekday } from '../src/lib/core/calendar';
import type { Database, RootDatabase } from '../src/lib/server/database/pool';
import { TIME_ZONE } from './people';

/** What a step of a meeting must show, worked out from raw tables and by formulas of its own. */
export interface StepFromTheLog {
	sessions: { planned: number; held: number; attended: number };
	/** Of a session of the group. */
	minutes: number;
	/** Questions right, probe by probe. */
	probes: number[];
	/** Median of the slopes between any two probes, in questions a week; null under three. */
	slope: number | null;
	/** Minutes of practice since the probes began. */
	practiced: number;
	/** Of the focus's domain; null without a score. */
	level: { points: number; error: number } | null;
	/** Levels of that domain in points: the last from before the probes began, and all since. */
	levels: { on: string; points: number; error: number }[];
}

const median = (values: number[]): number => {
	const sorted = [...values].sort((a, b) => a - b);
	return (sorted[(sorted.length - 1) >> 1] + sorted[sorted.length >> 1]) / 2;
};

/** Sessions of a student in a group by its weekdays and the attendance that was noted. */
async function sessionsOf(database: RootDatabase, studentId: number, groupId: number, today: string) {
	const [group] = await database.rows<{ days: number; minutes: number; fromOn: string }>(
		`SELECT slot.days, slot.minutes, member.from_on AS fromOn FROM small_group
		JOIN slot ON slot.id = small_group.slot_id
		JOIN group_membership AS member ON member.group_id = small_group.id
		WHERE small_group.id = ? AND member.student_id = ?`,
		[groupId, studentId]
	);
	let planned = 0;
	for (let day = group.fromOn; day < today; day = addDays(day, 1))
		if (weekday(day) <= 5 && group.days & (1 << (weekday(day) - 1))) planned++;
	const noted = await database.row<{ held: number; attended: number }>(
		'SELECT COUNT(*) AS held, SUM(present) AS attended FROM attendance WHERE group_id = ? AND student_id = ?',
		[groupId, studentId]
	);
	return {
		sessions: { planned, held: Number(noted!.held), attended: Number(noted!.attended) },
		minutes: group.minutes
	};
}

/**
 * Milliseconds in which answers were given: gaps of up to a minute count, of longer ones what the question took, up to a minute.
 *
 * @param until not included
 */
export async function practicedMs(
	database: Database,
	studentId: number,
	since: string,
	until = '2100-01-01'
): Promise<number> {
	const span = [studentId, beginningOf(since, TIME_ZONE), beginningOf(until, TIME_ZONE)];
	const found = await database.row<{ ms: string | null }>(
		`SELECT SUM(IF(gap <= 60000, gap, LEAST(60000, took))) AS ms FROM (
			SELECT took, COALESCE(TIMESTAMPDIFF(MICROSECOND, LAG(at) OVER (ORDER BY at, took), at) DIV 1000, 600000) AS gap FROM (
				SELECT answer.answered_at AS at, answer.milliseconds AS took FROM answer
				JOIN sitting ON sitting.id = answer.sitting_id
				WHERE answer.student_id = ? AND sitting.kind IN ('practice', 'review', 'free')
					AND answer.answered_at >= ? AND answer.answered_at < ?
				UNION ALL
				SELECT answered_at, milliseconds FROM fact_answer WHERE student_id = ? AND answered_at >= ? AND answered_at < ?
			) AS given
		) AS gaps`,
		[...span, ...span]
	);
	return Number(found!.ms ?? 0);
}

/** Those in whole minutes, as they are said. */
async function practicedMinutes(database: RootDatabase, studentId: number, since: string): Promise<number> {
	const ms = await practicedMs(database, studentId, since);
	return ms === 0 ? 0 : Math.max(1, Math.round(ms / 60_000));
}

/** One step of a meeting, from raw tables. */
export async function stepFromTheLog(
	database: RootDatabase,
	{ studentId, groupId, today }: { studentId: number; groupId: number; today: string }
): Promise<StepFromTheLog> {
	const [plan] = await database.rows<{ id: number; skillId: number; domainId: number; startsOn: string }>(
		`SELECT plan.id, plan.skill_id AS skillId, taught.domain_id AS domainId, plan.starts_on AS startsOn
		FROM probe_plan AS plan
		JOIN student ON student.id = plan.student_id
		JOIN school ON school.id = student.school_id
		JOIN framework_skill AS taught ON taught.skill_id = plan.skill_id AND taught.framework_id = school.framework_id
		WHERE plan.student_id = ? AND plan.group_id = ?`,
		[studentId, groupId]
	);
	const taken = await database.rows<{ number: number; right: number; perTwoWeeks: number }>(
		`SELECT sitting.probe_number AS number, SUM(answer.correct) AS \`right\`, plan.in_two_weeks AS perTwoWeeks
		FROM sitting JOIN answer ON answer.sitting_id = sitting.id JOIN probe_plan AS plan ON plan.id = sitting.plan_id
		WHERE sitting.plan_id = ? AND sitting.finished_at IS NOT NULL AND answer.attempt = 1
		GROUP BY sitting.id ORDER BY sitting.probe_number`,
		[plan.id]
	);
	const points = taken.map(({ number, right, perTwoWeeks }) => ({
		week: Math.floor(((number - 1) * 2) / perTwoWeeks),
		right: Number(right)
	}));
	const slopes = points.flatMap((one, i) =>
		points
			.slice(i + 1)
			.flatMap((other) => (other.week === one.week ? [] : (other.right - one.right) / (other.week - one.week)))
	);
	const score = await database.row<{ theta: number; error: number }>(
		`SELECT theta, standard_error AS error FROM score WHERE student_id = ? AND domain_id = ?
		ORDER BY taken_on DESC, source = 'diagnostic' DESC, id DESC LIMIT 1`,
		[studentId, plan.domainId]
	);
	const levels = await database.rows<{ on: string; theta: number; error: number }>(
		`SELECT taken_on AS \`on\`, theta, standard_error AS error FROM score
		WHERE student_id = ? AND domain_id = ? AND source = 'diagnostic'
		UNION ALL SELECT taken_on, theta, standard_error FROM level_score WHERE student_id = ? AND domain_id = ?
		ORDER BY \`on\``,
		[studentId, plan.domainId, studentId, plan.domainId]
	);
	const before = levels.filter(({ on }) => on < plan.startsOn);
	return {
		...(await sessionsOf(database, studentId, groupId, today)),
		probes: points.map(({ right }) => right),
		slope: new Set(points.map(({ week }) => week)).size >= 3 ? median(slopes) : null,
		practiced: await practicedMinutes(database, studentId, plan.startsOn),
		level: score && { points: Math.round(500 + 25 * score.theta), error: Math.round(25 * score.error) },
		levels: [...before.slice(-1), ...levels.filter(({ on }) => on >= plan.startsOn)].map(({ on, theta, error }) => ({
			...{ on, points: 500 + 25 * theta, error: 25 * error }
		}))
	};
}
