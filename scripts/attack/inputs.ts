/** Every form action and JSON endpoint, by its address, and inputs as large and as numerous as can be. */
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from '../prepare.mjs';

const routes = join(root, 'src', 'routes');

/** Values for parameters of an address, in the demo school. */
const PARAMETERS: Record<string, string> = { student: '140', group: '1', sitting: '1', code: 'F42', kind: 'csv' };

const addressOf = (folder: string) =>
	folder.replace(/\/\([^)]+\)/g, '').replace(/\[(\w+)\]/g, (_, name: string) => PARAMETERS[name]) || '/';

/** Addresses to which something can be posted: `/screen/sittings?/trust`. */
export function postable(): string[] {
	const files = readdirSync(routes, { recursive: true, encoding: 'utf8' });
	return files
		.filter((file) => /\+(page\.)?server\.ts$/.test(file))
		.flatMap((file) => {
			const source = readFileSync(join(routes, file), 'utf8');
			const address = addressOf(`/${file.replace(/\/?\+(page\.)?server\.ts$/, '')}`);
			if (/export async function POST/.test(source)) return [address];
			const actions = /export const actions = \{([\s\S]*)\n?\};?\s*$/.exec(source)?.[1];
			if (actions === undefined) return [];
			const names = [...actions.matchAll(/(?:^|,)\s*(\w+): (?:staffAction|\w+Action\b|async)/gm)].map(
				([, name]) => name
			);
			// The timetable's stand in files of their own.
			const spread = actions.trim().startsWith('...') ? ['addSlot', 'addBlock', 'import', 'undoImport'] : [];
			return [...names, ...spread].map((name) => (name === 'default' ? address : `${address}?/${name}`));
		})
		.sort();
}

const PAIRS = 40_000;
/** Just less than the server reads of any request. */
const LARGEST = 3_900_000;
const FORM = 'application/x-www-form-urlencoded';
const PART = '--x\r\nContent-Disposition: form-data; name="a"\r\n\r\n1\r\n';

/** What is sent to each: the most fields, the most values of one field, the largest field, the most parts, no form at all. */
export const inputs: { name: string; body: Uint8Array<ArrayBuffer>; type: string }[] = [
	{ name: '40,000 fields', type: FORM, text: Array.from({ length: PAIRS }, (_, i) => `${i}=1`).join('&') },
	{ name: '40,000 values of a field', type: FORM, text: 'students=1&'.repeat(PAIRS) },
	{ name: 'a field of 3.9 MB', type: FORM, text: `students=${'1'.repeat(LARGEST)}` },
	{ name: '20,000 parts', type: 'multipart/form-data; boundary=x', text: `${PART.repeat(20_000)}--x--\r\n` },
	{
		name: '3.9 MB of nested JSON',
		type: 'application/json',
		text: '['.repeat(LARGEST / 2) + ']'.repeat(LARGEST / 2)
	}
].map(({ text, ...input }) => ({ ...input, body: new TextEncoder().encode(text) }));
