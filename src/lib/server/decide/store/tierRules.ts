import type { SchoolDate } from '../../../core/calendar';
import { type Tier, type TierRule, USUAL_TIER_RULE } from '../../../core/growth';
import { audit, type Database, requireOwn, type RootDatabase } from '../../database';
import { rosterSql, type Roster } from '../../people';
import { type Staff, undoesAll, type VisibleId } from '../../request';
import { forgetReadingsOf } from '../../track';

/** A school's rule of who enters a tier: its own, or as shipped. */
export async function tierRule(database: Database, schoolId: number): Promise<{ rule: TierRule; isOwn: boolean }> {
	const row = await database.row<Omit<TierRule, 'word'> & { word: number }>(
		`SELECT far_below AS farBelow, sure / 100 AS sure, gaps, word, least_weeks AS leastWeeks, most_weeks AS mostWeeks
		FROM tier_rule WHERE school_id = ?`,
		[schoolId]
	);
	if (!row) return { rule: USUAL_TIER_RULE, isOwn: false };
	return { rule: { ...row, sure: Number(row.sure), word: Boolean(row.word) }, isOwn: true };
}

/** Takes another rule; null takes the shipped one again. @returns the one before, null where it was the shipped one */
export async function changeTierRule(
	database: RootDatabase,
	staff: Staff,
	rule: TierRule | null,
	at: Date
): Promise<TierRule | null> {
	return database.transaction(async (transaction) => {
		const before = await tierRule(transaction, staff.schoolId);
		if (rule)
			await transaction.run(
				`REPLACE INTO tier_rule (school_id, far_below, sure, gaps, word, least_weeks, most_weeks)
				VALUES (?, ?, ?, ?, ?, ?, ?)`,
				[
					...[staff.schoolId, rule.farBelow, Math.round(100 * rule.sure), rule.gaps],
					...[rule.word, rule.leastWeeks, rule.mostWeeks]
				]
			);
		else await transaction.run('DELETE FROM tier_rule WHERE school_id = ?', [staff.schoolId]);
		await audit(transaction, staff, at, 'change the tier rule', { before: before.rule, after: rule });
		return before.isOwn ? before.rule : null;
	});
}

/** What an adult says of a student for the rule. */
export interface TierWord {
	id: number;
	studentId: VisibleId;
	says: 'needs more' | 'stays';
	reason: string;
	byId: number;
	by: string;
	untilOn: SchoolDate;
}

/** What holds today of what adults said of a roster's students, the latest first. */
export async function tierWords(database: Database, roster: Roster): Promise<TierWord[]> {
	const among = rosterSql(roster);
	return database.rows<TierWord>(
		`SELECT word.id, word.student_id AS studentId, word.says, word.reason, word.said_by AS byId,
			account.display_name AS \`by\`, word.until_on AS untilOn
		FROM ${among.sql} AS roster
		STRAIGHT_JOIN tier_word AS word ON word.student_id = roster.id AND word.until_on >= ?
		STRAIGHT_JOIN account ON account.id = word.said_by
		WHERE word.taken_back_at IS NULL ORDER BY word.said_at DESC, word.id DESC`,
		[...among.values, roster.today]
	);
}

/** Says something of a student for the rule. @returns id */
export async function sayTierWord(
	database: RootDatabase,
	staff: Staff,
	word: { studentId: number } & Pick<TierWord, 'says' | 'reason' | 'untilOn'>,
	at: Date
): Promise<number> {
	return database.transaction(async (transaction) => {
		await requireOwn(transaction, staff, { student: [word.studentId] });
		const { insertId } = await transaction.run(
			'INSERT INTO tier_word (student_id, says, reason, said_by, said_at, until_on) VALUES (?, ?, ?, ?, ?, ?)',
			[word.studentId, word.says, word.reason, staff.id, at, word.untilOn]
		);
		await audit(transaction, staff, at, 'say a word for the tier rule', { word: insertId, student: word.studentId });
		return insertId;
	});
}

