import type { Stake } from '../growth';
import type { Unexpected } from '../results';
import type { SchoolCalendar, SchoolDate } from '../calendar';

/** What the program saw that a person should know, and can do something about. */
export interface Notice {
	/** Tells it from others of its rule, and stays while the same is meant: `account 12`; empty where a rule has but one. */
	about: string;
	/** One sentence: what was seen. */
	says: string;
	/** Why that matters, or what it rests on. */
	because: string;
	/** What can be done, and where. */
	action: { says: string; path: string };
	/** Grows as things get worse: then who was done with it is told again. */
	degree: number;
}

/** Who is told: whoever may do this. */
export type NoticeAudience = 'set up the school' | 'form groups' | 'run screening' | 'decide';

/** One thing to look out for. */
export interface NoticeRule {
	audience: NoticeAudience;
	/** The place that its notices belong to, by the beginning of its address. */
	place: '/screen' | '/groups' | '/practice' | '/decide' | '/setup';
	/** What is to be told of a school, by its facts. */
	find(facts: SchoolFacts): Notice[];
}

/** A colleague's account. */
interface Colleague {
	id: number;
	name: string;
	/** Whether they may sign in. */
	isActive: boolean;
	hasPassword: boolean;
	/** Whether an invitation can still be used. */
	isInvited: boolean;
	/** Of who may not sign in: what they still run, in words; empty for nothing. */
	runs: string;
}

/** A question that was answered in an unexpected way. */
interface UnexpectedQuestion {
	/** Stays while the same question of the same work is meant. */
	name: string;
	/** The question in words. */
	asks: string;
	/** Of one wrong answer that many gave: what it says, in words. */
	says: string;
	found: Unexpected;
	/** Where what was answered to it is seen, and can be put right. */
	path: string;
}

/** What rules look at: a school on a day. */
export interface SchoolFacts {
	today: SchoolDate;
	calendar: SchoolCalendar;
	people: Colleague[];
	/** Letters that a mail server did not take, to colleagues who cannot sign in yet. */
	unsentMails: { id: number; name: string; address: string; problem: string }[];
	/** Those that have not ended. */
	classes: { id: number; name: string; students: number; adults: number }[];
	/** Students in a class, and how many of them cannot sign in. */
	pins: { students: number; withoutPin: number };
	/** Students in tier 2 or 3, and for how many of them nobody is responsible. */
	tiered: { students: number; nobodys: number };
	/** Windows that are open or to come, with how many students they still wait for. */
	windows: { id: number; name: string; opensOn: SchoolDate; closesOn: SchoolDate; toFinish: number }[];
	/** Newest first. */
	years: { startsOn: SchoolDate; endsOn: SchoolDate }[];
	/** When the newest year was begun by the guided step; null for never. */
	yearBegunOn: SchoolDate | null;
	/** Newest first. */
	cycles: { number: number; startsOn: SchoolDate; endsOn: SchoolDate }[];
	/** Students who have left and were kept as long as the school keeps them. */
	keptLongEnough: number;
	/** What came of a night's roster that somebody should look at, and when; null for none. */
	syncTrouble: { on: SchoolDate; says: string } | null;
	/** Questions that were answered in an unexpected way of late. */
	unexpected: UnexpectedQuestion[];
	/** For how many students each thing is at stake (`STAKES` in core/growth). */
	atStake: Record<Stake['is'], number>;
	/** Reviews due more than a week ago that stand on no agenda to come. */
	overdueReviews: number;
	/** Agreed at reviews and not done although their day is over, with who has them. */
	lateTasks: { who: string }[];
	/** Since when a roster waits to be looked through; null for none. */
	rosterSince: SchoolDate | null;
}
