import type { Cell, Standing } from '$lib/core/mastery';

/** Degrees that the needle turns from straight up. Unseen is a dot. */
export const TURNS = { secure: 0, forming: 90, slipping: 135, gap: 180 } as const;
/** In a square of 20. */
export const TAIL = 'M10 9V16.2';
export const HEAD = 'M10 3.6 13 9.6H7Z';

/** Opacity of a needle that is quiet: the share it stands for is known only roughly. */
export const QUIET = 0.45;

/** The order of needles in the sheet of pictures, from left to right. */
export const SPRITE_COLUMNS: Standing[] = ['gap', 'forming', 'secure', 'slipping', 'unseen'];
const KINDS = ['ground', 'bare', 'hollow'] as const;
/** Its rows: with a ground, without, hollow; the same quiet; and all of them with the ring of what is ready next. */
export const SPRITE_ROWS = 4 * KINDS.length;
const SIZE = 20;

/** Where a cell's needle lies in the sheet, in pixels. @param ground whether needles by own answers have a ground */
export function spritePlace(
	{ standing, inferred, isSure, readyNext }: Pick<Cell, 'standing' | 'inferred' | 'isSure' | 'readyNext'>,
	ground: boolean
): { x: number; y: number } {
	const kind = KINDS.indexOf(inferred ? 'hollow' : ground ? 'ground' : 'bare');
	return {
		x: SIZE * SPRITE_COLUMNS.indexOf(standing),
		y: SIZE * (kind + KINDS.length * ((isSure ? 0 : 1) + (readyNext ? 2 : 0)))
	};
}

/**
 * All needles as one picture, for where thousands are shown: an element each would be slow to lay out.
 *
 * @param color of a token such as `gap-ink`
 */
export function needleSprite(color: (token: string) => string): string {
	const parts: string[] = [];
	for (const readyNext of [false, true])
		for (const isSure of [true, false])
			for (const kind of KINDS)
				for (const standing of SPRITE_COLUMNS) {
					const place = spritePlace({ standing, inferred: kind === 'hollow', isSure, readyNext }, kind === 'ground');
					const needle = oneNeedle(standing, kind, color);
					const shape = isSure || standing === 'unseen' ? needle : `<g opacity="${QUIET}">${needle}</g>`;
					const ring = readyNext
						? `<rect x="0.75" y="0.75" width="18.5" height="18.5" rx="3" fill="none" stroke="${color('verdigris')}" stroke-width="1.5"/>`
						: '';
					parts.push(`<g transform="translate(${place.x} ${place.y})">${shape}${ring}</g>`);
				}
	const [width, height] = [SIZE * SPRITE_COLUMNS.length, SIZE * SPRITE_ROWS];
	return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}">${parts.join('\n')}</svg>\n`;
}

function oneNeedle(state: Standing, kind: (typeof KINDS)[number], color: (token: string) => string): string {
	if (state === 'unseen') return `<circle cx="10" cy="10" r="1.6" fill="${color('unseen-ink')}"/>`;
	const ink = color(`${state}-ink`);
	const hollow = kind === 'hollow';
	const ground = kind === 'ground' ? `<rect width="20" height="20" rx="3" fill="${color(`${state}-ground`)}"/>` : '';
	const dash = state === 'slipping' ? ' stroke-dasharray="1.8 1.3"' : '';
	return `${ground}<g transform="rotate(${TURNS[state]} 10 10)" stroke="${ink}"><path d="${TAIL}" fill="none" stroke-width="${hollow ? 1 : 1.6}"${dash}/><path d="${HEAD}" fill="${hollow ? 'none' : ink}" stroke-width="${hollow ? 1.1 : 0.6}" stroke-linejoin="round"/></g>`;
}
