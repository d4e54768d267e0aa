import { daysBetween, schoolDateOf, type SchoolDate } from '../src/lib/core/calendar';
import type { Given, ItemSeed } from '../src/lib/core/items';
import { ADAPTIVE_RULES, isPracticeKind } from '../src/lib/core/measurement';
import { LEVEL_CHECK_ITEMS } from '../src/lib/core/screening';
import { seededRandom, seedFrom, type Random } from '../src/lib/core/random';
import type { RootDatabase } from '../src/lib/server/database/pool';
import { fill } from '../src/lib/server/database/seeding';
import { keepItems } from '../src/lib/server/library';
import { SEED, TIME_ZONE, type DemoStudent } from './people';
import { simulateAnswer, simulateLearning, simulateSecondTry, type SimulatedAnswer } from './simulatedStudent';

type Row = Record<string, unknown>;

/** A UUID from a seed, so that the same day gives the same school to the last byte. */
export function drawId(draw: Random): string {
	const hex = Array.from({ length: 8 }, () => draw.integer(0, 0xffff).toString(16).padStart(4, '0'));
	return `${hex[0]}${hex[1]}-${hex[2]}-4${hex[3].slice(1)}-a${hex[4].slice(1)}-${hex[5]}${hex[6]}${hex[7]}`;
}

/** An hour of a school day as an instant: school hours in the demo's time zone are five hours behind UTC. */
export function atHour(day: SchoolDate, hour: number): Date {
	return new Date(`${day}T${String(hour + 5).padStart(2, '0')}:00:00Z`);
}

/** What was answered so far in a sitting, for what chooses the next question by it. */
type Answered = (ItemSeed & { correct: boolean })[];

interface DemoSitting {
	kind: 'diagnostic' | 'practice' | 'probe' | 'level' | 'review' | 'free';
	/** What it is a sitting of, as columns. */
	origin: Row;
	/** All questions; or what chooses the next by the answers, null at the end. */
	items: ItemSeed[] | ((sittingId: number, answered: Answered) => ItemSeed | null);
	from: Date;
	/** Items answered before the student stops; all when absent. */
	upTo?: number;
	/** How many answers are right, where a story says so; else the student's hidden levels decide. */
	right?: number;
}

/** Of an adaptive sitting under way. */
const MOST_QUESTIONS = { diagnostic: ADAPTIVE_RULES.maximum, level: LEVEL_CHECK_ITEMS };

/** Between one answer and the next question. */
const TURNING_MS = 1_500;

/** Wrong, and by no wrong idea that is known. */
const isNoIdea = ({ correct, misconception }: SimulatedAnswer) => !correct && misconception === null;

/** Collects sittings and their answers, and writes them in bulk. What would begin after the demo's now never happens. */
export class AnswerLog {
	private sittings: Row[] = [];
	private items: (Row & { familyId: string; seed: number })[] = [];
	private answers: Row[] = [];
	private nextId = 1;
	private readonly draw = seededRandom(seedFrom(SEED, 'answer ids'));

	constructor(
		private readonly skillIds: Map<string, number>,
		private readonly yearStart: SchoolDate,
		private readonly now: Date
	) {}

	/** Lets a student sit items from an instant on. @returns what they answered */
	sit(student: DemoStudent, { kind, origin, items, from, upTo = Infinity, right }: DemoSitting): Answered {
		if (from >= this.now) return [];
		const { draw, hidden } = student;
		const id = this.nextId++;
		const isFixed = Array.isArray(items);
		const rightPlaces =
			right === undefined || !isFixed ? null : new Set(draw.shuffle(items.map((_, i) => i)).slice(0, right));
		const answered: Answered = [];
		let time = from.getTime();
		const day = daysBetween(this.yearStart, schoolDateOf(from, TIME_ZONE));
		let item: ItemSeed | null;
		while ((item = isFixed ? (items[answered.length] ?? null) : items(id, answered))) {
			const position = answered.length;
			this.items.push(this.itemRow(id, position, kind, item));
			const answer = simulateAnswer(draw, hidden, item, day, rightPlaces?.has(position));
			if (position >= upTo || time + answer.milliseconds >= this.now.getTime()) break;
			time += answer.milliseconds;
			answered.push({ ...item, correct: answer.correct });
			// Some would rather say that they don't know yet than guess.
			const response = !isFixed && isNoIdea(answer) && item.seed % 2 === 0 ? null : answer.response;
			const of = { sitting_id: id, position, student_id: student.id, skill_id: this.skillIds.get(item.skillCode) };
			this.keep(of, { ...answer, response, attempt: 1, hints: 0 }, time);
			if (isPracticeKind(kind) && !answer.correct) {
				const second = simulateSecondTry(seededRandom(seedFrom(SEED, `second try ${id} ${position}`)), item, answer);
				time += second.milliseconds;
				if (time < this.now.getTime()) this.keep(of, { ...second, attempt: 2 }, time);
			}
			if (isPracticeKind(kind)) simulateLearning(draw, hidden, item.skillCode, day);
			time += TURNING_MS;
		}
		// A fixed sitting's questions are all there from the start.
		if (isFixed) {
			const written = Math.min(items.length, answered.length + 1);
			for (const [i, rest] of items.slice(written).entries())
				this.items.push(this.itemRow(id, written + i, kind, rest));
		}
		const finished = item === null;
		this.sittings.push({
			id,
			student_id: student.id,
			kind,
			attempt: 1,
			item_count: isFixed
				? items.length
				: finished
					? answered.length
					: MOST_QUESTIONS[kind === 'level' ? kind : 'diagnostic'],
			adaptive: !isFixed,
			answered: answered.length,
			started_at: from,
			finished_at: finished ? new Date(Math.min(time, this.now.getTime())) : null,
			trust: finished && kind !== 'diagnostic' ? 'trusted' : 'open',
			...origin
		});
		return answered;
	}

	private keep(
		of: Row,
		{ response, ...answer }: Omit<SimulatedAnswer, 'response'> & { response: Given; attempt: number; hints: number },
		time: number
	): void {
		const at = new Date(time);
		this.answers.push({
			...of,
			...answer,
			id: drawId(this.draw),
			response: JSON.stringify(response),
			answered_at: at,
			received_at: at
		});
	}

	private itemRow(
		sittingId: number,
		position: number,
		kind: DemoSitting['kind'],
		{ skillCode, familyId, seed }: ItemSeed
	) {
		const help = isPracticeKind(kind) ? 'second try' : 'told later';
		return { sitting_id: sittingId, position, skill_id: this.skillIds.get(skillCode), familyId, seed, help };
	}

	async write(database: RootDatabase): Promise<void> {
		await fill(database, 'sitting', this.sittings);
		const kept = await keepItems(database, this.items);
		await fill(
			database,
			'sitting_item',
			kept.map(({ familyId, ...row }) => ({ ...row, family_id: familyId }))
		);
		await fill(database, 'answer', this.answers);
		this.sittings = [];
		this.items = [];
		this.answers = [];
	}
}
