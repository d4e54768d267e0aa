/** Names of one unit each, in lower case: any of them may stand after a number where another is asked for. */
const NAMES = [
	['%', 'percent', 'per cent'],
	['°', 'degrees', 'degree', 'deg'],
	['¢', 'cents', 'cent', 'c'],
	['mm', 'millimeters', 'millimeter', 'millimetres', 'millimetre'],
	['cm', 'centimeters', 'centimeter', 'centimetres', 'centimetre'],
	['dm', 'decimeters', 'decimeter', 'decimetres', 'decimetre'],
	['m', 'meters', 'meter', 'metres', 'metre'],
	['km', 'kilometers', 'kilometer', 'kilometres', 'kilometre'],
	['ml', 'milliliters', 'milliliter', 'millilitres', 'millilitre'],
	['l', 'liters', 'liter', 'litres', 'litre'],
	['g', 'grams', 'gram'],
	['kg', 'kilograms', 'kilogram', 'kilos', 'kilo'],
	['s', 'seconds', 'second', 'sec'],
	['min', 'minutes', 'minute', 'mins'],
	['h', 'hours', 'hour', 'hrs', 'hr']
];

/** What a unit is called, the longest name first. @param unit as an item has it */
export function namesOfUnit(unit: string): string[] {
	const own = unit.toLowerCase();
	const names = NAMES.find((one) => one.includes(own)) ?? [own];
	return [...names].sort((a, b) => b.length - a.length);
}

/** A text in lower case without the unit at its end, in whatever words and with or without a full stop; as it is where there is none. */
export function withoutUnit(text: string, unit: string): string {
	const rest = text.replace(/\.$/, '');
	for (const name of namesOfUnit(unit)) {
		const before = rest.slice(0, -name.length);
		// A name is no end of a longer word.
		if (rest.endsWith(name) && !/[a-z]$/.test(before)) return before.trim();
	}
	return text;
}
