/** What is tried against a running demo school: each case says what held, or throws what did not. */
import { strToU8, zipSync } from 'fflate';
import { classCodeOf } from '../../demo/people';
import { inputs, postable } from './inputs';
import { post, served, signedIn, timeOf, median, type Client } from './client';

/**
 * More than a calm request takes, so much (ms) an answer to any input may take. Each case takes `patience`, how many times
 * that is allowed: 1 on a machine that has nothing else to do.
 */
const ALLOWED_MS = 200;

const insist = (holds: boolean, what: string) => {
	if (!holds) throw new Error(what);
};

/** For every route the largest and the most numerous input is answered or refused soon. */
export async function stall(address: string, patience = 1, some = (_: string) => true): Promise<string> {
	const coordinator = await signedIn(address, 'coordinator');
	const targets = postable().filter(some);
	const calm: number[] = [];
	for (let i = 0; i < 9; i++) calm.push(await timeOf({ address, cookie: '' }, '/sign-in'));
	let slowest = { milliseconds: 0, what: '' };
	for (const path of targets)
		for (const { name, body, type } of inputs) {
			const { status, milliseconds } = await post(coordinator, path, body, type);
			insist(status < 500, `${path}, ${name}: ${status}`);
			if (milliseconds > slowest.milliseconds) slowest = { milliseconds, what: `${path}, ${name}` };
		}
	const over = slowest.milliseconds - median(calm);
	insist(over < patience * ALLOWED_MS, `${slowest.what} took ${Math.round(over)} ms more than a calm request`);
	return `${targets.length * inputs.length} inputs to ${targets.length} addresses: at most ${Math.round(over)} ms more than a calm request (${slowest.what})`;
}

/** Many try to sign in at once: others are served, and of many PINs for one student few are looked at. */
export async function storm(address: string, patience = 1): Promise<string> {
	const teacher = await signedIn(address, 'sanderling');
	const calm: number[] = [];
	for (let i = 0; i < 9; i++) calm.push(await timeOf(teacher, '/library'));
	const stranger: Client = { address, cookie: '' };
	const door = await (await fetch(`${address}/sign-in?as=student&class=${classCodeOf(11)}`)).text();
	const key = /<option value="([^"]+\.[\w-]{43})"/.exec(door)?.[1];
	insist(Boolean(key), 'the page of a class names no student');
	const pins = Array.from({ length: 150 }, (_, i) =>
		post(stranger, '/sign-in?/student', new URLSearchParams({ student: key!, pin: String(2_400 + i) }))
	);
	const accounts = Array.from({ length: 150 }, (_, i) =>
		post(stranger, '/sign-in?/staff', new URLSearchParams({ userName: `nobody${i}`, password: 'x' }))
	);
	const all = Promise.all([...pins, ...accounts]);
	const { slowest, usual } = await served(teacher, '/library', all);
	const replies = await all;
	insist(
		replies.every(({ status }) => status < 500 || status === 503),
		'a sign-in failed with a fault'
	);
	const tried = replies.slice(0, 150).filter(({ text }) => text.includes('does not fit the name')).length;
	insist(!replies.slice(0, 150).some(({ text }) => text.includes('"redirect"')), 'one of 150 PINs let somebody in');
	insist(tried <= 8, `${tried} of 150 PINs were looked at`);
	insist(usual < 10 * median(calm) + patience * ALLOWED_MS, `others waited ${Math.round(usual)} ms for a page`);
	return `300 tries at once: ${tried} of 150 PINs looked at; a page takes others ${(usual / median(calm)).toFixed(1)} times as long as in calm (at most ${Math.round(slowest)} ms)`;
}

/** A small XLSX file with a merged range over the whole sheet. */
function mergedSheet(): Uint8Array {
	const relation = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
	return zipSync({
		'xl/workbook.xml': strToU8(`<workbook xmlns:r="${relation}"><sheets><sheet r:id="a"/></sheets></workbook>`),
		'xl/_rels/workbook.xml.rels': strToU8('<R><Relationship Id="a" Target="worksheets/s.xml"/></R>'),
		'xl/worksheets/s.xml': strToU8(
			'<worksheet><sheetData><row r="1"><c r="A1"><v>1</v></c></row></sheetData><mergeCells><mergeCell ref="A1:XFD1048576"/></mergeCells></worksheet>'
		)
	});
}

