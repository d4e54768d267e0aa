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

/** A share of first tries as teachers say it, to a whole number of ten: “about 6 of 10”; near the ends “hardly any”, “nearly all”. */
export function sayShare(share: number): string {
	const ofTen = Math.round(10 * share);
	if (ofTen === 0) return 'hardly any';
	return ofTen === 10 ? 'nearly all' : `about ${ofTen} of 10`;
}

/** A share with its band: “about 6 of 10, between 4 and 8”, “hardly any, at most 2”; of a band as narrow as the rounding, only the share. */
export function sayShareBand({ value, lower, upper }: { value: number; lower: number; upper: number }): string {
	const [low, high] = [Math.round(10 * lower), Math.round(10 * upper)];
	if (low === high) return sayShare(value);
	if (low === 0) return `${sayShare(value)}, at most ${high}`;
	return high === 10 ? `${sayShare(value)}, at least ${low}` : `${sayShare(value)}, between ${low} and ${high}`;
}
