import { describe, expect, it } from 'vitest';
import { answerStatement, type AnswerTold } from './answerStatement';

const told: AnswerTold = {
	id: '00000000-0000-4000-a000-000000000001',
	student: 'S10001',
	question: 'round/2/415',
	stem: 'Round 5.27 to the nearest tenth.',
	kind: 'number',
	response: '5.2',
	correct: false,
	key: '5.3',
	milliseconds: 12_345,
	attempt: 1,
	hints: 0,
	misconception: 'roundDown',
	work: '178',
	at: new Date('2026-11-23T14:01:23.704Z')
};
const home = 'https://school.test';

describe('an answer as a statement', () => {
	it('says who answered what, how it was judged, how long it took, and in what work', () => {
		expect(answerStatement(told, home)).toEqual({
			id: told.id,
			actor: { objectType: 'Agent', account: { homePage: home, name: 'S10001' } },
			verb: { id: 'http://adlnet.gov/expapi/verbs/answered', display: { 'en-US': 'answered' } },
			object: {
				objectType: 'Activity',
				id: 'https://school.test/questions/round/2/415',
				definition: {
					type: 'http://adlnet.gov/expapi/activities/cmi.interaction',
					description: { 'en-US': told.stem },
					interactionType: 'numeric',
					correctResponsesPattern: ['5.3']
				}
			},
			result: {
				success: false,
				response: '5.2',
				duration: 'PT12.35S',
				extensions: {
					'https://school.test/xapi/attempt': 1,
					'https://school.test/xapi/hints': 0,
					'https://school.test/xapi/misconception': 'roundDown'
				}
			},
			context: {
				platform: 'Orderly Compass',
				contextActivities: { parent: [{ objectType: 'Activity', id: 'https://school.test/practice/178' }] }
			},
			timestamp: '2026-11-23T14:01:23.704Z'
		});
	});

	it('leaves out what was not said, and calls by “other” what no kind of the standard is', () => {
		const { result, object } = answerStatement({ ...told, response: null, misconception: null, kind: 'plot' }, home);
		expect(result).not.toHaveProperty('response');
		expect(Object.keys(result.extensions)).toHaveLength(2);
		expect(object.definition.interactionType).toBe('other');
	});

	it.each([
		[0, 'PT0S'],
		[1_000, 'PT1S'],
		[61_500, 'PT61.5S'],
		[1_234_567, 'PT1234.57S']
	])('has durations of ISO 8601: %i ms is %s', (milliseconds, says) => {
		expect(answerStatement({ ...told, milliseconds }, home).result.duration).toBe(says);
		expect(says).toMatch(/^PT\d+(\.\d{1,2})?S$/);
	});
});
