import { Busboy, type BusboyInstance } from '@fastify/busboy';

/** What the body of a form may hold. Everything beyond is refused before it is read any further. */
export interface FormLimits {
	/** Bytes of the whole body. */
	bytes: number;
	/** Fields, each value of a list counted. */
	fields: number;
	/** Bytes of one field. */
	fieldBytes: number;
	/** Bytes of the one file that may come along; 0 where none belongs. */
	fileBytes: number;
}

/** A form of fields that people fill in, and of lists of ids. */
export const SMALL_FORM: FormLimits = { bytes: 64_000, fields: 600, fieldBytes: 32_000, fileBytes: 0 };

/** A form with a long field, as pasted rows or a whole board. In an address's letters a character takes up to three times the bytes. */
export const longForm = (fieldBytes: number): FormLimits => ({
	...SMALL_FORM,
	bytes: 3 * fieldBytes + SMALL_FORM.bytes,
	fieldBytes
});

/** A form with a file; what was read of it may come back in a field with the next step. */
export const fileForm = (fileBytes: number): FormLimits => ({ ...longForm(fileBytes), fileBytes });

/** The body is more than the limits allow, or no form. Its message is for people. */
export class UnreadableForm extends Error {}

/** Bytes. */
const PARSED_AT_ONCE = 16_384;

const NOT_A_FORM = 'The form could not be read';
const TOO_MANY_FIELDS = 'The form has too many fields';

/** A size as people say it. */
const sized = (bytes: number) =>
	bytes >= 1_000_000 ? `${Math.floor(bytes / 1_000_000)} MB` : `${Math.floor(bytes / 1_000)} KB`;

/** What is more than allowed is let pass by up to here, kept nowhere: a browser hears why only once it has sent all. */
const MOST_PASSED_BY = 8_000_000;

/** Bytes of a body. @throws UnreadableForm for more than allowed, as soon as it has passed by */
async function bodyWithin(request: Request, bytes: number): Promise<Buffer> {
	let chunks: Uint8Array[] = [];
	let length = 0;
	try {
		for await (const chunk of (request.body ?? []) as AsyncIterable<Uint8Array>) {
			length += chunk.length;
			if (length > Math.max(bytes, MOST_PASSED_BY)) break;
			if (length > bytes) chunks = [];
			else chunks.push(chunk);
		}
	} catch {
		throw new UnreadableForm(NOT_A_FORM);
	}
	if (length > bytes) throw new UnreadableForm(`What was sent is larger than ${sized(bytes)}`);
	return Buffer.concat(chunks);
}

/** A JSON body. @throws UnreadableForm when it is larger than allowed, or no JSON */
export async function readJsonBody(request: Request, bytes: number): Promise<unknown> {
	const body = await bodyWithin(request, bytes);
	try {
		return JSON.parse(body.toString('utf8'));
	} catch {
		throw new UnreadableForm('The request is not valid JSON');
	}
}

/**
 * The fields of a posted form, in one pass: a field that stands several times is a list. An empty file counts as none.
 *
 * @throws UnreadableForm when the body is no form, or more than the limits allow
 */
export async function readFields(
	request: Request,
	limits: FormLimits
): Promise<{ fields: Record<string, string | string[]>; file: File | null }> {
	const contentType = request.headers.get('content-type') ?? '';
	// Browsers send forms in these two ways; the third, plain text, cannot be told apart again.
	if (!/^(application\/x-www-form-urlencoded|multipart\/form-data)\b/i.test(contentType))
		throw new UnreadableForm(NOT_A_FORM);
	const body = await bodyWithin(request, limits.bytes + limits.fileBytes);
	return new Promise((resolve, reject) => {
		const fields = new Map<string, string | string[]>();
		let file: File | null = null;
		let count = 0;
		let isRefused = false;
		const refuse = (why: string) => {
			isRefused = true;
			reject(new UnreadableForm(why));
		};
		let parser: BusboyInstance;
		try {
			parser = new Busboy({
				headers: { 'content-type': contentType },
				limits: {
					fieldNameSize: 100,
					fieldSize: limits.fieldBytes,
					// The parser of addresses' letters stops there without a word.
					fields: limits.fields + 1,
					fileSize: limits.fileBytes,
					files: limits.fileBytes ? 1 : 0,
					parts: limits.fields + 2,
					headerPairs: 20,
					headerSize: 4_000
				}
			});
		} catch {
			return refuse(NOT_A_FORM);
		}
		parser.on('field', (name, value, nameCut, valueCut) => {
			if (++count > limits.fields) return refuse(TOO_MANY_FIELDS);
			if (nameCut || valueCut) return refuse(`A field is longer than ${sized(limits.fieldBytes)}`);
			const before = fields.get(name);
			if (Array.isArray(before)) before.push(value);
			else fields.set(name, before === undefined ? value : [before, value]);
		});
		parser.on('file', (_, stream, name) => {
			const chunks: Buffer[] = [];
			stream.on('data', (chunk: Buffer) => chunks.push(chunk));
			stream.on('limit', () => refuse(`The file is larger than ${sized(limits.fileBytes)}`));
			stream.on('error', () => refuse(NOT_A_FORM));
			stream.on('end', () => {
				if (chunks.length) file = new File([new Uint8Array(Buffer.concat(chunks))], name || 'file');
			});
		});
		parser.on('partsLimit', () => refuse(TOO_MANY_FIELDS));
		parser.on('filesLimit', () => refuse('No file belongs here'));
		parser.on('error', () => refuse(NOT_A_FORM));
		parser.on('finish', () => resolve({ fields: Object.fromEntries(fields), file }));
		// Part by part, so that nothing is read beyond where it was refused.
		for (let at = 0; at < body.length && !isRefused; at += PARSED_AT_ONCE)
			parser.write(body.subarray(at, at + PARSED_AT_ONCE));
		if (!isRefused) parser.end();
	});
}
