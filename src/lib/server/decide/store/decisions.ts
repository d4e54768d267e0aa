import type { SchoolDate } from '../../../core/calendar';
import { type Advice, BACK_WITHIN_DAYS, type Tier, type TierSpan, type Verdict } from '../../../core/growth';
import type { Database } from '../../database';
import { rosterSql, type Roster } from '../../people';
import type { VisibleId } from '../../request';
import { type Part, type Review, REVIEW, type ReviewRow, toReview } from './reviews';

/** Which decisions are looked for; null for any. Days are those on which they take effect. */
export interface DecisionFilter {
	from: SchoolDate | null;
	until: SchoolDate | null;
	verdict: Verdict | null;
	/** Whether the verdict was as advised. */
	asAdvised: boolean | null;
	groupId: number | null;
	/** Who recorded it. */
	byId: number | null;
}

/** SQL: whether a verdict is as advised (`isAsAdvised` in core/growth). */
const AS_ADVISED = `review.verdict = IF(review.advice IN ('deliver first', 'not enough yet'), 'continue', review.advice)`;

function whereOf({ from, until, verdict, asAdvised, groupId, byId }: DecisionFilter) {
	const parts: [string, string | number | null][] = [
		['review.effective_on >= ?', from],
		['review.effective_on <= ?', until],
		['review.verdict = ?', verdict],
		[`(${AS_ADVISED}) = ?`, asAdvised === null ? null : Number(asAdvised)],
		['review.group_id = ?', groupId],
		['review.decided_by = ?', byId]
	];
	const asked = parts.filter(([, value]) => value !== null);
	return {
		sql: ['review.verdict IS NOT NULL', ...asked.map(([sql]) => sql)].join(' AND '),
		values: asked.map(([, value]) => value)
	};
}

/** Decisions on students of a roster, the latest first; a part of the list, and how many there are. */
export async function findDecisions(
	database: Database,
	roster: Roster,
	filter: DecisionFilter,
	{ from, most }: Part
): Promise<{ reviews: Review[]; total: number }> {
	const among = rosterSql(roster);
	const where = whereOf(filter);
	const values = [...among.values, ...where.values];
	const [counted, rows] = await Promise.all([
		database.row<{ total: number }>(
			`SELECT COUNT(*) AS total FROM ${among.sql} AS roster
			STRAIGHT_JOIN review ON review.student_id = roster.id WHERE ${where.sql}`,
			values
		),
		database.rows<ReviewRow>(
			`${REVIEW} JOIN ${among.sql} AS roster ON roster.id = review.student_id
			WHERE ${where.sql} ORDER BY review.decided_at DESC, review.id DESC LIMIT ${Number(most)} OFFSET ${Number(from)}`,
			values
		)
	]);
	return { reviews: rows.map(toReview), total: Number(counted!.total) };
}

/** A verdict with what came after it, as far as it is known. */
export interface DecidedSince {
	verdict: Verdict;
	advice: Advice;
	effectiveOn: SchoolDate;
	next: Verdict | null;
	cameBack: boolean;
}

/** Verdicts of a roster that take effect from a day on, each with the next one on the same student. */
export async function decidedSince(database: Database, roster: Roster, since: SchoolDate): Promise<DecidedSince[]> {
	const among = rosterSql(roster);
	const rows = await database.rows<Omit<DecidedSince, 'cameBack'> & { cameBack: number }>(
		`SELECT review.verdict, review.advice, review.effective_on AS effectiveOn,
			LEAD(review.verdict) OVER (PARTITION BY review.student_id ORDER BY review.decided_at, review.id) AS next,
			review.verdict = 'exit' AND EXISTS (SELECT 1 FROM tier_interval AS tier
				WHERE tier.student_id = review.student_id AND tier.tier > 1 AND tier.from_on > review.effective_on
					AND tier.from_on <= LEAST(review.effective_on + INTERVAL ? DAY, ?)) AS cameBack
		FROM ${among.sql} AS roster
		STRAIGHT_JOIN review ON review.student_id = roster.id
		WHERE review.verdict IS NOT NULL AND review.effective_on >= ?`,
		[BACK_WITHIN_DAYS, roster.today, ...among.values, since]
	);
	return rows.map((row) => ({ ...row, cameBack: Boolean(row.cameBack) }));
}

/** Days in tiers of all students of a roster, by student and day. */
export async function tiersOf(database: Database, roster: Roster): Promise<TierSpan[]> {
	const among = rosterSql(roster);
	return database.rows<{ studentId: VisibleId; tier: Tier; from: SchoolDate; until: SchoolDate | null }>(
		`SELECT tier.student_id AS studentId, tier.tier, tier.from_on AS \`from\`, tier.until_on AS until
		FROM ${among.sql} AS roster STRAIGHT_JOIN tier_interval AS tier ON tier.student_id = roster.id
		ORDER BY tier.student_id, tier.from_on, tier.id`,
		among.values
	);
}
