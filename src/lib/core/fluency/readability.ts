import { syllable } from 'syllable';

const SENTENCE_END = /[.!?]+[”"’']?(?=\s|$)/g;
/** What is read out for a title; its point ends no sentence. */
const TITLES: Record<string, string> = { Mr: 'Mister', Mrs: 'Missus', Ms: 'Miz', Dr: 'Doctor' };
const TITLE = /\b(Mr|Mrs|Ms|Dr)\./g;

/** What a readability figure is made of. */
interface TextCounts {
	words: number;
	sentences: number;
	syllables: number;
}

/** Counts words, sentences and syllables of running text; a text without an end mark is one sentence. */
export function countText(text: string): TextCounts {
	const plain = text.replace(TITLE, (_, title) => TITLES[title]);
	const words = plain.split(/\s+/).filter((word) => /[\p{L}\p{N}]/u.test(word));
	const sentences = plain.match(SENTENCE_END)?.length ?? 0;
	return {
		words: words.length,
		sentences: Math.max(1, sentences),
		syllables: words.reduce((sum, word) => sum + Math.max(1, syllable(word)), 0)
	};
}

/**
 * Reading grade of a text: 0.39 words a sentence + 11.8 syllables a word − 15.59, at least 0.
 *
 * Source: Kincaid, Fishburne, Rogers & Chissom (1975), Derivation of new readability formulas, Research Branch Report
 * 8-75.
 *
 * @param text at least one word
 * @throws RangeError for a text without words
 */
export function readingGrade(text: string): number {
	const { words, sentences, syllables } = countText(text);
	if (words === 0) throw new RangeError('A text without words has no reading grade');
	return Math.max(0, 0.39 * (words / sentences) + 11.8 * (syllables / words) - 15.59);
}
