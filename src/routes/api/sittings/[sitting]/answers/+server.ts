import Type from 'typebox';
import { HINT_STAGES } from '$lib/core/items';
import { plural } from '$lib/core/words';
import { error, json } from '@sveltejs/kit';
import {
	AnswerDesk,
	closings,
	findSitting,
	solutionsOf,
	type Stored,
	triedItems,
	firstMisses,
	helpsOf
} from '$lib/server/sitting';
import { itemsAsked } from '$lib/server/library';
import { idOf, jsonCheck, readJson } from '$lib/server/request';
import { diagnosticProgress, sayClosed } from '$lib/server/sitting/sittingPage';
import { findSchool } from '$lib/server/school';

/** Of fifty answers, each as long as it may be. */
const MOST_BYTES = 100_000;

const check = jsonCheck(
	Type.Object(
		{
			answers: Type.Array(
				Type.Object(
					{
						id: Type.String({ format: 'uuid', maxLength: 36 }),
						position: Type.Integer({ minimum: 0, maximum: 200 }),
						attempt: Type.Integer({ minimum: 1, maximum: 20 }),
						response: Type.Union([
							// I don't know yet.
							Type.Null(),
							Type.Number(),
							Type.String({ maxLength: 200 }),
							Type.Array(Type.Integer({ minimum: -50, maximum: 50 }), { maxItems: 20 }),
							Type.Array(Type.String({ maxLength: 40 }), { maxItems: 20 })
						]),
						milliseconds: Type.Integer({ minimum: 0, maximum: 86_400_000 }),
						hints: Type.Optional(Type.Integer({ minimum: 0, maximum: HINT_STAGES })),
						answeredAt: Type.String({ format: 'date-time', maxLength: 40 })
					},
					{ additionalProperties: false }
				),
				{ minItems: 1, maxItems: 50 }
			)
		},
		{ additionalProperties: false }
	)
);

const KEPT = new Set<Stored>(['stored', 'already stored', 'answered before', 'kept aside']);

/** A school's time zone does not change while the server runs. */
const timeZones = new Map<number, string>();
let desk: AnswerDesk | null = null;

export async function POST(event) {
	const { viewer, database, at } = event.locals;
	const sittingId = idOf(event.params.sitting);
	if (!viewer) error(401, 'You are signed out. Sign in again; nothing was stored.');
	if (viewer.kind !== 'student' || sittingId === null) error(404, 'There is nothing here for you at this address.');
	const { answers } = await readJson(event, check, MOST_BYTES);
	let timeZone = timeZones.get(viewer.schoolId);
	if (!timeZone)
		timeZones.set(viewer.schoolId, (timeZone = (await findSchool(database, viewer.schoolId, at)).timeZone));
	desk ??= new AnswerDesk(database);
	const submitted = answers.map((answer) => ({ ...answer, studentId: viewer.id, sittingId, timeZone, receivedAt: at }));
	const results = await desk.submit(submitted);
	const kept = results.filter((result) => KEPT.has(result)).length;
	const rest = kept ? `The other ${plural(kept, 'answer was', 'answers were')} stored.` : 'Nothing was stored.';
	if (results.includes('unknown')) error(404, `There is no such question for you. ${rest}`);
	if (results.includes('unreadable')) error(400, `An answer does not fit its question. ${rest}`);
	const stored = answers.map(({ id }, i) => ({ id, status: results[i] }));
	const closing = (await closings(database, [sittingId], at)).get(sittingId);
	if (closing) return json({ results: stored, closed: sayClosed(closing.why, results.includes('kept aside')) });
	// A diagnostic asks for its next question with the answer to the last.
	if (!event.url.searchParams.has('next')) {
		const positions = answers.map(({ position }) => position);
		const [tried, missed] = await Promise.all([
			triedItems(database, sittingId, positions),
			firstMisses(database, sittingId, positions)
		]);
		return json({
			results: stored,
			solutions: solutionsOf(await itemsAsked(database, tried)),
			helps: helpsOf(await itemsAsked(database, missed))
		});
	}
	const sitting = await findSitting(database, viewer.id, sittingId);
	return json({ results: stored, ...(sitting && (await diagnosticProgress(event.locals, viewer, sitting))) });
}
