const plain = new Intl.NumberFormat('en-US', { maximumFractionDigits: 6 });

/** A number as students read it: separators in thousands, a true minus sign. */
export function formatNumber(value: number): string {
	return plain.format(value).replace('-', '−');
}

/** A fraction as TeX. */
export function tex(numerator: number, denominator: number): string {
	return `$\\frac{${numerator}}{${denominator}}$`;
}

/** A time of day from minutes after midnight: `2:05 p.m.` */
export function clockTime(minutes: number): string {
	const hour = Math.floor(minutes / 60) % 24;
	const shown = hour % 12 === 0 ? 12 : hour % 12;
	return `${shown}:${String(minutes % 60).padStart(2, '0')} ${hour < 12 ? 'a.m.' : 'p.m.'}`;
}

/** Minutes in words: `1 hour 5 minutes`. */
export function duration(minutes: number): string {
	const hours = Math.floor(minutes / 60);
	const rest = minutes % 60;
	const parts = [
		hours && `${hours} ${hours === 1 ? 'hour' : 'hours'}`,
		rest && `${rest} ${rest === 1 ? 'minute' : 'minutes'}`
	];
	return parts.filter(Boolean).join(' ');
}
