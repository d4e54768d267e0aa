import { addDays, daysBetween, type SchoolDate } from '../calendar';
import { BACK_WITHIN_DAYS } from './verdict';

export type Tier = 1 | 2 | 3;

/** Days in a tier; before the first and between them a student is in tier 1. */
export interface TierSpan {
	studentId: number;
	tier: Tier;
	from: SchoolDate;
	/** The first day after it; null while it goes on. */
	until: SchoolDate | null;
}

/** A change from one tier to another. */
export interface TierMove {
	studentId: number;
	from: Tier;
	to: Tier;
	on: SchoolDate;
}

/** A student's tiers in their order without gaps: where no span says otherwise, tier 1. */
function withoutGaps(spans: TierSpan[]): TierSpan[] {
	const sorted = [...spans].filter(({ from, until }) => until === null || until > from).sort(byStart);
	const whole: TierSpan[] = [];
	for (const span of sorted) {
		const last = whole[whole.length - 1];
		if (last && last.until !== null && last.until < span.from)
			whole.push({ studentId: span.studentId, tier: 1, from: last.until, until: span.from });
		const before = whole[whole.length - 1];
		if (before && before.tier === span.tier && before.until === span.from) before.until = span.until;
		else whole.push({ ...span });
	}
	const last = whole[whole.length - 1];
	if (last && last.until !== null && last.tier !== 1)
		whole.push({ studentId: last.studentId, tier: 1, from: last.until, until: null });
	return whole;
}

const byStart = (a: TierSpan, b: TierSpan) => (a.from < b.from ? -1 : a.from > b.from ? 1 : 0);

function byStudent(spans: TierSpan[]): Map<number, TierSpan[]> {
	const found = new Map<number, TierSpan[]>();
	for (const span of spans) found.set(span.studentId, [...(found.get(span.studentId) ?? []), span]);
	return new Map([...found].map(([id, own]) => [id, withoutGaps(own)]));
}

/** How many of some students are in each tier on some days. */
export function countTiers(studentIds: number[], spans: TierSpan[], days: SchoolDate[]): Record<Tier, number>[] {
	const own = byStudent(spans);
	return days.map((day) => {
		const counts = { 1: 0, 2: 0, 3: 0 };
		for (const id of studentIds) {
			const span = own.get(id)?.find(({ from, until }) => from <= day && (until === null || until > day));
			counts[span?.tier ?? 1]++;
		}
		return counts;
	});
}

/** Changes of tier in a time, the latest first. A first span in tier 2 or 3 is a change from tier 1. */
export function tierMoves(spans: TierSpan[], since: SchoolDate, today: SchoolDate): TierMove[] {
	const moves: TierMove[] = [];
	for (const [studentId, own] of byStudent(spans))
		own.forEach((span, i) => {
			const from = own[i - 1]?.tier ?? 1;
			if (span.tier !== from && span.from >= since && span.from <= today)
				moves.push({ studentId, from, to: span.tier, on: span.from });
		});
	return moves.sort((a, b) => (a.on < b.on ? 1 : a.on > b.on ? -1 : a.studentId - b.studentId));
}

/** How long students stay in a tier. */
export interface TierStays {
	/** Stays that ended. */
	ended: number;
	/** Median length of those, in weeks; null where none ended. */
	medianWeeks: number | null;
	/** Stays that go on. */
	running: number;
}

/** How long students stay in tier 2 or 3, of stays that began by today. */
export function tierStays(spans: TierSpan[], tier: 2 | 3, today: SchoolDate): TierStays {
	const stays = [...byStudent(spans).values()].flat().filter((span) => span.tier === tier && span.from <= today);
	const weeks = stays
		.filter(({ until }) => until !== null && until <= today)
		.map(({ from, until }) => daysBetween(from, until!) / 7)
		.sort((a, b) => a - b);
	const middle = weeks.length >> 1;
	const median = weeks.length % 2 ? weeks[middle] : (weeks[middle - 1] + weeks[middle]) / 2;
	return { ended: weeks.length, medianWeeks: weeks.length ? median : null, running: stays.length - weeks.length };
}

/** Of those who left tiers 2 and 3 by a day, how many came back within eight weeks; those who left later are not counted yet. */
export function comebacks(spans: TierSpan[], today: SchoolDate): { left: number; back: number; tooEarly: number } {
	const found = { left: 0, back: 0, tooEarly: 0 };
	for (const own of byStudent(spans).values())
		own.forEach((span, i) => {
			if (span.tier !== 1 || i === 0 || span.from > today) return;
			const next = own[i + 1];
			const isBack = next !== undefined && next.from <= today && daysBetween(span.from, next.from) <= BACK_WITHIN_DAYS;
			if (!isBack && addDays(span.from, BACK_WITHIN_DAYS) > today) found.tooEarly++;
			else {
				found.left++;
				if (isBack) found.back++;
			}
		});
	return found;
}

/** Counts under this are not told apart by what is said of students. */
export const TOLD_FROM = 5;

/**
 * Counts of students by attribute, as they may be shown: none of 1 to 4; and where only one of a row or column is hidden, which
 * could be worked out from its sum, the smallest other is hidden, too.
 *
 * @param rows counts by value of the attribute, all with the same columns
 * @returns the same, null where it is not told
 */
export function toldApart(rows: number[][]): (number | null)[][] {
	const told: (number | null)[][] = rows.map((row) =>
		row.map((count) => (count > 0 && count < TOLD_FROM ? null : count))
	);
	const columns = rows[0]?.map((_, column) => rows.map((_, row) => ({ row, column }))) ?? [];
	const lines = [...columns, ...rows.map((cells, row) => cells.map((_, column) => ({ row, column })))];
	// Hiding one more in a column may leave one alone in a row, and the other way round.
	for (let isChanged = true; isChanged;) {
		isChanged = false;
		for (const line of lines) {
			const shown = line.filter(({ row, column }) => told[row][column] !== null);
			if (line.length - shown.length !== 1 || shown.length === 0) continue;
			const least = shown.reduce((a, b) => (rows[b.row][b.column] < rows[a.row][a.column] ? b : a));
			told[least.row][least.column] = null;
			isChanged = true;
		}
	}
	return told;
}
