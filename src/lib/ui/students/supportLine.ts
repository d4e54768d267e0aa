import { addDays, daysBetween, monthsBefore, sayDay, type SchoolDate } from '$lib/core/calendar';

/** What is drawn of a student's support through time. */
export interface SupportSpans {
	tiers: { tier: number; fromOn: SchoolDate; untilOn: SchoolDate | null }[];
	groups: { name: string; fromOn: SchoolDate; untilOn: SchoolDate | null }[];
	verdicts: { verdict: string; effectiveOn: SchoolDate | null; change: string }[];
}

/** A stretch on the line: its place and width, 0 to 1. */
interface Stretch {
	from: number;
	width: number;
	says: string;
}

/** A line through time, everything at its place from 0 (the first day) to 1 (the last). */
export interface SupportLine {
	tiers: (Stretch & { tier: number })[];
	/** A row a group, those that do not overlap in one row. */
	groups: Stretch[][];
	/** Decisions in their order; labels of those close together are on rows of their own. */
	marks: { at: number; row: number; says: string }[];
	months: { at: number; says: string }[];
	today: number;
}

/** At least so much is drawn, so that a new student's line is one. */
const LEAST_DAYS = 90;
/** Room of one label, as a part of the line. */
const LABEL = 0.17;

/** Lays a student's tiers, groups and decisions out from the first of them to today or the last planned day. */
export function layOutSupport({ tiers, groups, verdicts }: SupportSpans, today: SchoolDate): SupportLine | null {
	const decided = verdicts.flatMap(({ effectiveOn, ...one }) => (effectiveOn ? [{ ...one, on: effectiveOn }] : []));
	const starts = [...tiers, ...groups].map(({ fromOn }) => fromOn).concat(decided.map(({ on }) => on));
	if (starts.length === 0) return null;
	const first = [...starts, addDays(today, -LEAST_DAYS)].sort()[0];
	const ends = [...tiers, ...groups].flatMap(({ untilOn }) => untilOn ?? []);
	const last = [...ends, ...decided.map(({ on }) => on), today].sort().at(-1)!;
	const whole = daysBetween(first, addDays(last, 1));
	const at = (day: SchoolDate) => Math.min(1, Math.max(0, daysBetween(first, day) / whole));
	const stretch = (fromOn: SchoolDate, untilOn: SchoolDate | null, says: string): Stretch => ({
		from: at(fromOn),
		width: at(untilOn ?? addDays(last, 1)) - at(fromOn),
		says
	});
	const rows: Stretch[][] = [];
	for (const { name, fromOn, untilOn } of [...groups].sort((a, b) => (a.fromOn < b.fromOn ? -1 : 1))) {
		const one = stretch(fromOn, untilOn, name);
		const row = rows.find((others) => others.every(({ from, width }) => from + width <= one.from + 1e-9));
		if (row) row.push(one);
		else rows.push([one]);
	}
	const free: number[] = [];
	const marks = [...decided]
		.sort((a, b) => (a.on < b.on ? -1 : 1))
		.map(({ verdict, change, on }) => {
			const place = at(on);
			const row = free.findIndex((until) => until <= place);
			const chosen = row === -1 ? free.length : row;
			free[chosen] = place + LABEL;
			return { at: place, row: chosen, says: `${verdict}${change ? `: ${change}` : ''}, ${sayDay(on)}` };
		});
	const months: SupportLine['months'] = [];
	for (let month = `${last.slice(0, 7)}-01`; month >= first; month = monthsBefore(month, 1))
		months.unshift({ at: at(month), says: sayDay(month).split(' ')[0] });
	return {
		tiers: tiers.map(({ tier, fromOn, untilOn }) => ({ tier, ...stretch(fromOn, untilOn, `tier ${tier}`) })),
		groups: rows,
		marks,
		months,
		today: at(today)
	};
}
