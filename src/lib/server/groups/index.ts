/** Small groups: suggesting, adopting and changing them, and their sessions. */
export { cycleDates, nextReview } from './groupDates';
export { groupingFor } from './grouping';
export { groupsInScope } from './groupsInScope';
export { sessionPlan } from './sessionPlan';
export { adoptGroups, adoptionGroups, undoAdoption } from './store/adoptions';
export { countDrafts, discardDraft } from './store/drafts';
export { fittingGroups, type GroupChoice, groupsNow } from './joining';
export { changeWithin, undoWithin } from './store/groupChanges';
export type { GroupDeed } from './store/groupDeeds';
export { type HandedTimes, handOverTimes, takeTimesBack } from './store/handOver';
export { endGroupWork, endSchoolWork, type EndedWork, groupWork, restoreGroupWork } from './store/leaving';
export { groupHistory, groupPauses } from './store/groupHistory';
export {
	countGroups,
	currentGroups,
	currentGroupsOf,
	findGroup,
	groupsOfStudent,
	groupsOn,
	heldSlots,
	type SmallGroup
} from './store/groups';
export { meetingRecords } from './store/meetings';
export { sessionWatches, takeBackWatch, watchSession } from './store/watches';
export { absencesByReason, sessionCounts, sessionDaysOf } from './store/sessionCounts';
