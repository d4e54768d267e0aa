/** A limit that a grouping breaks. Slots, students and focuses go by their ids. */
export type BrokenLimit =
	| { limit: 'unknown slot' | 'slot held twice' | 'mixed tiers'; slotId: string }
	/** `tier` is null where the limit is the same for all. */
	| { limit: 'size'; slotId: string; count: number; tier: 2 | 3 | null; minimum: number; maximum: number }
	| { limit: 'tier of slot'; slotId: string; tier: 2 | 3 }
	| { limit: 'helpers'; slotId: string; count: number; minimum: number; maximum: number }
	| { limit: 'not free'; studentId: string; slotId: string }
	| { limit: 'no need'; studentId: string; focusId: string }
	| { limit: 'apart' | 'together'; studentIds: [string, string] }
	| { limit: 'groups of a student'; studentId: string; count: number }
	| { limit: 'groups'; count: number; most: number };

/** Those of some broken limits that are not among others. */
export function newlyBroken(broken: BrokenLimit[], before: BrokenLimit[]): BrokenLimit[] {
	const known = new Set(before.map((one) => JSON.stringify(one)));
	return broken.filter((one) => !known.has(JSON.stringify(one)));
}
