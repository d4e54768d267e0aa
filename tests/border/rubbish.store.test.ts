import fc from 'fast-check';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Viewer } from '../../src/lib/server/request/viewer';
import { eventFor, modules, refusal, withEach, type Asking } from './routes';
import { twoSchools } from './twoSchools';

let schools: Awaited<ReturnType<typeof twoSchools>>;
/** Ids of rows that are there, own and of the other school. */
let ids: number[];
beforeAll(async () => {
	schools = await twoSchools('rubbish');
	ids = [schools.one, schools.other].flatMap((school) => [
		...school.students,
		...Object.values(school.groups),
		...Object.values(school.windows),
		...Object.values(school.sets),
		...Object.values(school.plans),
		...Object.values(school.checks),
		...Object.values(school.sittings),
		...Object.values(school.notes),
		...Object.values(school.reviews),
		...[...school.slots, ...school.blocks, school.absence, school.draft, school.adoption, school.material, school.job],
		...Object.values(school.staff).map(({ id }) => id),
		...Object.values(school.classes)
	]);
});
afterAll(() => schools.database.close());

const SEED = 12;
/** Whatever nobody types: wrong types, numbers without end, half characters, texts that grow, commands of SQL. */
const nasty = fc.oneof(
	fc.constantFrom(
		...[
			'',
			' ',
			'0',
			'-1',
			'1.5',
			'1e3',
			'1e400',
			'-1e400',
			'Infinity',
			'NaN',
			'4294967295',
			'4294967296',
			'9'.repeat(40)
		],
		...['null', 'true', '[]', '{}', '[1e400]', '{"a":1e400}', '"\\ud800"', '["\\ud800"]', '__proto__', 'constructor'],
		...[
			"1' OR '1'='1",
			'1; DROP TABLE answer',
			'../..',
			'<script>',
			'$\\frac{1$',
			'=1+1',
			'a\r\nb',
			'\u0000',
			'\u202e'
		],
		...['0001-01-01', '9999-12-31', '2026-02-30', '2000-01-01', '2099-12-31', '2026-11-23', '24:00', '08:61', '08:10'],
		...['https://a.example/' + '\u{1f6a4}'.repeat(60), 'javascript:alert(1)', '\u{1f6a4}'.repeat(80), 'x'.repeat(3_000)]
	),
	fc.string({ unit: 'binary', maxLength: 30 }),
	fc.string({ maxLength: 30 })
);
const someId = fc.nat().map((n) => String(ids[n % ids.length]));
const someIds = fc.array(someId, { minLength: 1, maxLength: 5 });
const sound = fc.oneof(
	someId,
	fc.nat(12).map(String),
	fc.constantFrom('2026-11-23', '2026-11-30', '08:10', 'a few words')
);

interface Schema {
	type?: string | string[];
	enum?: readonly unknown[];
	properties?: Record<string, Schema>;
	required?: string[];
	items?: Schema;
	format?: string;
	anyOf?: Schema[];
	minimum?: number;
	maximum?: number;
}

/** Sound JSON for what fields carry as JSON: keys that such fields have, with values of every sort. */
const carried = fc.oneof(
	fc.json({ maxDepth: 3 }),
	fc
		.record(
			Object.fromEntries(
				[
					'groupId',
					'on',
					'held',
					'note',
					'students',
					'studentId',
					'present',
					'slotId',
					'focusId',
					'tier',
					'studentIds'
				].map((name) => [name, fc.oneof(fc.jsonValue({ maxDepth: 2 }), someId.map(Number), fc.boolean())])
			),
			{ requiredKeys: [] }
		)
		.map((record) => JSON.stringify(record))
);

