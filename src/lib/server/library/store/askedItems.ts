import { formatOf, type Item, type ItemKey, type ItemSeed } from '../../../core/items';
import { extraDigits, itemFrom } from '../../../core/items/bank';
import type { Database, RootDatabase } from '../../database';

/** Questions that are remembered, some tens of megabytes; then all are forgotten. They never change. */
const MOST_REMEMBERED = 20_000;
const remembered = new Map<string, Item>();

const nameOf = ({ edition, familyId, seed }: ItemKey) => `${edition} ${familyId} ${seed}`;
const keyOf = ({ edition, familyId, seed }: ItemKey) => [edition, familyId, seed];
const CHUNK = 2_000;

/**
 * Makes questions and keeps them as they are now; what is there already stays as it is.
 *
 * @returns with each seed the columns of `sitting_item` that say which question it is
 */
export async function keepItems<Seed extends Omit<ItemSeed, 'skillCode'>>(
	database: Database,
	seeds: Seed[]
): Promise<(Seed & { edition: number; kind: string; options: number | null; digits: number })[]> {
	const items = seeds.map(({ familyId, seed }) => itemFrom(familyId, seed));
	const byName = new Map(items.map((item) => [nameOf(item), item]));
	const names = [...byName.keys()];
	for (let from = 0; from < names.length; from += CHUNK) {
		const some = names.slice(from, from + CHUNK).map((name) => byName.get(name)!);
		const kept = await database.rows<ItemKey>(
			`SELECT edition, family_id AS familyId, seed FROM asked_item WHERE (edition, family_id, seed) IN (?)`,
			[some.map(keyOf)]
		);
		const isThere = new Set(kept.map(nameOf));
		await database.insertMany(
			'INSERT IGNORE INTO asked_item (edition, family_id, seed, content) VALUES ?',
			some.filter((item) => !isThere.has(nameOf(item))).map((item) => [...keyOf(item), JSON.stringify(item)])
		);
	}
	return seeds.map((seed, i) => {
		const { edition, response } = items[i];
		const { kind, options } = formatOf(response);
		return { ...seed, edition, kind, options: options ?? null, digits: extraDigits(items[i]) };
	});
}

/**
 * Questions as they were asked, each beside what it is asked by.
 *
 * @throws Error where one was never kept
 */
export async function itemsAsked<Place extends ItemKey>(
	database: Database,
	places: Place[]
): Promise<(Place & { item: Item })[]> {
	const found = new Map<string, Item>();
	const missing = new Map<string, ItemKey>();
	for (const place of places) {
		const item = remembered.get(nameOf(place));
		if (item) found.set(nameOf(place), item);
		else missing.set(nameOf(place), place);
	}
	if (missing.size > 0) {
		const rows = await database.rows<ItemKey & { content: string }>(
			`SELECT edition, family_id AS familyId, seed, content FROM asked_item WHERE (edition, family_id, seed) IN (?)`,
			[[...missing.values()].map(keyOf)]
		);
		if (remembered.size + rows.length > MOST_REMEMBERED) remembered.clear();
		for (const row of rows) {
			const item = JSON.parse(row.content) as Item;
			found.set(nameOf(row), item);
			remembered.set(nameOf(row), item);
		}
	}
	return places.map((place) => {
		const item = found.get(nameOf(place));
		if (!item) throw new Error(`question ${nameOf(place)} was asked and not kept`);
		return { ...place, item };
	});
}

/** Keeps the questions of sittings from before questions were kept, as they are made now. Can be cut short and gone on with. */
export async function keepItemsOfBefore(database: RootDatabase, say: (line: string) => void): Promise<void> {
	for (let done = 0; ;) {
		const rows = await database.rows<{ familyId: string; seed: number }>(
			`SELECT DISTINCT some.family_id AS familyId, some.seed
			FROM (SELECT family_id, seed FROM sitting_item WHERE edition IS NULL LIMIT 5000) AS some`
		);
		if (rows.length === 0) return;
		await database.transaction(async (transaction) => {
			for (const { familyId, seed, edition, kind, options, digits } of await keepItems(transaction, rows)) {
				await transaction.run(
					`UPDATE sitting_item SET edition = ?, kind = ?, options = ?, digits = ?
					WHERE edition IS NULL AND family_id = ? AND seed = ?`,
					[edition, kind, options, digits, familyId, seed]
				);
			}
		});
		say(`Questions kept as they were asked: ${(done += rows.length)}`);
	}
}

/** Counts the digits of questions that were kept before their digits were. Can be cut short and gone on with. */
export async function countDigitsOfBefore(database: RootDatabase, say: (line: string) => void): Promise<void> {
	for (let done = 0; ;) {
		const rows = await database.rows<ItemKey>(
			`SELECT DISTINCT some.family_id AS familyId, some.seed, some.edition
			FROM (SELECT family_id, seed, edition FROM sitting_item WHERE digits IS NULL AND edition IS NOT NULL LIMIT 5000)
				AS some`
		);
		if (rows.length === 0) return;
		await database.transaction(async (transaction) => {
			for (const { familyId, seed, edition, item } of await itemsAsked(transaction, rows))
				await transaction.run(
					'UPDATE sitting_item SET digits = ? WHERE edition = ? AND family_id = ? AND seed = ? AND digits IS NULL',
					[extraDigits(item), edition, familyId, seed]
				);
		});
		say(`Digits of questions counted: ${(done += rows.length)}`);
	}
}
