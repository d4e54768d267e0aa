import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Viewer } from '../../src/lib/server/request/viewer';
import { TODAY } from '../smallSchool';
import { eventFor, layoutsOf, modules, refusal, withEach, type Asking } from './routes';
import { idsIn, twoSchools, type FilledSchool } from './twoSchools';

let schools: Awaited<ReturnType<typeof twoSchools>>;
beforeAll(async () => {
	schools = await twoSchools('roles');
});
afterAll(() => schools.database.close());

/** Everything in an answer as text. */
const asText = (answer: unknown) =>
	JSON.stringify(answer, (_, value) =>
		value instanceof Map
			? [...value]
			: value instanceof Set
				? [...value]
				: typeof value === 'bigint'
					? String(value)
					: value
	) ?? '';

/** Ids of our two schools that stand in class codes. */
const codesIn = (text: string) => [...new Set([...text.matchAll(/CODE(\d+)/g)].map(([, id]) => Number(id)))];

/** What somebody may see of the rows of the first school, by range; see docs/security.md. */
function mayMeet(viewer: Viewer | null, school: FilledSchool) {
	const own = new Set<number>();
	const { students, groups, sets, plans, checks, sittings, notes, reviews, classes } = school;
	const range = (id: number) => Math.floor((id - school.base) / 1_000);
	if (viewer?.kind === 'staff' && viewer.role !== 'teacher') return { id: () => true, code: () => true };
	if (viewer?.kind === 'staff') {
		for (const id of [...students.slice(0, 4), groups.a, groups.mixed, sets.all, plans.a, school.carriedPlan, checks.a])
			own.add(id);
		for (const id of [sittings.a, notes.a, reviews.a, school.meeting, school.task, school.letter, school.tierWord])
			own.add(id);
		for (const id of [school.commendation, school.askedTask, school.measureSeries.a]) own.add(id);
		// The school, colleagues, classes, cycles, windows, meeting times, blocks, absences, standards, materials and skills.
		const shared = new Set([0, 1, 2, 4, 5, 6, 21, 22, 23, 24, 29, 30, 31]);
		// Rows without a page of their own are told apart by whom they are about.
		const aboutOthers = new Set([
			...students.slice(4),
			groups.b,
			sets.b,
			plans.b,
			checks.b,
			sittings.b,
			notes.b,
			reviews.b
		]);
		const inner = new Set([14, 15, 19, 20, 27, 28]);
		return {
			id: (id: number) => own.has(id) || shared.has(range(id)) || (inner.has(range(id)) && !aboutOthers.has(id)),
			code: (id: number) => id === classes.a
		};
	}
	if (viewer) {
		own.add(school.commendation);
		for (const id of [students[0], sets.all, plans.a, school.carriedPlan, checks.a, school.windows.diagnostic])
			own.add(id);
		return { id: (id: number) => own.has(id) || range(id) === 14 || range(id) === 0, code: () => false };
	}
	return { id: () => false, code: () => false };
}

/** Addresses that name own rows, those of others at the school, and those of another school. */
function queries({ one, other, skills }: typeof schools): string[] {
	const naming = (school: FilledSchool, part: 'a' | 'b') => {
		const ids = part === 'a' ? school.students.slice(0, 4) : school.students.slice(4);
		const common = {
			student: ids[0],
			cell: skills[0].id,
			of: ids[0],
			to: ids[1],
			window: school.windows.diagnostic,
			students: ids.join(),
			regroup: school.groups[part],
			draft: '',
			adopted: school.adoption,
			group: school.groups[part],
			staff: school.staff.interventionist.id,
			skill: skills[0].id,
			on: TODAY,
			then: '2026-11-01',
			domain: '',
			all: 'yes',
			whose: 'all',
			key: 'on',
			step: 1
		};
		const scopes = [`class:${school.classes[part]}`, `group:${school.groups[part]}`, `list:${ids.join()}`, 'school'];
		const asked: Record<string, string | number>[] = [
			...scopes.map((scope) => ({ ...common, scope, for: `student:${ids[0]}` })),
			{
				...common,
				for: `group:${school.groups.mixed}`,
				group: school.groups.mixed,
				scope: `group:${school.groups.mixed}`
			},
			{ ...common, window: school.windows.measure, draft: school.draft, for: `group:${school.groups[part]}` }
		];
		return asked.map(
			(query) => `?${new URLSearchParams(Object.entries(query).map(([name, text]) => [name, String(text)]))}`
		);
	};
	return ['', '?as=student&class=AVOCET', ...naming(one, 'a'), ...naming(one, 'b'), ...naming(other, 'a')];
}

