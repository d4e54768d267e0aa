import MiniSearch from 'minisearch';
import { stemmer } from 'stemmer';

/** Something that can be found. Its id says what it is: `skill 12`, `standard 7`, `misconception noCarry`. */
interface Findable {
	id: string;
	code: string;
	name: string;
	statement: string;
	/** Other words for it. */
	also: string;
}

export interface Found {
	id: string;
	/** Higher is nearer; comparable within one search only. */
	score: number;
}

/** What was found, with where it sits and which skills it leads to. */
export interface Hit {
	kind: 'skill' | 'standard' | 'misconception';
	code: string;
	title: string;
	/** Where it sits: `Fractions, decimals, and percent · 4·2`, or the framework of a standard. */
	sits: string;
	skills: { code: string; name: string }[];
	/** Of a wrong idea: what to try, and a question with the answer that it gives, as HTML escaped on the server. */
	idea?: { attempt: string; questionHtml: string; answerHtml: string };
}

export type FindIndex = MiniSearch<Findable>;

/** Words that say nothing about what is looked for. */
const EMPTY_WORDS = new Set(
	'a an and are as at be by can do does for from has have how i in is it my of on or that the their them these they this to what when which who why with word words student students kids'.split(
		' '
	)
);
/** Irregular forms that the stemmer does not bring together. */
const SAME_AS: Record<string, string> = { halves: 'half', took: 'take', sold: 'sell', told: 'tell', bought: 'buy' };

/**
 * A word as it is compared: its stem (Porter 1980), which brings its forms together, and the word itself, since a typing
 * error may spoil the stem. Null for words that say nothing.
 */
function asTerms(word: string): string | string[] | null {
	const plain = word.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();
	if (EMPTY_WORDS.has(plain)) return null;
	const stem = stemmer(SAME_AS[plain] ?? plain);
	return stem === plain ? plain : [stem, plain];
}

/** Letters and digits hold a word together, and so do points and hyphens inside a code: `W32`, `4.NF.1`. */
const wordsOf = (text: string) => text.match(/[\p{L}\p{N}]+(?:[.-][\p{L}\p{N}]+)*/gu) ?? [];

const BOOST = { code: 6, name: 4, also: 3, statement: 1.5 };

/** An index over things to find; `addAllAsync` lets others work in between when there are many. */
export function makeFindIndex(): FindIndex {
	return new MiniSearch<Findable>({
		fields: ['code', 'name', 'also', 'statement'],
		tokenize: (text) => wordsOf(text).flatMap((word) => (/[.-]/.test(word) ? [word, ...word.split(/[.-]/)] : [word])),
		processTerm: asTerms,
		searchOptions: {
			boost: BOOST,
			// The longer a word, the more typing errors it may hold; a short one must begin alike.
			fuzzy: (term) => (term.length < 4 ? false : term.length < 7 ? 1 : 2),
			prefix: (term, i, terms) => i === terms.length - 1 || term.length > 3,
			weights: { fuzzy: 0.35, prefix: 0.6 }
		}
	});
}

/**
 * The nearest things to some typed words, the nearest first. Those that hold every word stand before those that hold
 * only some.
 *
 * find(index, 'times tabels', 3) // typing errors are forgiven
 */
export function find(index: FindIndex, typed: string, most: number): Found[] {
	const found = new Map<string, Found>();
	for (const combineWith of ['AND', 'OR'] as const) {
		if (found.size >= most) break;
		for (const { id, score } of index.search(typed, { combineWith })) {
			if (found.size >= most) break;
			if (!found.has(id)) found.set(id, { id, score });
		}
	}
	return [...found.values()];
}
