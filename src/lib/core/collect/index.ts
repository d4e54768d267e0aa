// Lists, looked up by what their entries have in common.

/**
 * A list parted by a key of its entries, each part in the order of the list; an empty list for a key that none has.
 *
 * @returns looks a part up
 */
export function partedBy<One, Key>(ones: Iterable<One>, key: (one: One) => Key): (key: Key) => One[] {
	const parts = new Map<Key, One[]>();
	for (const one of ones) {
		const own = parts.get(key(one));
		if (own) own.push(one);
		else parts.set(key(one), [one]);
	}
	return (wanted) => parts.get(wanted) ?? [];
}
