import type { SchoolDate } from '../../../core/calendar';
import type { Phase } from '../../../core/growth';
import type { Database } from '../../database';
import type { ProbePlan } from './probes';

/** What changed for the student of a plan since it began, by plan, the earliest first. */
export async function phasesOf(
	database: Database,
	plans: Pick<ProbePlan, 'id' | 'studentId' | 'groupId' | 'startsOn'>[]
): Promise<Map<number, Phase[]>> {
	if (plans.length === 0) return new Map();
	const students = [...new Set(plans.map(({ studentId }) => studentId))];
	const groups = [...new Set(plans.flatMap(({ groupId }) => groupId ?? []))];
	const [joined, focuses, tiers, verdicts] = await Promise.all([
		database.rows<{ studentId: number; groupId: number; name: string; on: SchoolDate }>(
			`SELECT membership.student_id AS studentId, membership.group_id AS groupId, small_group.name, membership.from_on AS \`on\`
			FROM group_membership AS membership
			JOIN small_group ON small_group.id = membership.group_id
			WHERE membership.student_id IN (?)`,
			[students]
		),
		groups.length
			? database.rows<{ groupId: number; skillId: number; on: SchoolDate }>(
					'SELECT group_id AS groupId, skill_id AS skillId, from_on AS `on` FROM group_focus WHERE group_id IN (?)',
					[groups]
				)
			: [],
		database.rows<{ studentId: number; tier: 1 | 2 | 3; on: SchoolDate }>(
			`SELECT tier.student_id AS studentId, tier.tier, tier.from_on AS \`on\`
			FROM student FORCE INDEX (PRIMARY) STRAIGHT_JOIN tier_interval AS tier ON tier.student_id = student.id
			WHERE student.id IN (?)`,
			[students]
		),
		database.rows<{ studentId: number; verdict: 'adjust' | 'intensify' | 'fade'; change: string; on: SchoolDate }>(
			`SELECT student_id AS studentId, verdict, plan_change AS \`change\`, effective_on AS \`on\` FROM review FORCE INDEX (by_student)
			WHERE student_id IN (?) AND verdict IN ('adjust', 'intensify', 'fade')`,
			[students]
		)
	]);
	return new Map(
		plans.map((plan) => {
			const since = <Row extends { on: SchoolDate }>(rows: Row[], isOwn: (row: Row) => boolean) =>
				rows.filter((row) => isOwn(row) && row.on > plan.startsOn);
			const own = ({ studentId }: { studentId: number }) => studentId === plan.studentId;
			const phases: Phase[] = [
				...since(joined, (row) => own(row) && row.groupId === plan.groupId).map(({ on, name }): Phase => ({
					is: 'group',
					on,
					name
				})),
				...since(focuses, ({ groupId }) => groupId === plan.groupId).map(({ on, skillId }): Phase => ({
					is: 'focus',
					on,
					skillId
				})),
				...since(tiers, own).map(({ on, tier }): Phase => ({ is: 'tier', on, tier })),
				...since(verdicts, own).map(({ on, verdict, change }): Phase => ({ is: 'verdict', on, verdict, change }))
			];
			return [plan.id, phases.sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0))];
		})
	);
}
