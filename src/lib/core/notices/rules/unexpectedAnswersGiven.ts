import type { Unexpected } from '../../results';
import { plural } from '../../words';
import type { NoticeRule } from '../notice';

/** So many letters of a question are told. */
const MOST_LETTERS = 90;
const shortly = (text: string) => (text.length <= MOST_LETTERS ? text : `${text.slice(0, MOST_LETTERS).trimEnd()} …`);

/** What is unexpected, in a sentence. */
const sayFound = (found: Unexpected, says: string): string =>
	found.why === 'strong students wrong'
		? `${found.strong - found.right} of ${found.strong} students who do well on the rest were wrong at the first try; about ${Math.round(found.strong - found.expected)} would be.`
		: `${plural(found.students, 'student')} answered “${shortly(says)}”, ${found.right === 0 ? 'nobody' : `${found.right}`} as the key says, and no wrong idea is known that leads there.`;

/** A question of a set or a screening whose answers make one doubt the question. */
export const unexpectedAnswersGiven: NoticeRule = {
	audience: 'set up the school',
	place: '/practice',
	find: ({ unexpected }) =>
		unexpected.map(({ name, asks, says, found, path }) => ({
			about: name,
			says: `Answers to “${shortly(asks)}” are unexpected.`,
			because: sayFound(found, says),
			action: { says: 'See what was answered', path },
			degree: found.why === 'strong students wrong' ? found.strong - found.right : found.students
		}))
};
