import type { SchoolDate } from '$lib/core/calendar';
import type { Advice, AdviceFrom, Level, LevelMarks, Recommendation, RobustLine, Verdict } from '$lib/core/growth';
import type { GroupWork } from '$lib/core/grouping';
import type { StandingNow } from '$lib/core/mastery';
import type { Sessions } from '$lib/core/timetable';
import type { ShownLetter } from '../sheets/sayLetter';
import type { ShownSeries } from '../track/seriesContent';
import type { JoinChoice } from './decision.svelte';

/** A verdict as it was recorded. */
export interface ShownVerdict {
	id: number;
	groupName: string | null;
	verdict: Verdict | null;
	advice: Advice | null;
	effectiveOn: SchoolDate | null;
	newTier: number | null;
	note: string;
	against: string;
	change: string;
	familyTold: string;
	decidedBy: string | null;
}

export interface ShownTask {
	id: number;
	/** Null for what was asked for outside a review. */
	reviewId: number | null;
	who: string;
	what: string;
	dueOn: SchoolDate;
	doneAt: Date | null;
}

/** All that is looked at when one review is decided, as pages have it. */
export interface ShownStep {
	review: ShownVerdict & { dueOn: SchoolDate };
	student: { id: number; givenName: string; familyName: string; className: string; grade: number; tier: 1 | 2 | 3 };
	/** Null where it has ended, or there was none. */
	group: { name: string; tier: 2 | 3; startsOn: SchoolDate; minutes: number | null } | null;
	focus: { id: number; name: string } | null;
	/** The weekly probes; null without any. */
	asked: {
		plan: ShownSeries & { studentId: number; rate: RobustLine | null; levels: Level[] };
		practiced: number;
		marks: LevelMarks;
	} | null;
	/** Measures that an adult gives week by week, each with what it says. */
	measures: { id: number; says: string[] }[];
	sessions: Sessions | null;
	recommendation: Recommendation;
	/** What the advice will be after the next probe. */
	next: AdviceFrom[];
	around: {
		now: StandingNow | null;
		lacking: number[];
		builtOn: { id: number; now: StandingNow | null; isReady: boolean }[];
	} | null;
	level: { domain: string; points: number; error: number; cut: number; takenOn: SchoolDate; window: string } | null;
	notes: { id: number; on: SchoolDate; text: string; by: string }[];
	/** The verdict before. */
	last: ShownVerdict | null;
	/** The last that the family was sent; null for nothing yet. */
	letter: ShownLetter | null;
	tasks: ShownTask[];
	skillNames: Record<number, string>;
	form: {
		own: { name: string; tier: 2 | 3; endsOn: SchoolDate } | null;
		work: GroupWork;
		fitting: JoinChoice[];
		/** The school looks again between the soonest and the latest. */
		dates: { effectiveOn: SchoolDate; nextReviewOn: SchoolDate; soonest: SchoolDate; latest: SchoolDate };
		adults: { id: number; displayName: string }[];
	};
}