/** Path parameters that a route can be asked with. */
function paramsFor(path: string, { one, other, skills }: typeof schools): Record<string, string>[] {
	const values: Record<string, (string | number)[]> = {
		student: [one.students[0], one.students[4], other.students[0]],
		group: [one.groups.a, one.groups.b, one.groups.mixed, other.groups.a],
		sitting: [one.sittings.a, one.sittings.b, other.sittings.a],
		class: [one.classes.a, one.classes.b, other.classes.a],
		section: [one.section.id, other.section.id],
		set: [one.sets.all, other.sets.all],
		file: ['results.csv', 'answers.csv', 'results.xlsx', 'answers.jsonl', 'nothing'],
		material: [one.thing, other.thing],
		run: [one.factRuns.a, one.factRuns.b, other.factRuns.a],
		token: ['nobody'],
		code: [skills[0].code],
		review: [one.reviews.a, one.reviews.b, other.reviews.a],
		meeting: [one.meeting, other.meeting],
		commendation: [one.commendation, other.commendation],
		kind: ['csv', 'xlsx']
	};
	const names = [...path.matchAll(/\[(\w+)\]/g)].map(([, name]) => name);
	if (names.length === 0) return [{}];
	for (const name of names) if (!values[name]) throw new Error(`Say in this test what [${name}] of ${path} can be.`);
	return names.reduce<Record<string, string>[]>(
		(all, name) => all.flatMap((one) => values[name].map((value) => ({ ...one, [name]: String(value) }))),
		[{}]
	);
}

/**
 * What the layouts of a viewer gave, by path and what the address asks: they are asked once for each page, for what stands on
 * that page only, and once for whatever else is asked.
 */
type LayoutAnswers = Map<string, Promise<unknown>>;

/** What a route's loads, or its endpoint, give. */
async function answerOf(asking: Asking, layouts: LayoutAnswers): Promise<unknown> {
	const module = modules[asking.path];
	const event = eventFor(asking) as never;
	if (module.GET) {
		const reply = await module.GET(event);
		return /^(text|application\/x-ndjson)/.test(reply.headers.get('content-type') ?? '')
			? reply.text()
			: reply.headers.get('content-disposition');
	}
	const given = [];
	for (const path of layoutsOf(asking.path)) {
		const key = `${path} ${asking.query || JSON.stringify([asking.path, asking.params])}`;
		if (!layouts.has(key)) layouts.set(key, (async () => modules[path].load?.(event))());
		given.push(await layouts.get(key));
	}
	return [...given, await module.load?.(event)];
}

type Asked = Required<Pick<Asking, 'path' | 'params' | 'query'>>;

/** Every page and endpoint that is read, with every path and address it is asked by. */
function* everyRequest(): Generator<Asked> {
	const all = queries(schools);
	// Writing a PDF takes a second; whom it is about is asked in the path, or read as by the page beside it.
	const everySixth = all.filter((_, i) => i % 6 === 2);
	for (const [path, { load, GET }] of Object.entries(modules)) {
		if (path.endsWith('+layout.server.ts') || !(load || GET)) continue;
		for (const params of paramsFor(path, schools))
			for (const query of path.includes('.pdf') ? everySixth : all) yield { path, params, query };
	}
}

describe('no route gives anybody what is not theirs', () => {
	const viewers: [string, () => Viewer | null][] = [
		['a coordinator', () => schools.one.staff.coordinator],
		['a specialist', () => schools.one.staff.specialist],
		['an interventionist', () => schools.one.staff.interventionist],
		['a class teacher', () => schools.one.staff.teacher],
		['a student', () => schools.one.student],
		['a stranger', () => null]
	];
	it.each(viewers)('%s', async (_, viewerOf) => {
		const viewer = viewerOf();
		const meets = mayMeet(viewer, schools.one);
		const leaks: string[] = [];
		const layouts: LayoutAnswers = new Map();
		let answered = 0;
		const ask = async ({ path, params, query }: Asked) => {
			let answer: unknown;
			try {
				answer = await answerOf({ database: schools.database, viewer, path, params, query }, layouts);
				answered++;
			} catch (thrown) {
				const refused = refusal(thrown);
				if (!refused) throw new Error(`${path}${query} failed`, { cause: thrown });
				answer = refused.said;
			}
			const text = asText(answer).replaceAll(JSON.stringify(query).slice(1, -1), '');
			const foreign = idsIn(text).filter((id) => Math.floor(id / 100_000) !== 71 || !meets.id(id));
			const codes = codesIn(text).filter((id) => !meets.code(id));
			if (foreign.length || codes.length)
				leaks.push(
					`${path} ${JSON.stringify(params)} ${query.slice(0, 60)}: ${[...foreign, ...codes.map((id) => `code of ${id}`)]}`
				);
		};
		await withEach(everyRequest(), ask);
		expect(leaks.slice(0, 40)).toEqual([]);
		// A test that is refused everywhere would find nothing.
		expect(answered).toBeGreaterThan({ student: 1, staff: 200, stranger: 0 }[viewer?.kind ?? 'stranger']!);
	});
});
