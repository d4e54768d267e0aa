import sharp from 'sharp';

/** Pictures are made at most this wide and high (pixels): sharp on any screen that students have. */
const MOST_PIXELS = 2_400;
/** A picture of more pixels than any camera takes is refused before it is unpacked. */
const MOST_UNPACKED = 100_000_000;

/**
 * A picture as it is kept: turned the right way up, not larger than screens need, and without what a camera writes into it,
 * above all the place where it was taken. Its kind stays.
 *
 * @returns null where it cannot be read
 */
export const cleanPicture = (content: Buffer): Promise<Buffer | null> =>
	sharp(content, { limitInputPixels: MOST_UNPACKED, failOn: 'error' })
		.autoOrient()
		.resize({ width: MOST_PIXELS, height: MOST_PIXELS, fit: 'inside', withoutEnlargement: true })
		.toBuffer()
		.catch(() => null);
