import { addDays, schoolDayFrom, type SchoolCalendar, type SchoolDate } from '$lib/core/calendar';
import {
	CHECK_QUESTIONS,
	LESSON_CHECK,
	minutesOf,
	MOST_WEEKS,
	NO_VARIATION,
	questionsFor,
	USUAL_FOLLOW,
	setsOf,
	shareOut,
	type FeedbackTime,
	type PracticeWarning,
	type SetDates,
	type FollowRule,
	type SetHow,
	type SetSkill,
	type Variation
} from '$lib/core/practice';

export interface StandingShort {
	standing: 'gap' | 'forming' | 'secure' | 'slipping' | 'unseen';
	inferred: 'gap' | 'forming' | 'secure' | null;
	answers: number;
}

export interface StudentChoice {
	id: number;
	name: string;
	className: string;
	readAloud: boolean;
	largerType: boolean;
	waitingMinutes: number;
	/** On each chosen skill. */
	now: (StandingShort | null)[];
	steps: {
		skillId: number;
		why: 'due' | 'further';
		now: StandingShort | null;
		last: { right: number; of: number } | null;
	}[];
}

export interface SkillChoice {
	id: number;
	domainId: number;
	code: string;
	shortName: string;
	grade: number;
	term: number;
	/** Time (ms) that a question usually takes. */
	ms: number;
	statement: string;
}

/** What the page knows that a set is put together on. */
export interface NewSetData {
	who: { label: string | null; groupId: number | null };
	isOwnStep: boolean;
	students: StudentChoice[];
	skills: SkillChoice[];
	chosen: number[];
	warnings: PracticeWarning[];
	usual: { how: SetHow; practice: number; hasChecks: boolean; hasExample: boolean };
	dates: { opensOn: SchoolDate; dueOn: SchoolDate };
	cycle: { endsOn: SchoolDate } | null;
	school: { calendar: SchoolCalendar };
}

/** Questions of a set where nobody has said how many. */
const USUAL_LENGTH = 5;

/** What is otherwise for some of the students. */
export interface ForSomeEntry {
	ids: number[];
	dueOn: SchoolDate | null;
	variation: Variation;
}

/** One skill's parts, each on or off. */
interface Parts {
	hasExample: boolean;
	hasChecks: boolean;
}

/**
 * A practice set while it is put together: who, what, how, when and what is otherwise for some. Begins as the person's last
 * set was; whatever is looked at next, choices stay.
 *
 * @example
 * const set = new NewSet(() => data);
 * set.leaveOut(12);
 */
export class NewSet {
	name = $state('');
	practice = $state(5);
	older = $state(0);
	/** Ends once so many are right at the first try; null: all are asked. */
	untilRight = $state<number | null>(null);
	ownQuestions = $state(false);
	feedback = $state<FeedbackTime>('at once');
	hints = $state(true);
	secondTry = $state(true);
	solutions = $state(true);
	pausing = $state(true);
	doneOnly = $state(false);
	/** What follows: percent right at the first try, and what comes at or above it and below. */
	line = $state(USUAL_FOLLOW.line);
	above = $state<FollowRule['above']>(USUAL_FOLLOW.above);
	below = $state<FollowRule['below']>(USUAL_FOLLOW.below);
	/** What is looked at before the first question; null for nothing. */
	lesson = $state<{ id: number; title: string } | null>(null);
	/** What an adult leads beside it; empty for nothing. */
	task = $state('');
	opensOn = $state('');
	opensAt = $state('');
	dueOn = $state('');
	dueAt = $state('');
	closes = $state(false);
	weeks = $state(1);
	/** Whether the weeks after the first go by the days on which the group meets. */
	onMeetings = $state(true);
	some = $state<ForSomeEntry[]>([]);
	private out = $state<number[]>([]);
	private parts = $state<Record<number, Parts>>({});
	/** By student, where another step than the first was chosen; null for none. */
	private stepChoices = $state<Record<number, number | null>>({});
	private readonly usualParts: Parts;

