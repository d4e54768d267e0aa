import { expect, test } from './test';
import fc from 'fast-check';
import { openDatabase } from '../../src/lib/server/database/pool';
import { address, signInStaff, signInStudent } from './people';

/** Values no field takes: of the wrong type, out of range, oversized, or naming what does not exist. */
const rubbish = fc.oneof(
	fc.constantFrom(
		'',
		'0',
		'-1',
		'1.5',
		'99999999',
		'1e99',
		'null',
		"1' OR '1'='1",
		'1;DROP TABLE answer',
		'2026-02-30',
		'../..',
		'<script>',
		'\u0000'
	),
	fc.string({ maxLength: 40 }).filter((text) => !/^\s*\d+\s*$/.test(text)),
	fc.constant('x'.repeat(3_000))
);

const forms: [path: string, fields: string[]][] = [
	['/screen/sittings?/trust', ['sitting', 'decision', 'domain']],
	['/screen/sittings?/end', ['sitting']],
	['/screen/sittings?/note', ['window', 'students', 'kind', 'reason', 'makeUp']],
	['/screen/sittings?/restoreNotes', ['window', 'notes']],
	['/screen/sittings?/accommodate', ['students', 'timeFactor', 'itemsADay']],
	['/screen/give?/save', ['id', 'window', 'student', 'sheet', 'seconds', 'reached', 'missed']],
	['/screen/give?/aside', ['id', 'aside']],
	['/screen/cuts?/cuts', ['measure', 'term', 'grades', 'points']],
	['/screen/cuts?/outcomes', ['takenOn', 'rows']],
	['/screen/calibration?/cancel', ['job']],
	['/screen/calibration?/apply', ['job', 'families']],
	['/screen/calibration?/withdraw', ['version']],
	['/screen/windows?/plan', ['term', 'opensOn', 'closesOn', 'classes']],
	['/screen/windows?/move', ['window', 'opensOn', 'closesOn']],
	['/screen/windows?/withdraw', ['window']],
	['/screen/import', ['source', 'csv', 'roles', 'step']],
	['/groups/suggest?/adopt', ['groups', 'limits', 'students', 'startsOn', 'endsOn', 'reviewOn']],
	['/groups/suggest?/keep', ['groups', 'limits', 'name', 'bound', 'students']],
	['/groups/suggest?/add', ['student']],
	['/groups?/undo', ['adoption']],
	['/groups/drafts?/discard', ['draft']],
	['/groups/drafts?/restore', ['draft']],
	['/groups/1?/change', ['kind', 'on', 'skill', 'students', 'untilOn', 'name']],
	['/groups/1?/undoChange', ['change']],
	['/groups/1?/record', ['record']],
	['/groups/1?/note', ['student', 'group']],
	['/groups/1?/removeNote', ['note']],
	['/groups/today?/record', ['record']],
	['/groups/timetable?/addSlot', ['staff', 'days', 'startsAt', 'minutes', 'tier']],
	['/groups/timetable?/endSlot', ['slot']],
	['/groups/timetable?/restoreSlots', ['ids']],
	['/groups/timetable?/removeSlots', ['ids']],
	['/groups/timetable?/addBlock', ['classes', 'kind', 'days', 'startsAt', 'minutes']],
	['/groups/timetable?/removeBlocks', ['ids']],
	['/groups/timetable?/addAbsence', ['staff', 'fromOn', 'lastOn']],
	['/groups/timetable?/removeAbsence', ['ids']],
	['/groups/timetable?/import', ['staff', 'take']],
	['/groups/timetable?/undoImport', ['slots', 'absences']],
	['/gaps/check?/assign', ['wanted', 'dueOn']],
	['/gaps/check?/undo', ['batch']],
	['/gaps/assumptions?/cancel', ['job']],
	['/gaps/assumptions?/apply', ['job']],
	['/gaps/assumptions?/withdraw', ['version']],
	['/gaps/assumptions?/restore', ['version']],
	['/students/140?/note', ['student']],
	['/practice?/withdraw', ['sets']],
	['/practice/1?/dates', ['opensOn', 'dueOn']],
	['/practice/1?/some', ['students', 'dueOn']],
	['/practice/1?/someBack', ['ways']],
	['/practice/1?/excuse', ['students']],
	['/practice/1?/questions', ['content']],
	['/practice/1?/goOn', ['students']],
	['/practice/1?/add', ['students']],
	['/practice/1?/take', ['students']],
	['/practice/1?/turnIn', ['students']],
	['/practice/new?for=group:1', ['plan']],
	['/track/probes?/start', ['students', 'skill', 'group', 'goalOn', 'goalCorrect', 'onDay']],
	['/track/probes?/undo', ['plans']],
	['/track/probes?/makeUp', ['plan', 'student', 'number']],
	['/account?/digest', ['wanted']],
	['/track?/ask', ['students', 'what', 'dueOn']],
	['/track?/takeBack', ['tasks']],
	['/track/measures?/begin', ['measure', 'goalOn', 'students', 'sheets', 'goals']],
	['/track/measures?/takeBack', ['series']],
	['/track/measures?/end', ['series', 'student', 'end']],
	['/track/measures?/aside', ['id', 'aside']],
	['/track/measures/give?/save', ['id', 'series', 'student', 'sheet', 'seconds', 'reached', 'missed']],
	['/track/measures/give?/aside', ['id', 'aside']],
	['/track/commendations?/give', ['student', 'is', 'about', 'sentence']],
	['/track/commendations?/takeBack', ['commendation']],
	['/track/paper?/enter', ['group', 'of', 'form', 'on', 'plans', 'missed']],
	['/track/paper?/takeBack', ['sittings']],
	['/track/sessions?/record', ['record']],
	['/track/sessions?/watch', ['group', 'on', 'points', 'note']],
	['/track/sessions?/takeBackWatch', ['watch']],
	['/decide?/done', ['task']],
	['/decide?/notDone', ['task']],
	['/decide/reviews/30?/verdict', ['review', 'verdict', 'effectiveOn', 'newTier', 'note', 'taskWhat', 'goalCorrect']],
	['/decide/reviews/30?/undo', ['review']],
	['/decide/meetings?/plan', ['on', 'note', 'adults', 'students']],
	['/decide/meetings?/callOff', ['meeting']],
	['/decide/meetings?/putBack', ['meeting']],
	['/decide/meetings/3?/verdict', ['review', 'verdict', 'effectiveOn', 'newTier', 'note', 'taskWhat', 'goalCorrect']],
	['/decide/meetings/3?/undo', ['review']],
	['/decide/meetings/3?/add', ['students']],
	['/decide/meetings/3?/takeOff', ['review']],
	['/decide/meetings/3?/order', ['reviews']],
	['/decide/meetings/3?/there', ['adults']],
	['/decide/rules?/rule', ['farBelow', 'sure', 'gaps', 'leastWeeks', 'mostWeeks']],
	['/decide/rules?/move', ['students', 'on']],
	['/decide/rules?/moveBack', ['tiers']],
	['/decide/rules?/word', ['student', 'says', 'reason']],
	['/decide/rules?/takeBackWord', ['word']],
	['/students/140/sheet?/words', ['sheet', 'language', 'part', 'words']],
	['/students/140/sheet?/letter', ['language', 'way', 'sentOn']],
	['/students/140/sheet?/answer', ['letter', 'answer']],
	['/students/140/sheet?/takeBackLetter', ['letter']],
	['/students/140/sheet?/putBackLetter', ['letter']],
	['/library/import', ['holds', 'framework', 'content', 'step']],
	['/library/F42?/add', ['link', 'note']],
	['/library/F42?/remove', ['material']],
	['/library/F42?/restore', ['material']],
	['/library/F42?/shelf', ['shelf']],
	['/library/nothing?/shelf', ['shelf']]
];

