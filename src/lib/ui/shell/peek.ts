import type { Standing } from '$lib/core/mastery';
import type { TrustFlag } from '$lib/core/measurement';

type Counts = Record<Standing, number>;

/** What the peek shows of a student. */
export interface PeekContent {
	student: { id: number; givenName: string; familyName: string; className: string; grade: number; tier: number };
	domains: { id: number; name: string; counts: Counts }[];
	groups: { id: number; name: string; focus: string }[];
	checks: { id: number; skills: string[]; answered: number; dueOn: string }[];
	queue: {
		id: number;
		title: string;
		dueOn: string | null;
		dueMinute: number | null;
		answered: number;
		itemCount: number;
	}[];
	results: {
		setId: number;
		title: string;
		answered: number;
		correct: number;
		doneOnly: boolean;
		finishedAt: Date | null;
	}[];
	probes: { id: number; skill: string; counts: number[]; questions: number; due: boolean }[];
	nextReview: string | null;
	verdicts: { id: number; verdict: string; effectiveOn: string | null; groupName: string | null }[];
	window: string | null;
	scores: { domainId: number; theta: number; standardError: number; source: string; takenOn: string }[];
	sitting: { answered: number; itemCount: number; flags: { flag: TrustFlag; reason: string }[] } | null;
	/** Answers that came after their work was closed, and are kept aside. */
	late: number;
	openGaps: number;
}
