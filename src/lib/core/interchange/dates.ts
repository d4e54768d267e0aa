import { isSchoolDate, type SchoolDate } from '../calendar';

/** How the dates of a file are written. */
export type DateStyle = 'year first' | 'month first' | 'day first';

export const DATE_EXAMPLES: Record<DateStyle, string> = {
	'year first': '2026-11-05',
	'month first': '11/5/2026',
	'day first': '5.11.2026'
};

const two = (text: string) => text.padStart(2, '0');

/** A date in one style, or null: no such day, or written in another way. */
export function readDate(text: string, style: DateStyle): SchoolDate | null {
	const trimmed = text.trim();
	if (style === 'year first') return isSchoolDate(trimmed) ? trimmed : null;
	const [, first, second, year] = /^(\d{1,2})[/.-](\d{1,2})[/.-](\d{4})$/.exec(trimmed) ?? [];
	if (!year) return null;
	const [month, day] = style === 'month first' ? [first, second] : [second, first];
	const date = `${year}-${two(month)}-${two(day)}`;
	return isSchoolDate(date) ? date : null;
}

/**
 * The style in which most of a file's dates can be read; of two that fit as many, the earlier of year, month and day
 * first. `5/6/2026` alone is taken as May 6.
 */
export function dateStyleOf(texts: string[]): DateStyle {
	const styles: DateStyle[] = ['year first', 'month first', 'day first'];
	const fits = styles.map((style) => texts.filter((text) => readDate(text, style) !== null).length);
	return styles[fits.indexOf(Math.max(...fits))];
}
