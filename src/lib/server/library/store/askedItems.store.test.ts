import { oneSkillSet } from '../../../../../tests/oneSkillSet';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { type Item } from '../../../core/items';
import { itemFrom } from '../../../core/items/bank';
import { familiesFor } from '../../../core/items/bank';
import { NOW, seen, seenOne, smallSchool, staffAs, TODAY, type SmallSchool } from '../../../../../tests/smallSchool';
import { assignSet } from '../../practice/store/assigning';
import { queuedSets } from '../../practice/store/practice';
import { evidenceFor } from '../../standing';
import { beginPractice } from '../../sitting/store/practiceSittings';
import { sittingItems } from '../../sitting/store/sittings';
import { itemsAsked, keepItems, keepItemsOfBefore } from './askedItems';

let small: SmallSchool;
beforeAll(async () => {
	small = await smallSchool('asked_items');
});
afterAll(() => small.database.close());

async function practice(studentId: number, skillId: number): Promise<number> {
	const { database, skills } = small;
	const set = { skillId, groupId: null, itemCount: 5, opensOn: TODAY, dueOn: TODAY, studentIds: [seenOne(studentId)] };
	await assignSet(database, staffAs('specialist'), oneSkillSet(set), NOW);
	const [queued] = (await queuedSets(database, seen(studentId), TODAY)).toReversed();
	return beginPractice(database, seenOne(studentId), queued, skills, NOW);
}

/** As though the program that asked it had made another question from the seed. */
async function reword(change: (item: Item) => Item, { edition, familyId, seed }: Item): Promise<void> {
	const row = await small.database.row<{ content: string }>(
		'SELECT content FROM asked_item WHERE edition = ? AND family_id = ? AND seed = ?',
		[edition, familyId, seed]
	);
	await small.database.run('UPDATE asked_item SET content = ? WHERE edition = ? AND family_id = ? AND seed = ?', [
		JSON.stringify(change(JSON.parse(row!.content) as Item)),
		...[edition, familyId, seed]
	]);
}

it('a question is kept whole, once, whoever is asked it', async () => {
	const { database, skills } = small;
	const sittings = [await practice(1, skills[4].id), await practice(1, skills[4].id)];
	for (const id of sittings) {
		const asked = await itemsAsked(database, await sittingItems(database, id));
		expect(asked.map(({ item }) => item)).toEqual(asked.map(({ familyId, seed }) => itemFrom(familyId, seed)));
	}
	const kept = async () => Number((await database.row<{ n: number }>('SELECT COUNT(*) AS n FROM asked_item'))!.n);
	const before = await kept();
	const again = await sittingItems(database, sittings[0]);
	await keepItems(database, [...again, ...again]);
	expect(await kept()).toBe(before);
});

it('a sitting keeps the questions it had after their family has changed: key, words and format', async () => {
	const { database, skills } = small;
	const skill = skills.find(({ code }) =>
		familiesFor(code).every(({ id }) => itemFrom(id, 1).response.kind === 'number')
	)!;
	const sittingId = await practice(2, skill.id);
	const [{ familyId, seed }] = await sittingItems(database, sittingId);
	await reword((item) => ({ ...item, stem: 'What it used to ask.', key: '4321' }), itemFrom(familyId, seed));

	expect(await small.answer(2, sittingId, { position: 0, response: '4321' })).toBe('stored');
	const [given] = await itemsAsked(database, await evidenceFor(database, seenOne(2), skill.id));
	expect(given).toMatchObject({ correct: true, item: { stem: 'What it used to ask.' } });
	expect(itemFrom(familyId, seed).key).not.toBe('4321');
});

it('questions of sittings from before are kept when the program starts, and found then', async () => {
	const { database, skills } = small;
	const sittingId = await practice(3, skills[5].id);
	const before = await sittingItems(database, sittingId);
	await database.run('UPDATE sitting_item SET edition = NULL, kind = NULL, options = NULL WHERE sitting_id = ?', [
		sittingId
	]);
	const said: string[] = [];
	await keepItemsOfBefore(database, (line) => said.push(line));
	expect(said).toEqual(['Questions kept as they were asked: 5']);
	expect(await sittingItems(database, sittingId)).toEqual(before);
	const formats = await database.rows<{ kind: string; options: number | null }>(
		'SELECT kind, options FROM sitting_item WHERE sitting_id = ? ORDER BY position',
		[sittingId]
	);
	expect(formats).toEqual(
		before.map(({ familyId, seed }) => {
			const { response } = itemFrom(familyId, seed);
			return { kind: response.kind, options: 'options' in response ? response.options.length : null };
		})
	);
	await keepItemsOfBefore(database, (line) => said.push(line));
	expect(said).toHaveLength(1);
});

it('what was never kept is no question', async () => {
	await expect(itemsAsked(small.database, [{ edition: 9, familyId: 'never', seed: 1 }])).rejects.toThrow('not kept');
});
