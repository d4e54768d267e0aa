import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { needleSprite, SPRITE_COLUMNS, SPRITE_ROWS, spritePlace } from './needleShape';

const css = readFileSync('src/app.css', 'utf8');
const token = (name: string) => new RegExp(`--${name}: (#[0-9a-f]{6});`).exec(css)![1];

describe('the sheet of needles', () => {
	it('that ships is the one that is drawn from the shapes and tokens (write it anew: node --import tsx scripts/needles.ts)', () => {
		expect(readFileSync('static/needles.svg', 'utf8')).toBe(needleSprite(token));
	});

	it('gives every needle a place of its own', () => {
		const both = [false, true];
		const places = SPRITE_COLUMNS.flatMap((standing) =>
			both.flatMap((readyNext) =>
				both.flatMap((isSure) => [
					spritePlace({ standing, readyNext, isSure, inferred: true }, true),
					...both.map((ground) => spritePlace({ standing, readyNext, isSure, inferred: false }, ground))
				])
			)
		);
		expect(new Set(places.map(({ x, y }) => `${x} ${y}`)).size).toBe(5 * SPRITE_ROWS);
		expect(places.every(({ x, y }) => x >= 0 && y >= 0 && x < 100 && y < 20 * SPRITE_ROWS)).toBe(true);
	});
});