const counted = [
	'answer',
	'given_measure',
	'measure_series',
	'parameter_version',
	'field_version',
	'sitting',
	'score',
	'small_group',
	'group_membership',
	'group_change',
	'group_draft',
	'group_meeting',
	'attendance',
	'adoption',
	'slot',
	'class_block',
	'staff_absence',
	'skill_check',
	'student_note',
	'practice_set',
	'practice_set_skill',
	'practice_set_student',
	'probe_plan',
	'review',
	'tier_interval',
	'screening_window',
	'window_student',
	'cut_score',
	'outcome',
	'score_source',
	'accommodation',
	'skill',
	'standard',
	'skill_material',
	'shelved_skill',
	'audit_entry'
];

/** Rows of every table that could change, so that nothing changed can be seen. */
async function withNothingChanged(work: () => Promise<void>) {
	const database = openDatabase(process.env.DEMO_DATABASE!, 2);
	const count = async () => {
		const counts: Record<string, number> = {};
		for (const table of counted)
			counts[table] = Number((await database.row<{ n: number }>(`SELECT COUNT(*) AS n FROM ${table}`))!.n);
		return counts;
	};
	const before = await count();
	await work();
	expect(await count()).toEqual(before);
	await database.close();
}

test('generated rubbish at every form is refused in words and changes nothing', async ({ page }) => {
	// More than a thousand requests.
	test.setTimeout(900_000);
	await signInStaff(page, 'coordinator');
	await withNothingChanged(async () => {
		for (const [path, fields] of forms) {
			await fc.assert(
				fc.asyncProperty(
					fc.record(Object.fromEntries(fields.map((field) => [field, rubbish])), { requiredKeys: [] }),
					async (form) => {
						const reply = await page.request.post(address() + path, {
							form: form as Record<string, string>,
							headers: { origin: address(), accept: 'application/json' }
						});
						const answer = await reply.text();
						expect([200, 400, 404], `${path} ${JSON.stringify(form)}: ${answer.slice(0, 300)}`).toContain(
							reply.status()
						);
						expect(answer, `${path} ${JSON.stringify(form)}`).toMatch(
							/Nothing was changed|nothing here for you|no skill of this code/
						);
					}
				),
				{ numRuns: 10 }
			);
		}
	});
});

test('generated rubbish at the answer endpoint is refused and stores nothing', async ({ page }) => {
	await signInStudent(page, 72);
	const answer = fc.record(
		{
			id: rubbish,
			position: fc.anything(),
			attempt: fc.anything(),
			response: fc.anything(),
			milliseconds: fc.anything(),
			answeredAt: rubbish
		},
		{ requiredKeys: [] }
	);
	await withNothingChanged(async () => {
		await fc.assert(
			fc.asyncProperty(
				fc.oneof(fc.record({ answers: fc.array(answer, { minLength: 1, maxLength: 4 }) }), fc.jsonValue()),
				async (body) => {
					for (const path of ['/api/sittings/3/answers', '/api/facts/3/answers']) {
						const reply = await page.request.post(address() + path, {
							data: JSON.stringify(body) ?? 'undefined',
							headers: { 'Content-Type': 'application/json', origin: address() }
						});
						expect(reply.status()).toBe(400);
						expect((await reply.json()).message).toContain('Nothing was changed');
					}
				}
			),
			{ numRuns: 60 }
		);
	});
});
