import { describe, expect, it } from 'vitest';
import { columnTitle, studentFile, type FileTable } from './studentFile';

const about = { student: 'Bo <b> & Co', school: 'Estuary "School"', on: 'Mon, Nov 23' };
const table = (rows: string[][]): FileTable => ({
	title: 'Notes',
	says: 'a note',
	columns: [
		{ name: 'On date', means: 'day' },
		{ name: 'Text', means: 'what was noted' }
	],
	rows
});

describe('a student’s file', () => {
	it('reads as text whatever is in it', () => {
		const html = studentFile(about, [table([['2026-11-23', '<script>alert(1)</script> & "more"']])]);
		expect(html).not.toMatch(/<script|<b>(?! ?[OT])/);
		expect(html).toContain('&lt;script&gt;alert(1)&lt;/script&gt; &amp; &quot;more&quot;');
		expect(html).toContain('<h1>Bo &lt;b&gt; &amp; Co</h1>');
		expect(html).toContain('<th scope="col">Text</th>');
		expect(html).toContain('<b>Text</b>: what was noted');
	});

	it('says of what there is nothing, and asks nothing from elsewhere', () => {
		const html = studentFile(about, [table([]), { ...table([['a', 'b']]), title: 'Tiers' }]);
		expect(html).toContain('Nothing is kept of</h2><p>notes.');
		expect(html).not.toContain('<h2>Notes</h2>');
		expect(html).not.toMatch(/https?:|src=|href=/);
	});

	it('has columns named as people read them', () => {
		expect(columnTitle('answered_at')).toBe('Answered at');
		expect(columnTitle('tier')).toBe('Tier');
	});
});
