import { describe, expect, it } from 'vitest';
import { fileForm, longForm, readFields, readJsonBody, SMALL_FORM, UnreadableForm } from './formFields';

const posted = (body: BodyInit, type?: string) =>
	new Request('http://school/', { method: 'POST', body, headers: type ? { 'content-type': type } : {} });
const pairs = (count: number, name: (i: number) => string) =>
	posted(new URLSearchParams(Array.from({ length: count }, (_, i) => [name(i), '1'])));

describe('the fields of a form', () => {
	it('are read alike from both ways in which browsers send them, lists in their order', async () => {
		const entries = [
			['a', 'é\u{1f6a4} &=+%'],
			['list', '1'],
			['b', ''],
			['list', '2'],
			['list', '3']
		];
		const parts = new FormData();
		for (const [name, value] of entries) parts.append(name, value);
		const fields = { a: 'é\u{1f6a4} &=+%', b: '', list: ['1', '2', '3'] };
		for (const body of [new URLSearchParams(entries), parts])
			expect(await readFields(posted(body), SMALL_FORM)).toEqual({ fields, file: null });
	});

	it('cannot reach what all objects have', async () => {
		const { fields } = await readFields(posted(new URLSearchParams({ __proto__x: '1', constructor: '2' })), SMALL_FORM);
		const named = await readFields(posted('__proto__=evil', 'application/x-www-form-urlencoded'), SMALL_FORM);
		expect(Object.getPrototypeOf(named.fields)).toBe(Object.prototype);
		expect(fields).toEqual({ __proto__x: '1', constructor: '2' });
	});

	it('are at most some hundred, whatever they are called', async () => {
		await expect(readFields(pairs(600, String), SMALL_FORM)).resolves.toHaveProperty('fields.599', '1');
		for (const name of [String, () => 'same'])
			await expect(readFields(pairs(602, name), SMALL_FORM)).rejects.toThrow('too many fields');
		const parts = new FormData();
		for (let i = 0; i < 602; i++) parts.append('same', '1');
		await expect(readFields(posted(parts), SMALL_FORM)).rejects.toThrow('too many fields');
	});

	it('are read no further when there are forty thousand', async () => {
		const many = pairs(40_000, String);
		await expect(readFields(many, { ...SMALL_FORM, bytes: 1_000_000 })).rejects.toThrow('too many fields');
	});

	it('are each so long at most, and together', async () => {
		const long = new URLSearchParams({ text: 'x'.repeat(40_000) });
		await expect(readFields(posted(long), SMALL_FORM)).rejects.toThrow('A field is longer than 32 KB');
		const wide = new URLSearchParams(Array.from({ length: 10 }, (_, i) => [String(i), 'x'.repeat(10_000)]));
		await expect(readFields(posted(wide), SMALL_FORM)).rejects.toThrow('What was sent is larger than 64 KB');
		const pasted = '<\u00e9,\n'.repeat(10_000);
		const read = await readFields(posted(new URLSearchParams({ pasted })), longForm(60_000));
		expect(read.fields.pasted).toBe(pasted);
	});

	it('are not read for ever when nobody said how much comes', async () => {
		let sent = 0;
		const endless = new ReadableStream({
			pull(controller) {
				sent++;
				controller.enqueue(new TextEncoder().encode('a=1&'.repeat(100_000)));
			}
		});
		const request = new Request('http://school/', {
			method: 'POST',
			body: endless,
			headers: { 'content-type': 'application/x-www-form-urlencoded' },
			duplex: 'half'
		} as RequestInit);
		await expect(readFields(request, SMALL_FORM)).rejects.toThrow('larger than 64 KB');
		expect(sent).toBeLessThan(30);
	});

	it.each([
		['{"a":1}', 'application/json'],
		['a=1', 'text/plain'],
		['a=1', 'multipart/form-data'],
		['--x\r\nno header', 'multipart/form-data; boundary=x'],
		['--x\r\nContent-Disposition: form-data; name="a"\r\n\r\n1', 'multipart/form-data; boundary=x']
	])('are not made out of what is no form: %s as %s', async (body, type) => {
		await expect(readFields(posted(body, type), SMALL_FORM)).rejects.toThrow('The form could not be read');
	});
});

describe('a file in a form', () => {
	const withFile = (bytes: number, name = 'roster.csv') => {
		const form = new FormData();
		form.append('step', 'check');
		form.append('file', new File([new Uint8Array(bytes).fill(65)], name));
		return posted(form);
	};

	it('comes along where one belongs', async () => {
		const { fields, file } = await readFields(withFile(3), fileForm(1_000));
		expect(fields).toEqual({ step: 'check' });
		expect([file!.name, file!.size, await file!.text()]).toEqual(['roster.csv', 3, 'AAA']);
	});

	it('that was not chosen is none', async () => {
		expect(await readFields(withFile(0, ''), fileForm(1_000))).toEqual({ fields: { step: 'check' }, file: null });
	});

	it('is refused where none belongs, and where it is too large or not alone', async () => {
		await expect(readFields(withFile(3), SMALL_FORM)).rejects.toThrow('No file belongs here');
		await expect(readFields(withFile(1_001), fileForm(1_000))).rejects.toThrow('The file is larger than 1 KB');
		const two = new FormData();
		for (const name of ['a', 'b']) two.append(name, new File(['x'], 'x'));
		await expect(readFields(posted(two), fileForm(1_000))).rejects.toThrow('No file belongs here');
	});
});

describe('a JSON body', () => {
	it('is read to its limit', async () => {
		expect(await readJsonBody(posted('{"a":[1]}'), 100)).toEqual({ a: [1] });
		await expect(readJsonBody(posted('{"a":'), 100)).rejects.toThrow('not valid JSON');
		await expect(readJsonBody(posted(`"${'x'.repeat(100)}"`), 100)).rejects.toThrow(UnreadableForm);
	});
});
