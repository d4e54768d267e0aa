import { sayDate } from '$lib/core/calendar';
import type { FluencyScore } from '$lib/core/fluency';
import type { WindowStudent } from '$lib/core/screening';

/** A student on the board of sittings. */
export interface SittingRow extends WindowStudent {
	/** When the last answer came, or the measure was given. */
	lastAt: string | null;
	/** Score of a measure that was given. */
	given: FluencyScore | null;
	note: { kind: 'absent' | 'excused' | null; reason: string; makeUpUntil: string | null } | null;
	accommodation: { readAloud: boolean; largerType: boolean; timeFactor: number; itemsADay: number | null };
	sitting: {
		id: number;
		trust: string;
		answered: number;
		/** How many questions there are; null while an adaptive sitting is under way. */
		of: number | null;
		flags: { flag: string; reason: string; domainIds: number[] }[];
		/** The domain that is or will be sat again. */
		resitOf: string | null;
	} | null;
}

/** What a student's place in the window is, beyond its status, in words; empty where the status says all. */
export function sayPlace({ status, sitting, given, note }: SittingRow): string {
	const parts: string[] = [];
	if (given) parts.push(`${Math.round(given.correctPerMinute)} ± ${Math.round(given.standardError)} correct a minute`);
	if (sitting && (status === 'under way' || status === 'needs another look')) {
		parts.push(`${sitting.answered}${sitting.of === null ? '' : ` of ${sitting.of}`} answered`);
	}
	if (sitting?.resitOf) parts.push(`${sitting.resitOf} again`);
	if (note?.reason) parts.push(note.reason);
	if (note?.makeUpUntil) parts.push(`can make up until ${sayDate(note.makeUpUntil)}`);
	return parts.join(' · ');
}

/** The domain that most doubts are about, the first named of several; undefined when none is about a domain. */
export function mostDoubtfulDomain(doubts: { domainIds: number[] }[]): number | undefined {
	const counts = new Map<number, number>();
	for (const id of doubts.flatMap(({ domainIds }) => domainIds)) counts.set(id, (counts.get(id) ?? 0) + 1);
	const most = Math.max(...counts.values());
	return [...counts.keys()].find((id) => counts.get(id) === most);
}
