import { toString as svgOf } from 'qrcode';
import { setLink } from '../sitting';

/** A set's link for its students, and the same as a QR code (SVG). */
export async function linkPicture(origin: string, setId: number): Promise<{ link: string; qr: string }> {
	const link = origin + setLink(setId);
	return { link, qr: await svgOf(link, { type: 'svg', margin: 2 }) };
}
