/**
 * A count with its noun: `plural(1, 'student')` is “1 student”, `plural(3, 'class', 'classes')` “3 classes”.
 *
 * @param many the plural, where it is not the noun with an s
 */
export const plural = (count: number, one: string, many = `${one}s`): string =>
	`${count.toLocaleString('en-US')} ${count === 1 ? one : many}`;

/** A number with a true minus sign, rounded to some digits; what rounds to nothing is 0 without a sign. */
export function number(value: number, digits = 0): string {
	const text = value.toFixed(digits);
	return (Number(text) === 0 ? (0).toFixed(digits) : text).replace('-', '−');
}

/** A change, with its sign: `+12`, `−3`, `0`. */
export function signed(value: number, digits = 0): string {
	return (Number(value.toFixed(digits)) > 0 ? '+' : '') + number(value, digits);
}

/** A chance from 0 to 1 in percent; near the ends no closer than a forecast can tell: “under 5%”, “over 95%”. */
export function sayChance(chance: number): string {
	if (chance < 0.05) return 'under 5%';
	return chance > 0.95 ? 'over 95%' : `${Math.round(100 * chance)}%`;
}
