/** Words of a text, numbers among them. */
const wordsOf = (text: string): string[] => text.match(/[\p{L}\p{M}’']+|\d[\d.,]*/gu) ?? [];

/** Sentences of a text: at least one where there are words. */
const sentencesOf = (text: string): number => Math.max(1, (text.match(/[.!?]+(?=\s|$)/g) ?? []).length);

/** Syllables of a number as it is read: about one a digit. */
const ofNumber = (word: string) => word.replace(/\D/g, '').length;

/** Syllables of an English word by its letters: groups of vowels, without a silent e at the end. */
export function englishSyllables(word: string): number {
	if (/^\d/.test(word)) return ofNumber(word);
	const letters = word.toLowerCase().replace(/[^a-z]/g, '');
	if (letters.length <= 3) return 1;
	// The e of -ble is spoken, that of -ole is not.
	const silent = /[^aeiouy]les?$/.test(letters)
		? /$/
		: /(?:(?<=[^aeiouyszxcgh])es|(?<=[^aeiouydt])ed|(?<=[^aeiouy])e)$/;
	const spoken = letters.replace(silent, '').replace(/^y/, '');
	return Math.max(1, (spoken.match(/[aeiouy]{1,2}/g) ?? []).length);
}

/** Syllables of a Spanish word: each group of vowels is one, but strong ones beside each other, or a weak one with an accent, part. */
export function spanishSyllables(word: string): number {
	if (/^\d/.test(word)) return ofNumber(word);
	const letters = word
		.toLowerCase()
		.replace(/qu(?=[eiéí])/g, 'q')
		.replace(/gu(?=[eiéí])/g, 'g')
		.replace(/y$/, 'i')
		.replace(/y(?![aeiouáéíóú])/g, 'i');
	let syllables = 0;
	let before = '';
	for (const letter of letters) {
		const isVowel = /[aeiouáéíóúü]/.test(letter);
		const isWeak = /[iuü]/.test(letter);
		const wasWeak = /[iuü]/.test(before);
		if (isVowel && (before === '' || (!isWeak && !wasWeak))) syllables++;
		// A weak vowel with an accent makes a syllable of its own beside any other.
		else if (isVowel && (/[íú]/.test(letter) || /[íú]/.test(before))) syllables++;
		before = isVowel ? letter : '';
	}
	return Math.max(1, syllables);
}

function rates(text: string, syllablesOf: (word: string) => number) {
	const words = wordsOf(text);
	if (words.length === 0) throw new RangeError('a text without words has no reading level');
	const syllables = words.reduce((sum, word) => sum + syllablesOf(word), 0);
	return { wordsASentence: words.length / sentencesOf(text), syllablesAWord: syllables / words.length };
}

/**
 * The US school grade in which an English text can be read (Kincaid, Fishburne, Rogers & Chissom 1975).
 *
 * @throws RangeError without words
 */
export function fleschKincaidGrade(text: string): number {
	const { wordsASentence, syllablesAWord } = rates(text, englishSyllables);
	return 0.39 * wordsASentence + 11.8 * syllablesAWord - 15.59;
}

/**
 * How easily a Spanish text can be read, 0 to 100; 70 and more is easy (Fernández Huerta 1959, with words a sentence).
 *
 * @throws RangeError without words
 */
export function fernandezHuerta(text: string): number {
	const { wordsASentence, syllablesAWord } = rates(text, spanishSyllables);
	return 206.84 - 60 * syllablesAWord - 1.02 * wordsASentence;
}
