import { strToU8 } from 'fflate';
import { describe, expect, it } from 'vitest';
import { shippedFramework } from '../../../../../framework/shipped';
import { readFile } from '.';

const table = (text: string) => readFile('table', { content: strToU8(text) });

/** The longest (ms) that this thread was kept from other work while something went on. */
async function longestWait(work: Promise<unknown>): Promise<number> {
	let [last, longest, ended] = [performance.now(), 0, false];
	const watch = setInterval(() => {
		longest = Math.max(longest, performance.now() - last);
		last = performance.now();
	}, 5);
	await work.finally(() => (ended = true));
	clearInterval(watch);
	expect(ended).toBe(true);
	return longest;
}

describe('files from outside', () => {
	it('are read in a thread: tables by line, calendars, and what the library takes', async () => {
		expect(await table('number,points\n\nS1,500\n\n')).toEqual({ found: [['number', 'points'], [''], ['S1', '500']] });
		const calendar = await readFile('calendar', {
			content: strToU8(
				'BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\nSUMMARY:Away\r\nDTSTART;VALUE=DATE:20261130\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n'
			),
			timeZone: 'UTC'
		});
		expect(calendar).toMatchObject({ found: { away: [{ fromOn: '2026-11-30', untilOn: '2026-12-01' }] } });
		const library = await readFile('library', {
			content: 'code,statement\nA.1,Count birds',
			holds: 'standards',
			current: shippedFramework()
		});
		expect(library).toMatchObject({ found: { holds: 'standards', standards: [{ code: 'A.1' }], problems: [] } });
	});

	it('that are not what they should be are refused in words', async () => {
		expect(await table('a,\ufffd')).toEqual({ problem: expect.stringContaining('not text in UTF-8') });
		expect(await readFile('calendar', { content: strToU8('hello'), timeZone: 'UTC' })).toEqual({
			problem: 'This is not an iCalendar file'
		});
	});

	it('with too many columns or rows are refused at the line', async () => {
		expect(await table(`a\n${','.repeat(100_000)}`)).toEqual({ problem: 'Line 2 has more than 100 columns' });
		expect(await table('a\n'.repeat(20_001))).toEqual({ problem: 'The file has more than 20000 rows' });
	});

	it('that take too long are given up, while others are served', async () => {
		const many = `BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\nSUMMARY${';X=1'.repeat(230_000)}:x\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n`;
		const read = readFile('calendar', { content: strToU8(many), timeZone: 'UTC' }, 100);
		expect(await longestWait(read)).toBeLessThan(5_000);
		expect(await read).toEqual({ problem: 'The file takes longer than 0.1 seconds to read' });
		// The next file finds a new thread.
		expect(await table('a,b')).toEqual({ found: [['a', 'b']] });
	});

	it('that quote without end are read or given up, while others are served', async () => {
		const read = table('"'.repeat(1_900_000));
		expect(await longestWait(read)).toBeLessThan(5_000);
		expect(await read).toEqual(expect.toSatisfy((found) => 'problem' in found || 'found' in found));
	}, 60_000);

	it('that wait in too long a line are refused', async () => {
		const many = await Promise.all(Array.from({ length: 30 }, (_, i) => table(`a,${i}`)));
		expect(many.filter((one) => 'found' in one).length).toBeGreaterThanOrEqual(8);
		expect(many.filter((one) => 'problem' in one).length).toBeGreaterThan(0);
	});
});
