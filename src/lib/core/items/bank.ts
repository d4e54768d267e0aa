import { describeAnswer } from './check';
import { digitsBeyondUsual } from './difficulty';
import { type Draft, draftItem, makeItem, type ItemFamily } from './family';
import { itemFamilies } from './families';
import { formatOf, type Item, type ItemSeed } from './item';
import { SAMPLE_SEED } from './seeds';

// The item bank: every family there is, and the items made from them. It is large, and holds how questions come about
// and are solved: browsers get items, never the bank (kept by lint).
export { itemFamilies, makeItem, type ItemFamily };

const byId = new Map(itemFamilies.map((family) => [family.id, family]));
const bySkill = new Map<string, ItemFamily[]>();
for (const family of itemFamilies) bySkill.set(family.skillCode, [...(bySkill.get(family.skillCode) ?? []), family]);

/** The families of a skill; empty for a skill that none was written for. */
export function familiesFor(skillCode: string): ItemFamily[] {
	return bySkill.get(skillCode) ?? [];
}

/** Whether questions can be made for a skill; a school may have brought in skills of its own without any. */
export const hasItems = (skillCode: string) => bySkill.has(skillCode);

/** The item of a family and seed. @throws RangeError for an unknown family */
export const itemFrom = (familyId: string, seed: number): Item => makeItem(familyOf(familyId), seed);

/** The question of a family and seed, without expected errors looked through. @throws RangeError for an unknown family */
export const draftFrom = (familyId: string, seed: number): Draft => draftItem(familyOf(familyId), seed);

function familyOf(familyId: string): ItemFamily {
	const family = byId.get(familyId);
	if (!family) throw new RangeError(`no item family ${familyId}`);
	return family;
}

/** So many seeds are looked at for a question like another one. */
const LIKE_SEEDS = 20;

/**
 * Another question of an item's family, for a worked example beside it: never with the same answer. Null where none is found,
 * and for a family that has left the bank.
 */
export function oneLike(item: Item): Item | null {
	const family = byId.get(item.familyId);
	if (!family) return null;
	const answer = describeAnswer(item, item.key);
	for (let i = 0; i < LIKE_SEEDS; i++) {
		const other = makeItem(family, SAMPLE_SEED + (item.seed % LIKE_SEEDS) + i);
		if (describeAnswer(other, other.key) !== answer) return other;
	}
	return null;
}

const formats = new Map<string, ReturnType<typeof formatOf>>();

/**
 * How a family's items are answered. One item stands for all, always the same: the kind never differs, and only now and
 * then is an option more or less shown.
 */
export function familyFormat(familyId: string): ReturnType<typeof formatOf> {
	let format = formats.get(familyId);
	if (!format) formats.set(familyId, (format = formatOf(itemFrom(familyId, 0).response)));
	return format;
}

/**
 * By how many digits an item's numbers are larger than usual in its family: what number size adds to its difficulty
 * (`startingParameters` in core/measurement). 0 of a family that has left the bank, of which nothing is usual.
 */
export function extraDigits(item: Item): number {
	const family = byId.get(item.familyId);
	return family ? digitsBeyondUsual(family, item) : 0;
}

/**
 * So many equivalent items for a skill, taking its families in turn. Sets with different starts share no item as long
 * as the starts are at least `count` apart.
 *
 * @throws RangeError for a skill without families
 */
export function itemsForSkill(skillCode: string, count: number, start: number): ItemSeed[] {
	const families = familiesFor(skillCode);
	if (families.length === 0) throw new RangeError(`no item family for skill ${skillCode}`);
	return Array.from({ length: count }, (_, i) => ({
		familyId: families[i % families.length].id,
		skillCode,
		seed: start + i
	}));
}

/**
 * The question of a skill that comes after so many others: families take turns, so that none is met again before all
 * were.
 *
 * @param seedAt the seed of the question that comes after `asked` others
 * @throws RangeError for a skill without families
 */
export function itemInTurn(skillCode: string, asked: number, seedAt: (asked: number) => number): ItemSeed {
	const families = familiesFor(skillCode);
	if (families.length === 0) throw new RangeError(`no item family for skill ${skillCode}`);
	return { familyId: families[asked % families.length].id, skillCode, seed: seedAt(asked) };
}
