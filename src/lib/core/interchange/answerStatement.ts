import type { ResponseKind } from '../items';

/** An answer as it is told to others. */
export interface AnswerTold {
	/** A UUID, the same whenever it is told. */
	id: string;
	/** Who gave it: a number of the school, or ours; never a name. */
	student: string;
	/** The question: its family, the edition of that, and its seed. */
	question: string;
	stem: string;
	kind: ResponseKind;
	/** In words; null for “I don’t know yet”. */
	response: string | null;
	correct: boolean;
	key: string;
	milliseconds: number;
	attempt: number;
	hints: number;
	/** The wrong idea that it shows; null for none that is known. */
	misconception: string | null;
	/** What it was given in: a set; null outside sets. */
	work: string | null;
	at: Date;
}

/** Kinds of interactions of xAPI 1.0.3, appendix C, by how our questions are answered. */
const INTERACTIONS: Partial<Record<ResponseKind, string>> = {
	choice: 'choice',
	several: 'choice',
	order: 'sequencing',
	match: 'matching',
	number: 'numeric'
};

/** Seconds as an ISO 8601 duration: `PT12.4S`. */
const duration = (milliseconds: number) => `PT${Number((milliseconds / 1_000).toFixed(2))}S`;

/**
 * An answer as an xAPI statement (Experience API 1.0.3, part two): somebody answered a question.
 *
 * @param home the address of the school's program, of which students and questions are told apart
 */
export const answerStatement = (told: AnswerTold, home: string) => ({
	id: told.id,
	actor: { objectType: 'Agent', account: { homePage: home, name: told.student } },
	verb: { id: 'http://adlnet.gov/expapi/verbs/answered', display: { 'en-US': 'answered' } },
	object: {
		objectType: 'Activity',
		id: `${home}/questions/${told.question}`,
		definition: {
			type: 'http://adlnet.gov/expapi/activities/cmi.interaction',
			description: { 'en-US': told.stem },
			interactionType: INTERACTIONS[told.kind] ?? 'other',
			correctResponsesPattern: [told.key]
		}
	},
	result: {
		success: told.correct,
		...(told.response !== null && { response: told.response }),
		duration: duration(told.milliseconds),
		extensions: {
			[`${home}/xapi/attempt`]: told.attempt,
			[`${home}/xapi/hints`]: told.hints,
			...(told.misconception !== null && { [`${home}/xapi/misconception`]: told.misconception })
		}
	},
	context: {
		platform: 'Orderly Compass',
		...(told.work !== null && {
			contextActivities: { parent: [{ objectType: 'Activity', id: `${home}/practice/${told.work}` }] }
		})
	},
	timestamp: told.at.toISOString()
});
