import { plural, sayChance, sayShareBand, signed } from '$lib/core/words';
import type { CloseCall, DraftChange, DraftLimits, GroupingProblem, GroupKind, PossibleSlot } from '$lib/core/grouping';
import type { Standing } from '$lib/core/mastery';
import type { DraftGroup } from './draft.svelte';

/** A meeting time as the board names it. */
export interface BoardSlot {
	id: number;
	staffName: string;
	days: number[];
	startsAt: string;
	minutes: number;
	room: string;
}
export interface BoardStudent {
	id: number;
	givenName: string;
	familyName: string;
	className: string;
	tier: number;
}
export interface BoardSkill {
	id: number;
	shortName: string;
	code: string;
}

/** Why a student needs a focus as much as they do. */
export interface NeedWhy {
	share: { value: number; lower: number; upper: number };
	readiness: number;
	answers: number;
	standing: Standing;
	inferred: 'gap' | 'forming' | 'secure' | null;
}

/** What the page of suggested groups is made from. */
export interface BoardContent {
	problem: GroupingProblem;
	students: BoardStudent[];
	slots: BoardSlot[];
	skills: BoardSkill[];
	why: Record<string, Record<string, NeedWhy>>;
	openTimes: (PossibleSlot & { label: string })[];
	regrouped: { id: number; name: string; slotId: number; focusSkillId: number; studentIds: number[] }[];
	alsoIn: Record<string, string[]>;
	helperIds: string[];
	/** By skill: how many of the students have it secure. */
	secure: Record<number, number>;
	choices: { kind: GroupKind; focusId: number | null; studentIds: number[]; regroups: number[] };
	draft: {
		id: number;
		name: string;
		groups: DraftGroup[];
		limits: DraftLimits;
		/** Null when what was proven does not hold any more. */
		bound: number | null;
		savedAt: Date;
		savedBy: string;
		changes: DraftChange[];
	} | null;
	thin: { studentId: number; skillIds: number[] }[];
	waiting: number[];
	dates: { startsOn: string; endsOn: string; reviewOn: string };
	can: { check: boolean };
}

/** Names as the board says them. */
export interface BoardNames {
	student: (id: string) => string;
	className: (id: string) => string;
	skill: (id: string) => string;
	slot: (id: string) => string;
}

/** What a move does, in a few characters: `−0.12`, or `±0`. */
export const sayChange = (change: number) => (Math.abs(change) < 0.005 ? '±0' : signed(change, 2));

/** From this chance that all that comes before is mastered nothing more is said of it. */
const READY = 0.8;

/** Why a student needs a focus so much, in a sentence. */
export function sayNeed(why: NeedWhy | undefined, tier: number): string {
	if (!why) return 'does not need this focus';
	const share = `gets ${sayShareBand(why.share)}`;
	const ground = why.inferred ? 'going by what is near' : `from ${plural(why.answers, 'answer')}`;
	const ready =
		why.readiness >= READY
			? 'ready for it'
			: `all that comes before it is there with a chance of ${sayChance(why.readiness)}`;
	return `${share}, ${ground}; ${ready}${tier === 3 ? '; tier 3 weighs 1.5' : ''}`;
}

/** Who was close to another group, in a sentence. */
export const sayCloseCall = ({ studentId, slotId, loss }: CloseCall, names: BoardNames, focus: string) =>
	`${names.student(studentId)} could as well be in ${focus} (${names.slot(slotId)}): ${loss < 0.005 ? 'the need met would be the same' : `${loss.toFixed(2)} less`}`;

/** How the members of a group do on its focus now, from who does least to who does most; empty where it is not known of anybody. */
export function sayShares(known: (NeedWhy | undefined)[]): string {
	const ofTen = known.flatMap((why) => (why ? [Math.round(10 * why.share.value)] : []));
	if (ofTen.length === 0) return '';
	const [low, high] = [Math.min(...ofTen), Math.max(...ofTen)];
	return `right on about ${low === high ? low : `${low} to ${high}`} of 10 now`;
}
