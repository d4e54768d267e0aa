import Type from 'typebox';
import { error, json } from '@sveltejs/kit';
import { idOf, jsonCheck, readJson } from '$lib/server/request';
import { findFactRun, storeFacts } from '$lib/server/sitting';

/** Of fifty tries. */
const MOST_BYTES = 20_000;

const number = Type.Integer({ minimum: 1, maximum: 10 });

const check = jsonCheck(
	Type.Object(
		{
			answers: Type.Array(
				Type.Object(
					{
						id: Type.String({ format: 'uuid', maxLength: 36 }),
						position: Type.Integer({ minimum: 0, maximum: 500 }),
						first: number,
						second: number,
						response: Type.Integer({ minimum: 0, maximum: 999 }),
						milliseconds: Type.Integer({ minimum: 0, maximum: 86_400_000 }),
						answeredAt: Type.String({ format: 'date-time', maxLength: 40 }),
						/** Whether the run's time is over with it. */
						isLast: Type.Boolean()
					},
					{ additionalProperties: false }
				),
				{ minItems: 1, maxItems: 50 }
			)
		},
		{ additionalProperties: false }
	)
);

export async function POST(event) {
	const { viewer, database, at } = event.locals;
	const id = idOf(event.params.run);
	if (!viewer) error(401, 'You are signed out. Sign in again; nothing was stored.');
	const { answers } = await readJson(event, check, MOST_BYTES);
	const run = viewer.kind === 'student' && id !== null ? await findFactRun(database, viewer.id, id) : null;
	if (viewer.kind !== 'student' || !run) error(404, 'There is nothing here for you at this address.');
	await storeFacts(
		database,
		viewer.id,
		run,
		answers,
		answers.some(({ isLast }) => isLast),
		at
	);
	return json({ stored: answers.length });
}
