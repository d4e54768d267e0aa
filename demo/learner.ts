import { shareAt } from '../src/lib/core/mastery';
import { probabilityCorrect, type ItemParameters } from '../src/lib/core/measurement';
import type { Random } from '../src/lib/core/random';

/**
 * How simulated students learn, forget and answer. It is a model of its own, neither the field nor knowledge tracing, so
 * that what the program says of them proves something.
 */
export const LEARNING = {
	/** What a step in learning adds to a skill's level, in logits. */
	step: 0.5,
	/** How far below its difficulty a prerequisite must be to stand in the way half of the time, in logits. */
	slack: 1.6,
	/** A day's form, and what a family's questions are like beside others, in logits. */
	form: 0.3,
	family: 0.3,
	/** Logits that are lost over a summer, on average; each skill's own rate is up to twice that. */
	forgotten: 0.35,
	/** How students of a grade differ: in all, in a domain, and in a skill beside that; in logits. */
	general: 0.9,
	domain: 0.5,
	skill: 0.9,
	/** How much higher a skill's level is than what shows of it: what comes before stands in the way. */
	hidden: 0.5
};

/** A skill as it is learned. */
export interface LearnedSkill {
	code: string;
	domain: string;
	/** Of its usual question, in logits. */
	difficulty: number;
	prerequisites: string[];
}

/** Lessons that a whole year brings. */
interface Lessons {
	/** Logits a day that a skill gains on average. */
	aDay: number;
	days: number;
}

/**
 * A student's levels: each skill's rises in steps by teaching, was partly forgotten over the summer, and shows only as far
 * as what comes before it is there (chances multiply). Each day has its form. Days are counted from the year's first.
 */
export class Learner {
	private readonly skills: Map<string, LearnedSkill>;
	private readonly start = new Map<string, number>();
	private readonly steps = new Map<string, number[]>();
	private readonly forms = new Map<number, number>();

	/**
	 * @param mean what is expected of the student's grade, in logits
	 * @param hardness of a family of questions beside others, in logits
	 */
	constructor(
		skills: LearnedSkill[],
		mean: number,
		private readonly random: Random,
		private readonly hardness: (family: string) => number
	) {
		this.skills = new Map(skills.map((skill) => [skill.code, skill]));
		const general = mean + LEARNING.general * random.normal();
		const domains = new Map<string, number>();
		for (const { code, domain, difficulty } of skills) {
			if (!domains.has(domain)) domains.set(domain, LEARNING.domain * random.normal());
			const gained = general + domains.get(domain)! + LEARNING.skill * random.normal() + LEARNING.hidden;
			// What lies far behind has been met again and again; what was learned is partly lost again.
			const rate = 2 * LEARNING.forgotten * random.unit();
			this.start.set(code, gained - 0.5 * rate * Math.max(0, Math.min(2, mean - difficulty)));
		}
	}

	/** Lets a year of lessons bring its steps, each skill's on days of its own. */
	attend({ aDay, days }: Lessons): void {
		for (const code of this.skills.keys())
			for (let day = this.wait(aDay); day < days; day += this.wait(aDay)) this.step(code, day);
	}

	/** Days to the next step of a skill. */
	private wait(aDay: number): number {
		return (-Math.log(1 - this.random.unit()) * LEARNING.step) / aDay;
	}

	/** A step in learning a skill, on a day. */
	step(code: string, day: number): void {
		this.steps.set(code, [...(this.steps.get(code) ?? []), day]);
	}

	/** Begins a skill anew at a level, and leaves out what lessons would bring. */
	set(code: string, level: number): void {
		this.start.set(code, level);
		this.steps.delete(code);
	}

	level(code: string, day: number): number {
		const taken = (this.steps.get(code) ?? []).filter((one) => one <= day).length;
		return this.start.get(code)! + LEARNING.step * taken;
	}

	/** How far what comes before a skill is there, 0…1. */
	way(code: string, day: number): number {
		return this.skills.get(code)!.prerequisites.reduce((product, one) => {
			const above = this.level(one, day) - this.skills.get(one)!.difficulty + LEARNING.slack;
			return product / (1 + Math.exp(-1.7 * above));
		}, 1);
	}

	/** The chance of a right first try at a question on a day. */
	chance(code: string, item: ItemParameters, family: string, day: number): number {
		if (!this.forms.has(day)) this.forms.set(day, LEARNING.form * this.random.normal());
		const level = this.level(code, day) + this.forms.get(day)! - this.hardness(family);
		const luck = item.guessing ?? 0;
		return luck + (1 - luck) * probabilityCorrect(level, { ...item, guessing: 0 }) * this.way(code, day);
	}

	/** The share of first tries on a skill's usual question that would be right, luck left out, over forms and families. */
	share(code: string, day: number): number {
		const { difficulty } = this.skills.get(code)!;
		const off = Math.sqrt(3) * Math.hypot(LEARNING.form, LEARNING.family);
		const level = this.level(code, day);
		// Gauss–Hermite with three nodes.
		const between = (shareAt(level - off, difficulty) + shareAt(level + off, difficulty)) / 6;
		return ((2 / 3) * shareAt(level, difficulty) + between) * this.way(code, day);
	}
}
