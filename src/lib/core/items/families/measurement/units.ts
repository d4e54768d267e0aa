import { family, numberItem, orderItem, type ItemFamily } from '../../family';
import { formatNumber } from '../../text';

export const units: ItemFamily[] = [
	family('M41', 'convert-to-smaller', ({ random, turning }) => {
		const [large, small, factor, thing] = random.pick([
			['meters', 'centimeters', 100, 'rope'],
			['kilometers', 'meters', 1_000, 'shore path'],
			['liters', 'milliliters', 1_000, 'soup'],
			['kilograms', 'grams', 1_000, 'flour'],
			['hours', 'minutes', 60, 'tide watch']
		] as const);
		const amount = turning(3, 17);
		const is = { rope: 'long', 'shore path': 'long', 'tide watch': 'long' }[thing as string];
		const other = factor === 60 ? 100 : factor === 100 ? 10 : 100;
		return numberItem({
			stem: is
				? `A ${thing} is ${amount} ${large} long. How many ${small} is that?`
				: `A cook has ${amount} ${large} of ${thing}. How many ${small} is that?`,
			key: amount * factor,
			unit: small,
			wrong: [
				[amount * other, factor === 60 ? 'hourAsHundred' : 'wrongFactor'],
				[amount + factor, 'addInsteadMultiply'],
				[amount * 10, 'wrongFactor']
			],
			hint: `How many ${small} are in 1 ${large.slice(0, -1)}?`,
			solution: [
				`1 ${large.slice(0, -1)} is ${formatNumber(factor)} ${small}.`,
				`${amount} × ${formatNumber(factor)} = ${formatNumber(amount * factor)} ${small}.`
			]
		});
	}),
	family('M41', 'mixed-units', ({ random, turning }) => {
		const [large, small, factor] = random.pick([
			['meters', 'centimeters', 100],
			['kilometers', 'meters', 1_000],
			['kilograms', 'grams', 1_000],
			['hours', 'minutes', 60]
		] as const);
		const whole = turning(2, 11);
		const rest =
			factor === 60 ? 5 * random.integer(2, 11) : factor === 100 ? random.integer(4, 96) : 50 * random.integer(1, 19);
		const key = whole * factor + rest;
		return numberItem({
			stem: `How many ${small} are ${whole} ${large} and ${rest} ${small}?`,
			key,
			unit: small,
			wrong: [
				[whole + rest, 'unitsAddedAsTheyAre'],
				[
					whole * (factor === 1_000 ? 100 : factor === 60 ? 100 : 10) + rest,
					factor === 60 ? 'hourAsHundred' : 'wrongFactor'
				],
				[whole * factor, 'fractionPartDropped']
			],
			hint: `Change the ${large} to ${small} first.`,
			solution: [
				`${whole} × ${formatNumber(factor)} = ${formatNumber(whole * factor)}.`,
				`${formatNumber(whole * factor)} + ${rest} = ${formatNumber(key)} ${small}.`
			]
		});
	}),
	family('M53', 'to-larger-units', ({ random, turning }) => {
		const [small, large, factor] = random.pick([
			['centimeters', 'meters', 100],
			['meters', 'kilometers', 1_000],
			['grams', 'kilograms', 1_000],
			['milliliters', 'liters', 1_000]
		] as const);
		const key = turning(11, 89) / 10;
		return numberItem({
			stem: `How many ${large} are ${formatNumber(key * factor)} ${small}?`,
			key,
			unit: large,
			wrong: [
				[key * factor * factor, 'multiplyInsteadDivide'],
				[Math.round(key * 100) / 10, 'wrongFactor'],
				[Math.round(key * 10) / 100, 'wrongFactor']
			],
			hint: `How many ${small} make 1 ${large.slice(0, -1)}? Are there more or fewer ${large}?`,
			solution: [
				`${formatNumber(factor)} ${small} are 1 ${large.slice(0, -1)}.`,
				`${formatNumber(Math.round(key * factor))} ÷ ${formatNumber(factor)} = ${formatNumber(key)}.`
			]
		});
	}),
	family('M53', 'order-units', ({ random, turning }) => {
		const base = turning(2, 11);
		const values: [number, string][] = [
			[base * 1_000 - 500, `${formatNumber((base * 1_000 - 500) / 1_000)} km`],
			[base * 1_000, `${base} km`],
			[base * 1_000 + 5 * random.integer(1, 9), ''],
			[base * 100, `${formatNumber(base * 10_000)} cm`]
		];
		values[2][1] = `${formatNumber(values[2][0])} m`;
		const sorted = [...values].sort((a, b) => a[0] - b[0]);
		const number = (text: string) => Number(text.replace(/[^\d.]/g, ''));
		const byNumber = [...sorted].sort((a, b) => number(a[1]) - number(b[1]));
		return orderItem(random, {
			stem: 'Put the four distances in order.',
			sorted: sorted.map(([, text]) => text),
			direction: 'shortest first',
			misordered: [[byNumber.map(([, text]) => text), 'unitsIgnored']],
			hint: 'Write them all in meters first.',
			solution: [`In meters: ${sorted.map(([meters]) => formatNumber(meters)).join('; ')}.`]
		});
	}),
	family('M71', 'map-scale', ({ random, turning }) => {
		const shown = random.pick([2, 4, 5]);
		const means = shown * random.pick([3, 5, 6, 8]);
		const length = shown * turning(2, 11);
		const key = (length / shown) * means;
		return numberItem({
			stem: `On a map, ${shown} cm stands for ${means} km. Two harbors are ${length} cm apart on the map. How many kilometers apart are they?`,
			key,
			unit: 'km',
			wrong: [
				[length, 'scaleUnused'],
				[length + means - shown, 'additiveRatio'],
				[length * means, 'amountAsFactor']
			],
			hint: `How many times does ${shown} cm fit into ${length} cm?`,
			solution: [`${length} ÷ ${shown} = ${length / shown}.`, `${length / shown} × ${means} = ${key} kilometers.`]
		});
	}),
	family('M71', 'real-to-map', ({ random, turning }) => {
		const per = random.pick([2, 3, 4, 5, 8]);
		const length = turning(3, 15);
		return numberItem({
			stem: `On a map, 1 cm stands for ${per} km. A trail is ${per * length} km long. How long is it on the map, in centimeters?`,
			key: length,
			unit: 'cm',
			wrong: [
				[per * per * length, 'multiplyInsteadDivide'],
				[per * length, 'scaleUnused'],
				[per * length - per, 'subtractInsteadDivide']
			],
			hint: `How many times do ${per} km fit into the trail?`,
			solution: [`${per * length} ÷ ${per} = ${length} centimeters.`]
		});
	})
];
