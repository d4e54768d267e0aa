import * as corrections from '../../../src/lib/server/sitting/store/corrections';
import * as regrading from '../../../src/lib/server/sitting/store/regrading';
import { NOW } from '../../smallSchool';
import { all, type Asking, type Call, checks, given } from './asking';

const question = { edition: 1, familyId: 'number-after', seed: 1 };
const open = ({ me }: Asking) => ({ id: me.correction, schoolId: me.school.id, ...question, regradedTo: 0 }) as never;

/** Answers that are accepted beside the key, and answers that are judged anew for it. */
export const correctionCalls: [object, Record<string, Call>][] = [
	[
		corrections,
		{
			acceptedAnswers: all,
			givenAnswer: checks(({ database, me, of }) =>
				corrections.givenAnswer(database, me.staff.specialist, of.corrected)
			),
			findCorrection: checks(({ database, me, of }) =>
				corrections.findCorrection(database, me.staff.specialist, of.correction)
			),
			undoCorrection: checks(({ database, me, of }) =>
				corrections.undoCorrection(database, me.staff.specialist, of.correction, NOW)
			),
			answersTo: given(({ database, me }) => corrections.answersTo(database, me.school.id, question)),
			correctionsOf: given(({ database, me }) => corrections.correctionsOf(database, me.school.id, question)),
			addCorrection: given(async ({ database, me }) =>
				corrections.addCorrection(
					database,
					me.staff.specialist,
					{
						...(await corrections.findCorrection(database, me.staff.specialist, me.correction))!,
						...{ says: '', studentIds: me.students }
					},
					NOW
				)
			)
		}
	],
	[
		regrading,
		{
			nextCorrection: all,
			openAllCorrections: all,
			openCorrections: given(({ database, me }) => regrading.openCorrections(database, me.school.id)),
			noteRegraded: given(({ database, me }) => regrading.noteRegraded(database, me.correction, 0)),
			sittingsWith: given(({ database, me }) =>
				regrading.sittingsWith(database, me.school.id, { ...question, regradedTo: 0 })
			),
			nextSittings: given((asking) => regrading.nextSittings(asking.database, open(asking), 9)),
			wrongAnswers: given(({ database, me }) => regrading.wrongAnswers(database, question, [me.noticed])),
			noteCorrected: given(({ database }) => regrading.noteCorrected(database, [])),
			judgeRight: given(({ database }) => regrading.judgeRight(database, [])),
			judgeAsBefore: given(({ database, me }) => regrading.judgeAsBefore(database, me.correction, [me.noticed]))
		}
	]
];
