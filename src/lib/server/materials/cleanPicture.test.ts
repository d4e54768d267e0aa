import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { cleanPicture } from './cleanPicture';

const PLACE = { IFD0: { Make: 'Tidepool' }, IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '44/1 30/1 0/1' } };
const picture = (width: number, height: number) =>
	sharp({ create: { width, height, channels: 3, background: '#f00' } }).composite([
		{ input: { create: { width: width / 2, height, channels: 3, background: '#00f' } }, left: 0, top: 0 }
	]);
/** Colors of the four corners' neighborhoods, from the first row on: `blue red blue red`. */
async function corners(content: Buffer): Promise<string> {
	const { data, info } = await sharp(content).removeAlpha().raw().toBuffer({ resolveWithObject: true });
	const at = (x: number, y: number) => (data[3 * (y * info.width + x)] > 128 ? 'red' : 'blue');
	const [right, bottom] = [info.width - 3, info.height - 3];
	return [at(2, 2), at(right, 2), at(2, bottom), at(right, bottom)].join(' ');
}

describe('a picture as it is kept', () => {
	for (const format of ['jpeg', 'png', 'webp'] as const)
		it(`has no place in it, and is a ${format} as before`, async () => {
			const taken = await picture(60, 40).withExif(PLACE).toFormat(format).toBuffer();
			expect((await sharp(taken).metadata()).exif).toBeDefined();
			expect(taken.includes('Tidepool')).toBe(true);
			const kept = (await cleanPicture(taken))!;
			expect(await sharp(kept).metadata()).toMatchObject({ format, width: 60, height: 40 });
			expect((await sharp(kept).metadata()).exif).toBeUndefined();
			expect(kept.includes('Tidepool')).toBe(false);
			expect(await corners(kept)).toBe('blue red blue red');
		});

	it('is turned as the camera was held', async () => {
		// Orientation 6: to be turned a quarter clockwise.
		const taken = await picture(60, 40).withMetadata({ orientation: 6 }).jpeg().toBuffer();
		const kept = (await cleanPicture(taken))!;
		expect(await sharp(kept).metadata()).toMatchObject({ width: 40, height: 60 });
		expect((await sharp(kept).metadata()).orientation).toBeUndefined();
		expect(await corners(kept)).toBe('blue blue red red');
	});

	it('is no larger than screens need, and never made larger', async () => {
		const large = (await cleanPicture(await picture(3_000, 1_000).jpeg().toBuffer()))!;
		expect(await sharp(large).metadata()).toMatchObject({ width: 2_400, height: 800 });
	});

	it('is refused where it cannot be read, or where it unpacks to more than any camera takes', async () => {
		const taken = await picture(60, 40).jpeg().toBuffer();
		expect(await cleanPicture(taken.subarray(0, taken.length / 2))).toBeNull();
		expect(await cleanPicture(Buffer.from('no picture'))).toBeNull();
		const bomb = await sharp({ create: { width: 12_000, height: 12_000, channels: 3, background: '#fff' } })
			.png()
			.toBuffer();
		expect(bomb.length).toBeLessThan(2_000_000);
		expect(await cleanPicture(bomb)).toBeNull();
	});
});
