import { error, type RequestEvent } from '@sveltejs/kit';
import Ajv, { type ValidateFunction } from 'ajv';
import addFormats from 'ajv-formats';
import Type, { type Static, type TSchema } from 'typebox';
import { MOST_ID } from './address';
import { readFields, readJsonBody, SMALL_FORM, UnreadableForm, type FormLimits } from './formFields';

const ajv = addFormats(new Ajv({ allErrors: false, coerceTypes: 'array', removeAdditional: true, useDefaults: true }));
/** Strict twin for JSON bodies: types must be as sent. */
const strict = addFormats(new Ajv({ allErrors: false }));

/** A check at the border: gives back the input as the type it was found to be, or the first thing wrong with it. */
export type Check<T> = (input: unknown) => { value: T } | { problem: string };

/** A check of a form: what its fields hold, and how much it may be. */
export interface FormCheck<T> {
	(fields: unknown): { value: T } | { problem: string };
	/** JSON schema of the fields. */
	schema: object;
	limits: FormLimits;
}

/** Whether all numbers are finite and all texts are text; `1e400` and `"\\ud800"` in JSON make some that are not. */
function isSound(input: unknown): boolean {
	// With a list of what is still to look at: what is nested deeply would end the program's stack.
	const left = [input];
	while (left.length) {
		const value = left.pop();
		if (typeof value === 'number' && !Number.isFinite(value)) return false;
		if (typeof value === 'string' && !value.isWellFormed()) return false;
		if (typeof value === 'object' && value !== null)
			for (const [name, held] of Object.entries(value)) {
				if (!Array.isArray(value)) left.push(name);
				left.push(held);
			}
	}
	return true;
}

function checkWith<T>(validate: ValidateFunction<T>): Check<T> {
	return (input) => {
		if (!validate(input)) {
			const [first] = validate.errors!;
			const where = first.instancePath.slice(1).replaceAll('/', ' → ') || 'input';
			return { problem: `${where} ${first.message ?? 'is not valid'}` };
		}
		return isSound(input) ? { value: input } : { problem: 'A number is too large, or a character cannot be stored' };
	};
}

/** For forms: text is turned into numbers and lists where the schema says so. */
export const formCheck = <S extends TSchema>(schema: S, limits: FormLimits = SMALL_FORM): FormCheck<Static<S>> =>
	Object.assign(checkWith(ajv.compile<Static<S>>(schema)), { schema, limits });
/** For JSON bodies. */
export const jsonCheck = <S extends TSchema>(schema: S): Check<Static<S>> =>
	checkWith(strict.compile<Static<S>>(schema));

/** Schema of one of some words or numbers. */
export const oneOf = <const V extends string | number | null>(values: readonly V[], options: object = {}) =>
	Type.Unsafe<V>({ enum: values, ...options });

/** What a field that carries JSON holds; null for what is none, so that no check takes it. */
export function jsonIn(text: string): unknown {
	try {
		return JSON.parse(text);
	} catch {
		return null;
	}
}

/** A form's fields, checked, and the file that came with it, if one was chosen. */
export async function readForm<T>(
	event: RequestEvent,
	check: FormCheck<T>
): Promise<{ value: T; file: File | null } | { problem: string }> {
	try {
		const { fields, file } = await readFields(event.request, check.limits);
		const checked = check(fields);
		return 'problem' in checked ? checked : { ...checked, file };
	} catch (cause) {
		if (cause instanceof UnreadableForm) return { problem: cause.message };
		throw cause;
	}
}

/** A JSON body of at most so many bytes, or a 400 that says what is wrong with it. */
export async function readJson<T>(event: RequestEvent, check: Check<T>, bytes: number): Promise<T> {
	let body: unknown;
	try {
		body = await readJsonBody(event.request, bytes);
	} catch (cause) {
		if (cause instanceof UnreadableForm) error(400, `${cause.message}. Nothing was changed.`);
		throw cause;
	}
	const result = check(body);
	if ('problem' in result) error(400, `${result.problem}. Nothing was changed.`);
	return result.value;
}

export const id = Type.Integer({ minimum: 1, maximum: MOST_ID });
/** A day of this century. */
export const schoolDate = Type.String({ format: 'date', pattern: '^20' });
export const idList = (maxItems: number) => Type.Array(id, { minItems: 1, maxItems, uniqueItems: true });

/** Ids as text with commas, as a hidden field carries them; read with `idsOf`. */
export const idText = Type.String({ pattern: '^[0-9]{1,10}(,[0-9]{1,10}){0,1999}$' });
export const idsOf = (text: string) => [...new Set(text.split(',').map(Number))];