/** Files made to take time or memory: refused or read, while pages are served. */
export async function files(address: string, patience = 1): Promise<string> {
	const coordinator = await signedIn(address, 'coordinator');
	const form = (fields: Record<string, string>, content: Uint8Array | string, name: string) => {
		const data = new FormData();
		for (const [field, value] of Object.entries(fields)) data.append(field, value);
		data.append('file', new File([content as BlobPart], name));
		return data;
	};
	const scores = (content: Uint8Array | string, name: string) =>
		['/screen/import', form({ source: 'Attack', step: 'columns' }, content, name)] as const;
	const calendar = (content: string) =>
		['/groups/timetable?/import', form({ staff: '2' }, content, 'calendar.ics')] as const;
	const library = (content: string) => {
		const data = new FormData();
		for (const [field, value] of Object.entries({ holds: 'skills', step: 'check', content })) data.append(field, value);
		return ['/library/import', data] as const;
	};
	const sent = [
		scores(mergedSheet(), 'merged.xlsx'),
		scores(zipSync({ 'xl/workbook.xml': new Uint8Array(61_000_000) }, { level: 9 }), 'bomb.xlsx'),
		scores('"'.repeat(1_900_000), 'quotes.csv'),
		scores(`a,b\n${','.repeat(100_000)}`, 'wide.csv'),
		calendar(`BEGIN:VCALENDAR\r\n${'BEGIN:VEVENT\r\n'.repeat(60_000)}END:VCALENDAR\r\n`),
		calendar(
			`BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\nSUMMARY${';X=1'.repeat(230_000)}:x\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n`
		),
		library(`{"CFDocument":${'{"a":'.repeat(200_000)}1${'}'.repeat(200_000)}}`),
		library(`{"CFDocument":{"identifier":"d","title":"T"},"CFItems":[${'{},'.repeat(500_000)}{}],"CFAssociations":[]}`)
	];
	let slowest = 0;
	for (const [path, body] of sent) {
		const reply = post(coordinator, path, body);
		slowest = Math.max(slowest, (await served({ address, cookie: '' }, '/sign-in', reply)).slowest);
		const { status, text } = await reply;
		insist(status < 500, `${path}: ${status} ${text.slice(0, 200)}`);
	}
	insist(slowest < patience * 1_000, `meanwhile a page took ${Math.round(slowest)} ms`);
	return `${sent.length} files: none a fault; meanwhile a page took at most ${Math.round(slowest)} ms`;
}

/** Requests from other sites, and what answers carry. */
export async function headers(address: string): Promise<string> {
	const teacher = await signedIn(address, 'redshank');
	const asked = ['/sign-in', '/screen', '/favicon.svg', '/nothing'];
	for (const path of asked) {
		const reply = await fetch(address + path, { headers: { cookie: teacher.cookie }, redirect: 'manual' });
		insist(reply.headers.get('x-content-type-options') === 'nosniff', `${path} may be sniffed`);
		if (path.includes('.')) continue;
		insist(reply.headers.get('cache-control')?.includes('no-store') ?? false, `${path} may be kept`);
	}
	for (const origin of [undefined, 'https://elsewhere.example', 'null'])
		for (const [path, type] of [
			['/sign-out', 'application/x-www-form-urlencoded'],
			['/api/sittings/1/answers', 'application/json'],
			['/account?/endAll', 'application/x-www-form-urlencoded']
		]) {
			const reply = await fetch(address + path, {
				method: 'POST',
				body: type.includes('json') ? '{"answers":[]}' : '',
				headers: { cookie: teacher.cookie, 'content-type': type, ...(origin ? { origin } : {}) },
				redirect: 'manual'
			});
			insist(reply.status === 403, `${path} from ${origin ?? 'nowhere'}: ${reply.status}`);
		}
	return `${asked.length} answers are not sniffed or kept; 9 requests from other sites are refused`;
}

export const cases = { stall, storm, files, headers };
