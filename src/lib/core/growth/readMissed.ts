/**
 * What was missed of a probe on paper, from what is typed: the numbers of questions that are not right, with anything between
 * them; `0` for none.
 *
 * @param questions of the probe
 * @returns places from 0, in order; null for nothing typed; a sentence where it cannot be read
 * @example
 * readMissed('3 7,12', 16) // [2, 6, 11]
 */
export function readMissed(text: string, questions: number): number[] | null | string {
	const typed = text.trim();
	if (typed === '') return null;
	const numbers = typed.split(/[\s,;]+/).filter(Boolean);
	if (numbers.some((one) => !/^\d{1,3}$/.test(one))) return 'Numbers of questions, with spaces between them.';
	const missed = numbers.map(Number);
	if (missed.length === 1 && missed[0] === 0) return [];
	const unknown = missed.find((one) => one < 1 || one > questions);
	if (unknown !== undefined)
		return `There is no question ${unknown}: they are 1 to ${questions}, or 0 for none missed.`;
	return [...new Set(missed)].sort((a, b) => a - b).map((one) => one - 1);
}
