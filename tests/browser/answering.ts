import { type Page } from './test';
import { type ItemSeed } from '../../src/lib/core/items';
import { itemFrom } from '../../src/lib/core/items/bank';
import { openDatabase } from '../../src/lib/server/database/pool';
import { writeItems } from '../../src/lib/server/sitting/store/sittings';

/** Puts a practice sitting with just these items before a student, and gives its address. */
export async function layOutSitting(studentId: number, items: ItemSeed[]): Promise<string> {
	const database = openDatabase(process.env.DEMO_DATABASE!, 1);
	const insert = async (sql: string, values: unknown[]) => (await database.run(sql, values)).insertId;
	try {
		const codes = await database.rows<{ id: number; code: string }>('SELECT id, code FROM skill');
		const idOf = (code: string) => codes.find((skill) => skill.code === code)!.id;
		const setId = await insert(
			`INSERT INTO practice_set (school_id, item_count, opens_on, due_on, created_by, created_at)
			VALUES (1, ?, '2026-11-20', '2026-11-30', 1, '2026-11-20 15:00:00')`,
			[items.length]
		);
		await insert(
			`INSERT INTO practice_set_skill (set_id, skill_id, number, first_seed, seeds, practice_count)
			VALUES (?, ?, 0, 900000, 100, ?)`,
			[setId, idOf(items[0].skillCode), items.length]
		);
		await insert('INSERT INTO practice_set_student (set_id, student_id) VALUES (?, ?)', [setId, studentId]);
		const sittingId = await insert(
			`INSERT INTO sitting (student_id, kind, set_id, item_count, started_at)
			VALUES (?, 'practice', ?, ?, '2026-11-23 15:00:00')`,
			[studentId, setId, items.length]
		);
		const seeds = items.map((item) => ({ ...item, skillId: idOf(item.skillCode), help: 'second try' as const }));
		await writeItems(database, sittingId, 0, seeds);
		return `/work/${sittingId}`;
	} finally {
		await database.close();
	}
}

/** One item of every response kind. */
export const ONE_OF_EACH: ItemSeed[] = [
	['W11', 'number-after'],
	['W24', 'skip-count-gap'],
	['M21', 'ruler-from-zero'],
	['F41', 'lowest-terms'],
	['W45', 'mark-factors'],
	['F51', 'order-decimals'],
	['F66', 'match-forms'],
	['F43', 'take-like-parts'],
	['P72', 'multiply-out'],
	['W81', 'product-of-powers'],
	['S22', 'type-polygon-name'],
	['F46', 'place-decimal'],
	['F45', 'shade-decimal'],
	['M32', 'build-area'],
	['M22', 'set-five-minutes'],
	['S61', 'plot-in-quadrants']
].map(([skillCode, familyId], i) => ({ skillCode, familyId, seed: 3 + i }));

type Way = 'touch' | 'keys';

/** Presses a key on a control until it has moved so many steps. */
async function press(page: Page, control: ReturnType<Page['locator']>, steps: number, [more, less]: [string, string]) {
	await control.focus();
	for (let i = 0; i < Math.abs(steps); i++) await page.keyboard.press(steps > 0 ? more : less);
}

