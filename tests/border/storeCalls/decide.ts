import * as badgeKeys from '../../../src/lib/server/commendations/store/badgeKeys';
import * as commendations from '../../../src/lib/server/commendations/store/commendations';
import { addDays } from '../../../src/lib/core/calendar';
import * as decisions from '../../../src/lib/server/decide/store/decisions';
import * as agendas from '../../../src/lib/server/decide/store/agendas';
import * as meetings from '../../../src/lib/server/decide/store/reviewMeetings';
import * as reviews from '../../../src/lib/server/decide/store/reviews';
import * as sheets from '../../../src/lib/server/reports/store/sheets';
import * as tasks from '../../../src/lib/server/decide/store/tasks';
import * as tierRules from '../../../src/lib/server/decide/store/tierRules';
import * as verdicts from '../../../src/lib/server/decide/store/verdicts';
import { USUAL_TIER_RULE } from '../../../src/lib/core/growth';
import { NOW, seen, seenOne, TODAY } from '../../smallSchool';
import { all, checks, given, type Asking, type Call } from './asking';

const verdict: verdicts.Decision = {
	verdict: 'continue',
	effectiveOn: TODAY,
	newTier: 2,
	leavesGroup: false,
	note: '',
	nextReviewOn: addDays(TODAY, 3),
	advice: 'continue',
	reasons: [],
	decidedOn: TODAY,
	...verdicts.NOTHING_MORE
};
const ANY: decisions.DecisionFilter = {
	...{ from: null, until: null, verdict: null },
	...{ asAdvised: null, groupId: null, byId: null }
};
const roster = ({ me }: Asking) => ({ staff: me.staff.specialist, today: TODAY });

/** A review that was decided when the school was filled. */
async function decidedReview({ database, of }: Asking): Promise<number> {
	const [review] = await reviews.decidedReviews(database, seen(...of.students));
	return review.id;
}

