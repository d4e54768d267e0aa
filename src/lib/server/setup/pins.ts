import { randomInt } from 'node:crypto';

/** PINs that somebody would try first: one digit throughout, or digits in a row. */
function isGuessed(pin: string): boolean {
	const steps = new Set([...pin].slice(1).map((digit, i) => Number(digit) - Number(pin[i])));
	return steps.size === 1 && [-1, 0, 1].includes([...steps][0]);
}

/** A random PIN of so many digits that is not among the first that somebody would try. */
export function newPin(length: number): string {
	for (;;) {
		const pin = Array.from({ length }, () => randomInt(10)).join('');
		if (!isGuessed(pin)) return pin;
	}
}
