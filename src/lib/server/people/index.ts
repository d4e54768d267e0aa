/** Students and staff: who may be seen by whom, what is noted of a student, and what helps them. */
export { type Accommodation, accommodations, NO_ACCOMMODATION, setAccommodations } from './store/accommodations';
export { rosterAttributes } from './store/attributes';
export { notesOn } from './store/notes';
export {
	accountByUserName,
	allStudentIds,
	classByCode,
	classCodes,
	classList,
	lockStudents,
	type RosterStudent,
	schoolTimeZones,
	seenAmong,
	seenBy,
	staffList,
	studentPin,
	studentsByNumber,
	visibleAmong,
	visibleStudents
} from './store/people';
