/** Students and staff: who may be seen by whom, what is noted of a student, and what helps them. */
export { type Accommodation, accommodations, NO_ACCOMMODATION, setAccommodations } from './store/accommodations';
export { attributeChoices, studentsWith } from './store/attributes';
export { notesOn } from './store/notes';
export {
	accountByUserName,
	allStudentIds,
	classByCode,
	classCodes,
	classList,
	lockStudents,
	schoolTimeZones,
	staffList,
	studentPin,
	studentsByNumber
} from './store/people';
export {
	inClasses,
	ownClassesOnly,
	placeInRoster,
	type Roster,
	rosterSize,
	rosterSql,
	type RosterStudent,
	rosterStudents,
	seenAmong,
	seenBy,
	studentIn,
	studentsNamed,
	tieredIn,
	visibleAmong
} from './store/roster';
export { countRoster, type RosterCount, SUMMARY } from './store/rosterCounts';
