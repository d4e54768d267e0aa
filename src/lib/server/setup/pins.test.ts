import { expect, it } from 'vitest';
import { newPin } from './pins';

it('PINs have the digits asked for, are all different kinds, and are never the first that somebody would try', () => {
	const pins = Array.from({ length: 3_000 }, () => newPin(4));
	expect(pins.every((pin) => /^\d{4}$/.test(pin))).toBe(true);
	expect(
		pins.filter((pin) => /^(\d)\1{3}$/.test(pin) || '0123456789'.includes(pin) || '9876543210'.includes(pin))
	).toEqual([]);
	expect(new Set(pins).size).toBeGreaterThan(2_000);
	expect(newPin(8)).toMatch(/^\d{8}$/);
});