/** Takes a word back: one's own, of specialists and coordinators anyone's. @returns whether there was one */
export async function takeBackTierWord(database: RootDatabase, staff: Staff, id: number, at: Date): Promise<boolean> {
	return database.transaction(async (transaction) => {
		const ownOnly = undoesAll(staff.role) ? '' : 'AND word.said_by = ?';
		const word = await transaction.row<{ studentId: number }>(
			`SELECT word.student_id AS studentId FROM tier_word AS word JOIN student ON student.id = word.student_id
			WHERE word.id = ? AND student.school_id = ? AND word.taken_back_at IS NULL ${ownOnly} FOR UPDATE`,
			[id, staff.schoolId, ...(ownOnly ? [staff.id] : [])]
		);
		if (!word) return false;
		await transaction.run('UPDATE tier_word SET taken_back_at = ? WHERE id = ?', [at, id]);
		await audit(transaction, staff, at, 'take back a word for the tier rule', { word: id, student: word.studentId });
		return true;
	});
}

/** Moves students into tiers from a day on; who is in that tier then stays as they are. @returns ids of what was begun */
export async function moveTiers(
	database: RootDatabase,
	staff: Staff,
	moves: { studentId: number; tier: Tier }[],
	on: SchoolDate,
	at: Date
): Promise<number[]> {
	return database.transaction(async (transaction) => {
		const students = moves.map(({ studentId }) => studentId);
		await requireOwn(transaction, staff, { student: students });
		await transaction.rows('SELECT id FROM student WHERE id IN (?) ORDER BY id FOR UPDATE', [[0, ...students]]);
		const begun: number[] = [];
		for (const { studentId, tier } of moves) {
			const now = await transaction.row<{ id: number; tier: Tier; fromOn: SchoolDate }>(
				`SELECT id, tier, from_on AS fromOn FROM tier_interval
				WHERE student_id = ? AND until_on IS NULL ORDER BY from_on DESC LIMIT 1`,
				[studentId]
			);
			// What begins only later is another's decision.
			if ((now?.tier ?? 1) === tier || (now && now.fromOn > on)) continue;
			if (now) await transaction.run('UPDATE tier_interval SET until_on = ? WHERE id = ?', [on, now.id]);
			const { insertId } = await transaction.run(
				'INSERT INTO tier_interval (student_id, tier, from_on, moved_by, ended_id) VALUES (?, ?, ?, ?, ?)',
				[studentId, tier, on, staff.id, now?.id ?? null]
			);
			begun.push(insertId);
		}
		await forgetReadingsOf(transaction, students);
		if (begun.length) await audit(transaction, staff, at, 'move students by the tier rule', { students, tiers: begun });
		return begun;
	});
}

/** Takes moves back that nothing builds on. @returns how many */
export async function takeBackTierMoves(
	database: RootDatabase,
	staff: Staff,
	ids: number[],
	at: Date
): Promise<number> {
	return database.transaction(async (transaction) => {
		const moves = await transaction.rows<{ id: number; endedId: number | null; studentId: number }>(
			`SELECT tier.id, tier.ended_id AS endedId, tier.student_id AS studentId
			FROM tier_interval AS tier JOIN student ON student.id = tier.student_id
			WHERE tier.id IN (?) AND student.school_id = ? AND tier.moved_by IS NOT NULL AND tier.until_on IS NULL
				AND NOT EXISTS (SELECT 1 FROM review WHERE review.ended_tier_id = tier.id) FOR UPDATE`,
			[[0, ...ids], staff.schoolId]
		);
		for (const { id, endedId } of moves) {
			await transaction.run('DELETE FROM tier_interval WHERE id = ?', [id]);
			if (endedId) await transaction.run('UPDATE tier_interval SET until_on = NULL WHERE id = ?', [endedId]);
		}
		const students = moves.map(({ studentId }) => studentId);
		await forgetReadingsOf(transaction, students);
		if (moves.length) await audit(transaction, staff, at, 'take back moves by the tier rule', { students });
		return moves.length;
	});
}
