import type { NeedleState } from './standings';

/** Degrees that the needle turns from straight up. Unseen is a dot. */
export const TURNS = { secure: 0, forming: 90, slipping: 135, gap: 180 } as const;
/** In a square of 20. */
export const TAIL = 'M10 9V16.2';
export const HEAD = 'M10 3.6 13 9.6H7Z';

/** The order of needles in the sheet of pictures, from left to right. */
export const SPRITE_COLUMNS: NeedleState[] = ['gap', 'forming', 'secure', 'slipping', 'unseen'];
/** Its rows: with a ground, without, hollow; then the same with the ring of what is ready next. */
export const SPRITE_ROWS = ['ground', 'bare', 'hollow'] as const;
const SIZE = 20;

/** Where a needle lies in the sheet, in pixels. */
export function spritePlace(
	state: NeedleState,
	row: (typeof SPRITE_ROWS)[number],
	ready: boolean
): { x: number; y: number } {
	return {
		x: SIZE * SPRITE_COLUMNS.indexOf(state),
		y: SIZE * (SPRITE_ROWS.indexOf(row) + (ready ? SPRITE_ROWS.length : 0))
	};
}

/**
 * All needles as one picture, for where thousands are shown: an element each would be slow to lay out.
 *
 * @param color of a token such as `gap-ink`
 */
export function needleSprite(color: (token: string) => string): string {
	const parts: string[] = [];
	for (const ready of [false, true]) {
		for (const row of SPRITE_ROWS) {
			for (const state of SPRITE_COLUMNS) {
				const { x, y } = spritePlace(state, row, ready);
				const shape: string[] = [];
				if (state === 'unseen') shape.push(`<circle cx="10" cy="10" r="1.6" fill="${color('unseen-ink')}"/>`);
				else {
					const ink = color(`${state}-ink`);
					const hollow = row === 'hollow';
					if (row === 'ground') shape.push(`<rect width="20" height="20" rx="3" fill="${color(`${state}-ground`)}"/>`);
					const dash = state === 'slipping' ? ' stroke-dasharray="1.8 1.3"' : '';
					shape.push(
						`<g transform="rotate(${TURNS[state]} 10 10)" stroke="${ink}"><path d="${TAIL}" fill="none" stroke-width="${hollow ? 1 : 1.6}"${dash}/><path d="${HEAD}" fill="${hollow ? 'none' : ink}" stroke-width="${hollow ? 1.1 : 0.6}" stroke-linejoin="round"/></g>`
					);
				}
				if (ready)
					shape.push(
						`<rect x="0.75" y="0.75" width="18.5" height="18.5" rx="3" fill="none" stroke="${color('verdigris')}" stroke-width="1.5"/>`
					);
				parts.push(`<g transform="translate(${x} ${y})">${shape.join('')}</g>`);
			}
		}
	}
	const [width, height] = [SIZE * SPRITE_COLUMNS.length, SIZE * 2 * SPRITE_ROWS.length];
	return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}">${parts.join('\n')}</svg>\n`;
}
