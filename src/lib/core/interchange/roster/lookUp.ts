/** Whether two texts are there and the same, but for capitals. */
export const same = (one: string | null, other: string | null) =>
	one !== null && other !== null && one.toLowerCase() === other.toLowerCase();

/** All by a text of theirs, without its capitals; those that have none are left out. */
export const byKey = <One>(ones: One[], key: (one: One) => string | null): Map<string, One[]> => {
	const found = new Map<string, One[]>();
	for (const one of ones) {
		const text = key(one)?.toLowerCase();
		if (!text) continue;
		const list = found.get(text);
		if (list) list.push(one);
		else found.set(text, [one]);
	}
	return found;
};

/** The one of a list that has no other. */
export const only = <One>(ones: One[] | undefined): One | null => (ones?.length === 1 ? ones[0] : null);
