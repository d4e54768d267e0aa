/** Characters that are told apart by their place in a text before they are written plainly. */
const VULGAR = '\u00bc-\u00be\u2150-\u215e';
const DASHES = /[\u2010-\u2015\u2212\ufe58\ufe63\uff0d]/g;
const RAISED = '\u2070\u00b9\u00b2\u00b3\u2074-\u2079';

/**
 * What is typed or pasted, in the signs of a plain keyboard: every dash a minus, `½` as ` 1/2`, every space a plain one
 * (Unicode NFKC for the rest: wide digits, thin spaces).
 */
export const inPlainSigns = (text: string): string =>
	text
		.replace(new RegExp(`(?=[${VULGAR}])`, 'g'), ' ')
		.normalize('NFKC')
		.replaceAll('\u2044', '/')
		.replace(DASHES, '-');

/** Whether raised digits stand in a text. */
export const hasPowers = (text: string): boolean => new RegExp(`[${RAISED}]`).test(text);

/** Raised digits as powers: `x²` is `x^2`. Before `inPlainSigns`, which makes digits of them. */
export const withPowers = (text: string): string =>
	text.replace(new RegExp(`[${RAISED}]+`, 'g'), (raised) => `^${raised.normalize('NFKC')}`);
