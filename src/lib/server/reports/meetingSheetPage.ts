import { error } from '@sveltejs/kit';
import { meetingSheet } from '../../core/sheets';
import { fullName } from '../../core/words';
import { agendaOf, findReview, findReviewMeeting, invitedTo, studentLook } from '../decide';
import { visibleAmong } from '../people';
import { idOf } from '../request';
import { staffContext } from '../shell/staffPage';

/** The sheet of a review meeting: one row a student whom the person may see; 404 when it is not theirs to see. */
export async function meetingSheetPage(locals: App.Locals, params: { meeting: string }) {
	const { staff, school } = await staffContext(locals);
	const { database } = locals;
	const id = idOf(params.meeting);
	const meeting = id === null ? null : await findReviewMeeting(database, staff, id);
	if (!meeting) error(404, 'No such meeting for you.');
	const [steps, invited] = await Promise.all([
		agendaOf(database, staff, meeting.id, school.today),
		invitedTo(database, staff, [meeting.id])
	]);
	const students = await visibleAmong(
		database,
		staff,
		[...new Set(steps.map(({ studentId }) => studentId))],
		school.today
	);
	const lines = await Promise.all(
		steps.flatMap(({ reviewId, studentId, groupId }) => {
			const student = students.find((one) => one.id === studentId);
			return student ? [lineOf(reviewId, student, groupId)] : [];
		})
	);
	async function lineOf(reviewId: number, student: (typeof students)[number], groupId: number | null) {
		const [look, review] = await Promise.all([
			studentLook(database, staff, school, student, groupId),
			findReview(database, staff, reviewId, school.today)
		]);
		const { className, tier } = student;
		const plan = look.asked?.plan ?? null;
		return {
			...{ fullName: fullName(student), className, tier, sessions: look.sessions },
			group: look.group?.name ?? review?.groupName ?? null,
			focus: look.focus?.name ?? null,
			reading: plan?.reading ?? null,
			goalOn: plan?.goalOn ?? null,
			advice: review?.advice ?? look.recommendation.advice,
			verdict: review?.verdict
				? {
						verdict: review.verdict,
						newTier: review.newTier!,
						effectiveOn: review.effectiveOn!,
						change: review.change
					}
				: null
		};
	}
	const there = (invited.get(meeting.id) ?? []).filter(({ wasThere }) => wasThere).map(({ name }) => name);
	return {
		meeting: { id: meeting.id, on: meeting.on },
		school,
		sheet: meetingSheet({ on: meeting.on, note: meeting.note, there }, lines, school.name)
	};
}
