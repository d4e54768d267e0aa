/** A picture as its pixels, row after row, each with its four channels in one number. */
export interface Pixels {
	data: Uint32Array;
	/** Pixels in a row. */
	width: number;
}

/**
 * Copies a square of pixels from one picture to a place in another. Plain loops: for squares so small they are many
 * times faster than a slice for each line, let alone drawing each as a picture.
 *
 * @throws {RangeError} when the square lies outside of either picture
 */
export function copySquare(
	from: Pixels,
	at: { x: number; y: number },
	to: Pixels,
	place: { x: number; y: number },
	size: number
): void {
	requireInside(from, at, size);
	requireInside(to, place, size);
	const [source, target] = [from.data, to.data];
	for (let line = 0; line < size; line++) {
		const read = (at.y + line) * from.width + at.x;
		const write = (place.y + line) * to.width + place.x;
		for (let i = 0; i < size; i++) target[write + i] = source[read + i];
	}
}

function requireInside({ data, width }: Pixels, { x, y }: { x: number; y: number }, size: number): void {
	if (x < 0 || y < 0 || x + size > width || (y + size) * width > data.length)
		throw new RangeError(`A square of ${size} at ${x}, ${y} lies outside of the picture`);
}
