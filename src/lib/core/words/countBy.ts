/** How many of a list fall under each key, in the order the keys first appear. */
export function countBy<Item, Key extends string>(list: Item[], keyOf: (item: Item) => Key): [Key, number][] {
	const counts = new Map<Key, number>();
	for (const item of list) counts.set(keyOf(item), (counts.get(keyOf(item)) ?? 0) + 1);
	return [...counts];
}
