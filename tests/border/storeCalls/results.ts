import * as responses from '../../../src/lib/server/results/store/responses';
import * as unexpected from '../../../src/lib/server/results/store/unexpected';
import * as runAnswers from '../../../src/lib/server/results/store/runAnswers';
import * as setRuns from '../../../src/lib/server/results/store/setRuns';
import * as skillRuns from '../../../src/lib/server/results/store/skillRuns';
import { NOW, seen, seenOne } from '../../smallSchool';
import { type Call, given } from './asking';

export const resultsCalls: [object, Record<string, Call>][] = [
	[
		responses,
		{
			responsesOf: given(({ database, me }) =>
				responses.responsesOf(
					database,
					seenOne(me.students[0]),
					{ skillId: null, isRight: null, kind: null, sittingId: null },
					{ from: 0, most: 50 }
				)
			),
			answeredSkills: given(({ database, me }) => responses.answeredSkills(database, seenOne(me.students[0])))
		}
	],
	[
		unexpected,
		{
			hardQuestions: given(({ database, me }) =>
				unexpected.hardQuestions(database, { schoolId: me.school.id, since: new Date(0) })
			),
			firstTriesIn: given(({ database, me }) => unexpected.firstTriesIn(database, 'sets', [me.sets.all]))
		}
	],
	[
		runAnswers,
		{ runAnswers: given(({ database, me }) => runAnswers.runAnswers(database, seen(...me.students), new Date(0))) }
	],
	[skillRuns, { skillRuns: given(({ database, me }) => skillRuns.skillRuns(database, seen(...me.students), NOW)) }],
	[
		setRuns,
		{
			setRuns: given(({ database, me }) => setRuns.setRuns(database, me.sets.all, seen(...me.students))),
			setAnswers: given(({ database, me }) => setRuns.setAnswers(database, me.sets.all, seen(...me.students)))
		}
	]
];
