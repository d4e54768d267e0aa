/** Places of a sheet by the paragraph or row they stand in, in order. */
export function sheetParts<Place extends { part: number }>(places: Place[]): Place[][] {
	const parts: Place[][] = [];
	for (const place of places) (parts[place.part] ??= []).push(place);
	return parts;
}
