import { error, type RequestEvent } from '@sveltejs/kit';
import Ajv, { type JSONSchemaType, type ValidateFunction } from 'ajv';
import addFormats from 'ajv-formats';

const ajv = addFormats(new Ajv({ allErrors: false, coerceTypes: 'array', removeAdditional: true, useDefaults: true }));
/** Strict twin for JSON bodies: types must be as sent. */
const strict = addFormats(new Ajv({ allErrors: false }));

/** A check at the border: gives back the input as the type it was found to be, or the first thing wrong with it. */
export type Check<T> = (input: unknown) => { value: T } | { problem: string };

function checkWith<T>(validate: ValidateFunction<T>): Check<T> {
	return (input) => {
		if (validate(input)) return { value: input };
		const [first] = validate.errors!;
		const where = first.instancePath.slice(1).replaceAll('/', ' → ') || 'input';
		return { problem: `${where} ${first.message ?? 'is not valid'}` };
	};
}

/** For forms: text is turned into numbers and lists where the schema says so. */
export const formCheck = <T>(schema: object): Check<T> => checkWith(ajv.compile<T>(schema as JSONSchemaType<T>));
/** For JSON bodies. */
export const jsonCheck = <T>(schema: object): Check<T> => checkWith(strict.compile<T>(schema as JSONSchemaType<T>));

/** What a field that carries JSON holds; null for what is none, so that no check takes it. */
export function jsonIn(text: string): unknown {
	try {
		return JSON.parse(text);
	} catch {
		return null;
	}
}

/** Fields of a form as plain values; a field that stands several times becomes a list. Files are left out. */
export async function readForm<T>(event: RequestEvent, check: Check<T>): Promise<{ value: T } | { problem: string }> {
	const form = await readFormAndFile(event, check);
	return 'problem' in form ? form : { value: form.value };
}

/** A form as `readForm` gives it, and the file that came with it, if one was chosen. */
export async function readFormAndFile<T>(
	event: RequestEvent,
	check: Check<T>
): Promise<{ value: T; file: File | null } | { problem: string }> {
	let form: FormData;
	try {
		form = await event.request.formData();
	} catch {
		return { problem: 'The form could not be read, or is too large' };
	}
	const fields: Record<string, unknown> = {};
	let file: File | null = null;
	for (const name of new Set(form.keys())) {
		const values = form.getAll(name);
		const texts = values.filter((value): value is string => typeof value === 'string');
		if (texts.length) fields[name] = texts.length > 1 ? texts : texts[0];
		file = values.find((value): value is File => typeof value !== 'string' && value.size > 0) ?? file;
	}
	const checked = check(fields);
	return 'problem' in checked ? checked : { ...checked, file };
}

/** A JSON body, or a 400 that says what is wrong with it. */
export async function readJson<T>(event: RequestEvent, check: Check<T>): Promise<T> {
	let body: unknown;
	try {
		body = await event.request.json();
	} catch (cause) {
		if ((cause as { status?: number }).status === 413) error(413, 'The request is too large. Nothing was changed.');
		error(400, 'The request is not valid JSON. Nothing was changed.');
	}
	const result = check(body);
	if ('problem' in result) error(400, `${result.problem}. Nothing was changed.`);
	return result.value;
}

export const id = { type: 'integer', minimum: 1, maximum: 4_294_967_295 } as const;
export const schoolDate = { type: 'string', format: 'date' } as const;
export const idList = (maxItems: number) =>
	({ type: 'array', items: id, minItems: 1, maxItems, uniqueItems: true }) as const;

/** Ids as text with commas, as a hidden field carries them; read with `idsOf`. */
export const idText = { type: 'string', pattern: '^[0-9]{1,10}(,[0-9]{1,10}){0,1999}$' } as const;
export const idsOf = (text: string) => [...new Set(text.split(',').map(Number))];