	constructor(private readonly data: () => NewSetData) {
		const { usual, dates } = data();
		Object.assign(this, usual.how);
		this.practice = usual.practice || USUAL_LENGTH;
		this.usualParts = { hasExample: usual.hasExample, hasChecks: usual.hasChecks };
		this.opensOn = dates.opensOn;
		this.dueOn = dates.dueOn;
	}

	/** Who it is for: all who were found but those who were left out, and where each has a step, those who have one. */
	readonly students = $derived.by(() =>
		this.data().students.filter(
			({ id }) => !this.out.includes(id) && (!this.data().isOwnStep || this.stepOf(id) !== null)
		)
	);
	readonly leftOut = $derived.by(() => this.data().students.filter(({ id }) => this.out.includes(id)));
	/** Those for whom nothing is ready, of all who were not left out. */
	readonly withoutStep = $derived.by(() =>
		this.data().isOwnStep
			? this.data().students.filter(({ id }) => !this.out.includes(id) && this.stepOf(id) === null)
			: []
	);

	leaveOut(...ids: number[]): void {
		this.out = [...new Set([...this.out, ...ids])];
	}
	takeBackIn(id: number): void {
		this.out = this.out.filter((one) => one !== id);
	}

	/** The step that a student gets; null for none. */
	stepOf(id: number): number | null {
		const chosen = this.stepChoices[id];
		return chosen === undefined
			? (this.data().students.find((one) => one.id === id)?.steps[0]?.skillId ?? null)
			: chosen;
	}
	chooseStep(id: number, skillId: number | null): void {
		this.stepChoices[id] = skillId;
	}

	partsOf(skillId: number): Parts {
		return this.parts[skillId] ?? this.usualParts;
	}
	setParts(skillId: number, change: Partial<Parts>): void {
		this.parts[skillId] = { ...this.partsOf(skillId), ...change };
	}

	/** As many sets as the skills are parted into: one, unless all of a step or domain was picked. */
	readonly sets = $derived.by(() => (this.data().isOwnStep ? 1 : setsOf(this.data().chosen).length));

	/** The set's skills with their parts; where each has a step of their own, every skill that is one. */
	readonly skills = $derived.by((): SetSkill[] => {
		const { isOwnStep, chosen } = this.data();
		const ids = isOwnStep ? [...new Set(this.students.map(({ id }) => this.stepOf(id)!))] : chosen;
		if (ids.length === 0) return [];
		const shares = isOwnStep
			? ids.map(() => this.practice)
			: setsOf(ids).flatMap((set) =>
					shareOut(
						this.practice,
						set.map(() => 1)
					)
				);
		return ids.map((skillId, i) => {
			// Where each has a step of their own, or there are several sets, all have the same parts.
			const { hasExample, hasChecks } = isOwnStep || this.sets > 1 ? this.partsOf(0) : this.partsOf(skillId);
			// After a lesson its check can be all that there is.
			const usual = this.practice === 0 ? LESSON_CHECK : CHECK_QUESTIONS;
			const checks = (hasChecks || this.practice === 0) && this.untilRight === null ? usual : 0;
			return { skillId, practice: shares[i], checks, hasExample };
		});
	});

	readonly how = $derived.by((): SetHow => {
		const { untilRight, ownQuestions, feedback, hints, secondTry, solutions, pausing, doneOnly } = this;
		const { line, above, below } = this;
		const most = Math.max(1, this.practice);
		return {
			older: untilRight === null ? this.older : 0,
			untilRight: untilRight === null ? null : Math.min(untilRight, most),
			// What ends once enough are right has to be told at once.
			feedback: untilRight === null ? feedback : 'at once',
			...{ ownQuestions, hints, secondTry, solutions, pausing, doneOnly, line, above, below }
		};
	});