/** Values that a field takes, mostly, or nearly takes. */
function valuesFor(name: string, schema: Schema): fc.Arbitrary<string | string[]> {
	if (schema.enum) return fc.constantFrom(...schema.enum.map(String));
	if (schema.anyOf) return fc.oneof(...schema.anyOf.map((one) => valuesFor(name, one)));
	if (schema.format === 'date') return fc.integer({ min: -40, max: 400 }).map((days) => dayAfter(days));
	if (schema.format === 'uuid') return fc.oneof(fc.uuid(), fc.constant(schools.one.measures.a));
	if (schema.type === 'array')
		return fc.array(valuesFor(name, schema.items ?? {}).map(String), { minLength: 1, maxLength: 4 });
	if (schema.type === 'integer' && (schema.maximum ?? 1e9) > 1_000) return someId;
	if (schema.type === 'integer' || schema.type === 'number')
		return fc.integer({ min: schema.minimum ?? 0, max: Math.min(schema.maximum ?? 200, 200) }).map(String);
	if (['students', 'ids', 'slots', 'absences', 'plans'].includes(name)) return someIds.map((list) => list.join());
	if (['groups', 'limits', 'record', 'notes', 'content'].includes(name)) return carried;
	if (name === 'wanted') return someId.map((id) => `${id}:1,2`);
	return sound;
}
const dayAfter = (days: number) => new Date(Date.UTC(2026, 10, 23 + days)).toISOString().slice(0, 10);

const viewers: Record<string, () => Viewer | null> = {
	coordinator: () => schools.one.staff.coordinator,
	specialist: () => schools.one.staff.specialist,
	interventionist: () => schools.one.staff.interventionist,
	teacher: () => schools.one.staff.teacher,
	student: () => schools.one.student,
	stranger: () => null
};
const RUNS: Record<string, number> = {
	coordinator: 80,
	specialist: 25,
	interventionist: 10,
	teacher: 25,
	student: 3,
	stranger: 2
};

/** Fails with what was sent when a route fails in another way than by saying no. */
async function survives(asking: Asking, work: (event: never) => unknown): Promise<void> {
	try {
		await work(eventFor(asking) as never);
	} catch (thrown) {
		if (refusal(thrown)) return;
		const { path, params, query, body } = asking;
		const sent = JSON.stringify({ path, params, query, body: body?.toString() });
		throw new Error(`${(thrown as Error).message}: ${sent.slice(0, 1_500)}`, { cause: thrown });
	}
}

const paramNames = (path: string) => [...path.matchAll(/\[(\w+)\]/g)].map(([, name]) => name);
const paramsOf = (path: string) =>
	fc.record(
		Object.fromEntries(
			paramNames(path).map((name) => [
				name,
				fc.oneof(
					someId,
					nasty,
					fc.constantFrom('csv', 'xlsx'),
					fc.nat(178).map((n) => schools.skills[n].code)
				)
			])
		)
	);
const QUERY_NAMES =
	'scope student cell of to window students regroup draft adopted group staff skill on then domain all whose key for q class as table sheet catch outcome kind focus count length'.split(
		' '
	);
const anyQuery = fc
	.dictionary(
		fc.constantFrom(...QUERY_NAMES),
		fc.oneof(
			nasty,
			someId,
			someIds.map((list) => list.join()),
			someId.map((id) => `class:${id}`),
			someId.map((id) => `group:${id}`),
			someIds.map((list) => `list:${list.join()}`),
			fc.constantFrom('student', 'staff', 'mixed', 'scope', 'yes', 'grade:4', 'list:', 'class:Infinity')
		),
		{ maxKeys: 6 }
	)
	.map((query) => `?${new URLSearchParams(query)}`);