/** The stores of the Decide leg. */
export const decideCalls: [object, Record<string, Call>][] = [
	[
		reviews,
		{
			dueReviews: all,
			toReview: all,
			reviewList: given((asking) => reviews.reviewList(asking.database, roster(asking), 'due', { from: 0, most: 10 })),
			openReviews: given(({ database, me }) => reviews.openReviews(database, seen(...me.students))),
			countOverdueReviews: given((asking) => reviews.countOverdueReviews(asking.database, roster(asking), TODAY)),
			findReview: checks(({ database, me, of }) =>
				reviews.findReview(database, me.staff.specialist, of.reviews.b, TODAY)
			),
			openReview: checks(({ database, me, of }) =>
				reviews.openReview(database, me.staff.specialist, of.reviews.a, TODAY)
			),
			decidedReviews: given(({ database, me }) => reviews.decidedReviews(database, seen(...me.students))),
			tierHistory: given(({ database, me }) => reviews.tierHistory(database, seenOne(me.students[0])))
		}
	],
	[
		verdicts,
		{
			decide: checks(({ database, me, of }) =>
				verdicts.decide(database, me.staff.specialist, of.reviews.a, verdict, NOW)
			),
			undoDecision: checks(async (asking) =>
				verdicts.undoDecision(asking.database, asking.me.staff.specialist, await decidedReview(asking), NOW)
			)
		}
	],
	[
		meetings,
		{
			reviewMeetings: given(({ database, me }) =>
				meetings.reviewMeetings(database, me.staff.specialist, 'from', TODAY, { from: 0, most: 10 })
			),
			findReviewMeeting: checks(({ database, me, of }) =>
				meetings.findReviewMeeting(database, me.staff.specialist, of.meeting)
			),
			invitedTo: checks(({ database, me, of }) => meetings.invitedTo(database, me.staff.specialist, [of.meeting])),
			planReviewMeeting: checks(({ database, me, of }) =>
				meetings.planReviewMeeting(
					database,
					me.staff.specialist,
					{
						...{ on: TODAY, note: '', adults: [of.staff.teacher.id] },
						reviews: [{ studentId: seenOne(of.students[2]), groupId: of.groups.a, raisedBy: { is: 'no probes' } }]
					},
					NOW
				)
			),
			noteWhoWasThere: checks(({ database, me, of }) =>
				meetings.noteWhoWasThere(database, me.staff.specialist, of.meeting, [of.staff.teacher.id], NOW)
			),
			undoPlanning: checks(({ database, me, of }) =>
				meetings.undoPlanning(database, me.staff.specialist, of.meeting, NOW)
			),
			callOff: checks(({ database, me, of }) => meetings.callOff(database, me.staff.specialist, of.meeting, true, NOW))
		}
	],
	[
		agendas,
		{
			lockMeeting: checks(({ database, me, of }) => agendas.lockMeeting(database, me.staff.specialist, of.meeting)),
			ownOf: all,
			putOn: given(({ database, me }) =>
				database.transaction((transaction) =>
					agendas.putOn(transaction, me.staff.specialist, { id: me.meeting, on: TODAY }, [{ reviewId: me.reviews.a }])
				)
			),
			agendaOf: checks(({ database, me, of }) => agendas.agendaOf(database, me.staff.specialist, of.meeting, TODAY)),
			putOnAgenda: checks(({ database, me, of }) =>
				agendas.putOnAgenda(database, me.staff.specialist, of.meeting, [{ reviewId: of.reviews.a }], NOW)
			),
			takeOffAgenda: checks(({ database, me, of }) =>
				agendas.takeOffAgenda(database, me.staff.specialist, of.meeting, of.reviews.b, NOW)
			),
			orderAgenda: checks(({ database, me, of }) =>
				agendas.orderAgenda(database, me.staff.specialist, of.meeting, [of.reviews.b, of.reviews.a], NOW)
			)
		}
	],
	[
		commendations,
		{
			commendationsOf: given(({ database, me }) => commendations.commendationsOf(database, seen(...me.students))),
			commendedStudent: given(({ database, me }) =>
				commendations.commendedStudent(database, me.staff.specialist, me.commendation)
			),
			giveCommendation: checks(({ database, me, of }) =>
				commendations.giveCommendation(
					database,
					me.staff.specialist,
					{
						...{ studentId: of.students[0], kind: 'effort', said: 'Well.', sentence: 'I saw it.' },
						reason: { kind: 'effort', is: 'in a row', sessions: 4, missed: 2 }
					},
					NOW
				)
			),
			takeBackCommendation: checks(({ database, me, of }) =>
				commendations.takeBackCommendation(database, me.staff.specialist, of.commendation, NOW)
			)
		}
	],
	[
		badgeKeys,
		{
			badgeKey: given(({ database, me }) => badgeKeys.badgeKey(database, me.base)),
			keepBadgeKey: given(({ database, me }) =>
				badgeKeys.keepBadgeKey(database, me.base, { publicKey: '{}', privateKey: '{}' }, NOW)
			)
		}
	],
	[
		tasks,
		{
			ownTasks: given(({ database, me }) => tasks.ownTasks(database, me.staff.teacher, TODAY)),
			countTasks: given(({ database, me }) => tasks.countTasks(database, me.staff.teacher, TODAY)),
			tasksLateAt: given(({ database, me }) => tasks.tasksLateAt(database, me.staff.specialist, '2027-01-01')),
			tasksFor: given(({ database, me }) => tasks.tasksFor(database, seen(...me.students))),
			finishTask: checks(({ database, me, of }) => tasks.finishTask(database, me.staff.specialist, of.task, true, NOW)),
			askFor: checks(({ database, me, of }) =>
				tasks.askFor(
					database,
					me.staff.specialist,
					[{ studentId: of.students[0], accountId: of.staff.teacher.id, what: 'read along', dueOn: TODAY }],
					NOW
				)
			),
			takeBackAsked: checks(async ({ database, me, of }) =>
				tasks.takeBackAsked(
					database,
					me.staff.specialist,
					(
						await database.rows<{ id: number }>(
							'SELECT id FROM review_task WHERE asked_by IS NOT NULL AND student_id IN (?)',
							[of.students]
						)
					).map(({ id }) => id),
					NOW
				)
			)
		}
	],
	[
		decisions,
		{
			findDecisions: given((asking) =>
				decisions.findDecisions(asking.database, roster(asking), ANY, { from: 0, most: 10 })
			),
			decidedSince: given((asking) => decisions.decidedSince(asking.database, roster(asking), '2026-01-01')),
			tiersOf: given((asking) => decisions.tiersOf(asking.database, roster(asking)))
		}
	],
	[
		sheets,
		{
			ownWords: given(({ database, me }) =>
				sheets.ownWords(database, seenOne(me.students[0]), { sheet: 'family', language: 'es' })
			),
			writeWords: checks(({ database, me, of }) =>
				sheets.writeWords(
					database,
					me.staff.specialist,
					of.students[0],
					{ sheet: 'family', language: 'es', part: 'said' },
					'Hola',
					NOW
				)
			),
			familyLetters: given(({ database, me }) => sheets.familyLetters(database, seen(...me.students))),
			noteLetter: checks(({ database, me, of }) =>
				sheets.noteLetter(
					database,
					me.staff.specialist,
					{ studentId: of.students[0], language: 'es', way: 'paper', sentOn: TODAY, asksConsent: true },
					NOW
				)
			),
			answerLetter: checks(({ database, me, of }) =>
				sheets.answerLetter(
					database,
					me.staff.specialist,
					{ id: of.letter, studentId: of.students[0] },
					{ on: TODAY, answer: 'agrees' },
					NOW
				)
			),
			takeBackLetter: checks(({ database, me, of }) =>
				sheets.takeBackLetter(database, me.staff.specialist, { id: of.letter, studentId: of.students[0] }, true, NOW)
			)
		}
	],
	[
		tierRules,
		{
			tierRule: given(({ database, me }) => tierRules.tierRule(database, me.base)),
			changeTierRule: given(({ database, me }) =>
				tierRules.changeTierRule(database, me.staff.specialist, { ...USUAL_TIER_RULE, farBelow: 30 }, NOW)
			),
			tierWords: given((asking) => tierRules.tierWords(asking.database, roster(asking))),
			sayTierWord: checks(({ database, me, of }) =>
				tierRules.sayTierWord(
					database,
					me.staff.specialist,
					{ studentId: of.students[1], says: 'needs more', reason: 'seen in class', untilOn: '2027-01-15' },
					NOW
				)
			),
			takeBackTierWord: checks(({ database, me, of }) =>
				tierRules.takeBackTierWord(database, me.staff.specialist, of.tierWord, NOW)
			),
			moveTiers: checks(({ database, me, of }) =>
				tierRules.moveTiers(database, me.staff.specialist, [{ studentId: of.students[7], tier: 3 }], TODAY, NOW)
			),
			takeBackTierMoves: checks(({ database, me, of }) =>
				tierRules.takeBackTierMoves(database, me.staff.specialist, [of.tierMove], NOW)
			)
		}
	]
];