	readonly dates = $derived.by((): SetDates => {
		const minuteOf = (text: string) => (text ? 60 * Number(text.slice(0, 2)) + Number(text.slice(3, 5)) : null);
		return {
			opensOn: this.opensOn,
			opensMinute: minuteOf(this.opensAt),
			dueOn: this.dueOn || null,
			dueMinute: this.dueOn ? minuteOf(this.dueAt) : null,
			closes: Boolean(this.dueOn) && this.closes
		};
	});

	/** Questions of a student for whom nothing is otherwise. */
	readonly questions = $derived.by(() => {
		const skills = this.data().isOwnStep ? this.skills.slice(0, 1) : (setsOf(this.skills)[0] ?? []);
		return skills.length ? questionsFor(skills, this.how, NO_VARIATION) : 0;
	});

	/** Minutes that a skill's questions usually take. */
	minutesOn({ skillId, practice, checks }: SetSkill): number {
		return minutesOf((practice + checks) * this.msOf(skillId));
	}
	/** Minutes that the set usually takes; where each has a step of their own, on average. */
	readonly minutes = $derived.by(() => {
		if (this.skills.length === 0) return 0;
		const ms = this.skills.reduce((sum, skill) => sum + (skill.practice + skill.checks) * this.msOf(skill.skillId), 0);
		const asked = this.skills.reduce((sum, { practice, checks }) => sum + practice + checks, 0);
		// Of several sets, what each of them takes.
		const own = ms / (this.data().isOwnStep ? this.skills.length : this.sets);
		return minutesOf(own + (this.how.older * ms) / Math.max(1, asked));
	});
	private msOf(skillId: number): number {
		return this.data().skills.find(({ id }) => id === skillId)?.ms ?? 0;
	}

	/** Weeks that sets can be laid out over, up to the end of the cycle: one at least. */
	readonly mostWeeks = $derived.by(() => {
		const { cycle, school } = this.data();
		let weeks = 1;
		while (
			weeks < MOST_WEEKS &&
			cycle !== null &&
			this.opensOn !== '' &&
			schoolDayFrom(addDays(this.opensOn, 7 * weeks), school.calendar) <= cycle.endsOn
		)
			weeks++;
		return weeks;
	});

	/** Whether several sets come one a week, as far as the cycle has weeks for them. */
	readonly isOneAWeek = $derived.by(() => this.weeks > 1 && this.sets <= this.mostWeeks);

	/** Adds, or takes the place of, what is otherwise for some. */
	addSome(entry: ForSomeEntry): void {
		const others = this.some.map((one) => ({ ...one, ids: one.ids.filter((id) => !entry.ids.includes(id)) }));
		this.some = [...others.filter(({ ids }) => ids.length), entry];
	}
	removeSome(entry: ForSomeEntry): void {
		this.some = this.some.filter((one) => one !== entry);
	}

	/** Warnings that still stand: of students who were not left out. */
	readonly warnings = $derived.by((): PracticeWarning[] => {
		const there = new Set(this.students.map(({ id }) => id));
		return this.data()
			.warnings.map((warning) => ({ ...warning, studentIds: warning.studentIds.filter((id) => there.has(id)) }))
			.filter(({ studentIds }) => studentIds.length > 0);
	});

	/** What is sent: the whole set, as the server checks it. */
	readonly plan = $derived.by(() => {
		const { who, isOwnStep } = this.data();
		return {
			name: this.name.trim(),
			groupId: who.groupId,
			isOwnStep,
			students: this.students.map(({ id }) => {
				const own = this.some.find(({ ids }) => ids.includes(id));
				return {
					studentId: id,
					skillId: isOwnStep ? this.stepOf(id) : null,
					dueOn: own?.dueOn ?? null,
					variation: own ? { ...own.variation } : NO_VARIATION
				};
			}),
			skills: this.skills,
			how: this.how,
			dates: this.dates,
			lessonId: this.lesson?.id ?? null,
			task: this.task.trim(),
			weeks: this.sets > 1 ? (this.isOneAWeek ? this.sets : 1) : Math.min(this.weeks, this.mostWeeks),
			onMeetings: this.onMeetings
		};
	});
}