describe('rubbish from any role is refused, never a fault', () => {
	for (const [role, viewerOf] of Object.entries(viewers))
		it(`sent to every form action by a ${role}`, async () => {
			let sent = 0;
			for (const [path, { actions = {} }] of Object.entries(modules))
				for (const act of Object.values(actions)) {
					const { properties = {}, required = [] } = (act.check?.schema ?? {}) as Schema;
					const fields = Object.entries(properties).map(
						([name, schema]) =>
							[
								name,
								fc.oneof({ weight: 9, arbitrary: valuesFor(name, schema) }, { weight: 1, arbitrary: nasty })
							] as const
					);
					const form = fields.length
						? fc.oneof(
								{ weight: 5, arbitrary: fc.record(Object.fromEntries(fields), { requiredKeys: required }) },
								{ weight: 1, arbitrary: fc.record(Object.fromEntries(fields), { requiredKeys: [] }) }
							)
						: fc.dictionary(
								fc.constantFrom('userName', 'password', 'student', 'pin', 'kind', 'id'),
								fc.oneof(nasty, sound)
							);
					await fc.assert(
						fc.asyncProperty(paramsOf(path), anyQuery, form, async (params, query, values) => {
							sent++;
							const body = new URLSearchParams();
							for (const [name, value] of Object.entries(values))
								for (const one of [value ?? []].flat()) body.append(name, one);
							await survives({ database: schools.database, viewer: viewerOf(), path, params, query, body }, act);
						}),
						{ numRuns: RUNS[role], seed: SEED, endOnFailure: true }
					);
				}
			expect(sent).toBeGreaterThan(40 * RUNS[role]);
		});

	for (const [role, viewerOf] of Object.entries(viewers))
		it(`in the address of every page by a ${role}`, async () => {
			let asked = 0;
			await withEach(Object.entries(modules), async ([path, { load, GET }]) => {
				const work = load ?? GET;
				// Writing a PDF takes a second; what it is asked with is read by the same functions as the page beside it.
				if (!work || path.includes('.pdf')) return;
				await fc.assert(
					fc.asyncProperty(paramsOf(path), anyQuery, async (params, query) => {
						asked++;
						await survives({ database: schools.database, viewer: viewerOf(), path, params, query }, work);
					}),
					{ numRuns: Math.ceil(RUNS[role] / 2), seed: SEED, endOnFailure: true }
				);
			});
			expect(asked).toBeGreaterThan(30);
		});

	it('sent as answers', async () => {
		const path = Object.keys(modules).find((one) => one.includes('/sittings/[sitting]/answers/'))!;
		const answer = fc.record(
			{
				id: fc.oneof(fc.uuid(), nasty),
				position: fc.oneof(fc.nat(10), fc.constantFrom(-1, 1e300, 1.5, 255, 256, '1')),
				attempt: fc.oneof(fc.constantFrom(1, 2, 0, 21, 1e9)),
				response: fc.oneof(fc.jsonValue({ maxDepth: 2 }), fc.integer(), nasty, fc.constant('\ud800')),
				milliseconds: fc.oneof(fc.nat(86_400_000), fc.constantFrom(-1, 1e300)),
				answeredAt: fc.oneof(
					fc.constantFrom(
						'2026-11-23T15:00:00Z',
						'0000-01-01T00:00:00Z',
						'9999-12-31T23:59:60Z',
						'2026-11-23T15:00:00+99:99'
					),
					nasty
				)
			},
			{ requiredKeys: ['response'] }
		);
		const body = fc.oneof(
			fc
				.record({ answers: fc.array(answer, { maxLength: 3 }) })
				.map((one) => JSON.stringify(one).replaceAll('9007', '1e400')),
			fc.json(),
			nasty
		);
		const sitting = fc.oneof(fc.constant(String(schools.one.sittings.a)), nasty);
		for (const viewerOf of [viewers.student, viewers.coordinator, viewers.stranger])
			await fc.assert(
				fc.asyncProperty(sitting, body, async (id, text) => {
					const asking = { path, params: { sitting: id }, body: text, type: 'application/json', viewer: viewerOf() };
					await survives({ database: schools.database, ...asking }, modules[path].POST!);
				}),
				{ numRuns: 150, seed: SEED, endOnFailure: true }
			);
	});
});
