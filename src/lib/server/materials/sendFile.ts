import { shapeOf } from '../../core/practice';
import type { Database } from '../database';
import { filePart, PART_BYTES, type KeptFile } from './store/files';

/** The bytes that a request asks for (RFC 9110, section 14.1.2: one range); null for all of them or none that there are. */
function asked(range: string | null, bytes: number): { from: number; to: number } | null {
	const found = /^bytes=(\d{0,12})-(\d{0,12})$/.exec(range ?? '');
	if (!found || (found[1] === '' && found[2] === '')) return null;
	const from = found[1] === '' ? Math.max(0, bytes - Number(found[2])) : Number(found[1]);
	const to = found[1] === '' || found[2] === '' ? bytes - 1 : Math.min(bytes - 1, Number(found[2]));
	return from <= to && from < bytes ? { from, to } : null;
}

/** Sends a file, or the range of it that is asked for, part by part as it is read: sounds are asked for in ranges. */
export function sendFile(database: Database, file: KeptFile, range: string | null): Response {
	const part = asked(range, file.bytes);
	const { from, to } = part ?? { from: 0, to: file.bytes - 1 };
	let at = from;
	const body = new ReadableStream<Uint8Array>({
		async pull(controller) {
			if (at > to) return controller.close();
			const number = Math.floor(at / PART_BYTES);
			const content = await filePart(database, file.id, number);
			const begin = number * PART_BYTES;
			controller.enqueue(new Uint8Array(content.subarray(at - begin, to + 1 - begin)));
			at = begin + content.length;
		}
	});
	return new Response(body, {
		status: part ? 206 : 200,
		headers: {
			'Content-Type': file.type,
			'Content-Length': String(to - from + 1),
			'Accept-Ranges': 'bytes',
			// Quotes and what is not plain letters could end the name early (RFC 6266).
			'Content-Disposition': `inline; filename*=UTF-8''${encodeURIComponent(file.name)}`,
			// A document is drawn by the browser's own viewer, which a policy would stop; nothing else may run anything.
			...(shapeOf(file.type) !== 'document' && { 'Content-Security-Policy': "default-src 'none'; sandbox" }),
			...(part && { 'Content-Range': `bytes ${from}-${to}/${file.bytes}` })
		}
	});
}