/** Gives the right answer to the question on the page, by touch or by the keyboard alone. */
export async function answerRightly(page: Page, seed: ItemSeed, way: Way): Promise<void> {
	const item = itemFrom(seed.familyId, seed.seed);
	const form = page.locator('form').filter({ has: page.locator('.stem') });
	const { response, key } = item;
	const keys = (key instanceof Array ? key : [key]) as (number | string)[];
	switch (response.kind) {
		case 'choice':
		case 'several':
			for (const index of keys as number[]) {
				const option = form.locator('.option input').nth(index);
				if (way === 'touch') await form.locator('.option').nth(index).tap();
				else {
					await option.focus();
					await page.keyboard.press('Space');
				}
			}
			return;
		case 'order':
			return sort(form, keys as number[], way, page);
		case 'match':
			for (const [row, index] of (keys as number[]).entries()) {
				const option = form.locator('fieldset').nth(row).locator('label').nth(index);
				if (way === 'touch') await option.tap();
				else {
					await option.locator('input').focus();
					await page.keyboard.press('Space');
				}
			}
			return;
		case 'number':
		case 'text':
			return form.getByRole('textbox').fill(String(key));
		case 'fill':
			for (const [i, text] of keys.entries()) await form.getByRole('textbox').nth(i).fill(String(text));
			return;
		case 'fraction': {
			const [top, bottom] = String(key).split('/');
			return type(
				page,
				[
					[form.getByLabel('Top number'), top],
					[form.getByLabel('Bottom number'), bottom]
				],
				way
			);
		}
		case 'expression':
			return type(page, [[form.getByRole('textbox'), String(key)]], way);
		case 'line': {
			const steps = Math.round((Number(key) - response.from) / response.step);
			return press(page, form.getByRole('slider'), steps, ['ArrowRight', 'ArrowLeft']);
		}
		case 'shade':
			return shade(page, form, Number(key), way);
		case 'rectangle': {
			const [rows, columns] = keys as number[];
			if (way === 'touch')
				return tapAt(
					form.locator('svg[role=img]').last(),
					(columns - 0.5) / response.columns,
					(rows - 0.5) / response.rows,
					page
				);
			await press(page, form.getByRole('button', { name: 'Rows: more' }), rows, ['ArrowRight', 'ArrowLeft']);
			return press(page, form.getByRole('button', { name: 'In each row: more' }), columns - 1, [
				'ArrowRight',
				'ArrowLeft'
			]);
		}
		case 'clock': {
			const [hour, minute] = [Math.floor(Number(key) / 60), Number(key) % 60];
			if (way === 'touch') {
				const face = form.locator('.face svg');
				const turn = (share: number, radius: number) =>
					tapAt(face, 0.5 + radius * Math.sin(2 * Math.PI * share), 0.5 - radius * Math.cos(2 * Math.PI * share), page);
				await turn(minute / 60, 0.4);
				return turn((hour + minute / 60) / 12, 0.18);
			}
			await press(page, form.getByRole('slider', { name: 'Short hand' }), hour, ['ArrowRight', 'ArrowLeft']);
			return press(page, form.getByRole('slider', { name: 'Long hand' }), minute / response.step, [
				'ArrowRight',
				'ArrowLeft'
			]);
		}
		case 'plot': {
			const [x, y] = keys as number[];
			const share = (value: number) => (20 + (260 * (value - response.from)) / (response.to - response.from)) / 300;
			if (way === 'touch') return tapAt(form.locator('svg[role=img]').last(), share(x), 1 - share(y), page);
			const more = (label: string) => form.getByRole('button', { name: `${label}: more` });
			await more('Across').press('ArrowRight');
			await press(page, more('Across'), x, ['ArrowRight', 'ArrowLeft']);
			return press(page, more('Up'), y, ['ArrowRight', 'ArrowLeft']);
		}
	}
}

type Form = ReturnType<Page['locator']>;

/** Types into fields: by the page's own math keyboard, or by the device's. */
async function type(page: Page, fields: [Form, string][], way: Way) {
	const named: Record<string, string> = { '-': 'minus', '+': 'plus', '*': 'times', '^': 'to the power' };
	for (const [field, text] of fields) {
		await field.click();
		if (way === 'keys') await page.keyboard.type(text);
		else
			for (const character of text)
				await page
					.getByRole('group', { name: 'Math keyboard' })
					.getByRole('button', { name: named[character] ?? character, exact: true })
					.tap();
	}
}

async function tapAt(area: Form, across: number, down: number, page: Page) {
	await area.scrollIntoViewIfNeeded();
	const box = (await area.boundingBox())!;
	await page.touchscreen.tap(box.x + across * box.width, box.y + down * box.height);
}

async function shade(page: Page, form: Form, count: number, way: Way) {
	const part = (i: number) => form.getByRole('checkbox', { name: `Part ${i + 1}`, exact: true });
	if (way === 'touch') {
		for (let i = 0; i < count; i++) await part(i).tap();
		return;
	}
	await part(0).focus();
	for (let i = 0; i < count; i++) {
		await page.keyboard.press('Space');
		await page.keyboard.press('ArrowRight');
	}
}

/** Brings the options into order by their buttons, one after the other to its place. */
async function sort(form: Form, wanted: number[], way: Way, page: Page) {
	let order = wanted.map((_, i) => i);
	for (let place = 0; place < wanted.length; place++) {
		for (let at = order.indexOf(wanted[place]); at > place; at--) {
			const up = form.getByRole('button', { name: `Move number ${at + 1} up` });
			if (way === 'touch') await up.tap();
			else {
				await up.focus();
				await page.keyboard.press('Enter');
			}
			order = order.map((one, i) => (i === at - 1 ? order[at] : i === at ? order[at - 1] : one));
		}
	}
}
