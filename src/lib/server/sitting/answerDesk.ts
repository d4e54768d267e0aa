import type { RootDatabase } from '../database';
import { storeAnswers, type Stored, type SubmittedAnswer } from './store/answers';

interface Waiting {
	answers: SubmittedAnswer[];
	resolve: (results: Stored[]) => void;
	reject: (error: unknown) => void;
}

/** Answers in one transaction at most; a whole class answering at once is a tenth of it. */
const MOST_AT_ONCE = 250;

/**
 * Stores the answers of many students at once: those that arrive while transactions are under way go together into the
 * next one, as a database groups its commits. Nobody waits for a timer, and each is told only once it is stored. When a
 * common transaction fails, each request is tried alone, so that no one's answer suffers from another's.
 */
export class AnswerDesk {
	private waiting: Waiting[] = [];
	private working = 0;

	/** @param transactionsAtOnce transactions under way at the same time: while one waits for the disk another can work */
	constructor(
		private readonly database: RootDatabase,
		private readonly transactionsAtOnce = 2
	) {}

	/** @returns what became of each answer, in their order; rejects when the database cannot be reached */
	submit(answers: SubmittedAnswer[]): Promise<Stored[]> {
		return new Promise((resolve, reject) => {
			this.waiting.push({ answers, resolve, reject });
			void this.work();
		});
	}

	private async work(): Promise<void> {
		if (this.working >= this.transactionsAtOnce) return;
		this.working++;
		while (this.waiting.length) {
			const together = this.takeTogether();
			try {
				const results = await storeAnswers(
					this.database,
					together.flatMap(({ answers }) => answers)
				);
				let at = 0;
				for (const { answers, resolve } of together) resolve(results.slice(at, (at += answers.length)));
			} catch (error) {
				if (together.length === 1) together[0].reject(error);
				else
					await Promise.all(
						together.map((one) => storeAnswers(this.database, one.answers).then(one.resolve, one.reject))
					);
			}
		}
		this.working--;
	}

	private takeTogether(): Waiting[] {
		let size = 0;
		const fits = this.waiting.findIndex(({ answers }) => (size += answers.length) > MOST_AT_ONCE);
		return this.waiting.splice(0, fits === -1 ? this.waiting.length : Math.max(1, fits));
	}
}
