/** Accommodations in few words; empty for none. */
export function sayAccommodation({
	readAloud,
	largerType,
	timeFactor,
	itemsADay
}: {
	readAloud: boolean;
	largerType: boolean;
	timeFactor: number;
	itemsADay: number | null;
}): string {
	return [
		readAloud && 'read aloud',
		largerType && 'larger type',
		timeFactor !== 1 && `time × ${timeFactor}`,
		itemsADay !== null && `${itemsADay} a day`
	]
		.filter(Boolean)
		.join(', ');
}
