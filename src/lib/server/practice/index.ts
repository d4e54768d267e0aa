/** Practice: sets that are assigned, and what came of them. */
export { practiceDue } from './practiceDates';
export { assignSet, assignSets, givenTo, type GivenTo, type NewSet } from './store/assigning';
export { activeMinutes, practicedSince } from './practicedMinutes';
export { linkPicture } from './linkPicture';
export { makeFollowOns } from './followOns';
export { askFollowOnAgain, noteFinishedRuns, seeNotices } from './store/followOns';
export { closeSets } from './store/closing';
export { type Asked, receivers } from './receivers';
export { questionMs } from './setLengths';
export { habitsOf } from './store/habits';
export { finishedSince, practiceTimes } from './store/ownWork';
export { practiceSets, queuedSets, recentResults, restoreSets, type SetNamed, withdrawSets } from './store/practice';
export { openTasks, setForStudent, type SetForStudent } from './store/setContent';
export { withWork } from './store/waiting';
