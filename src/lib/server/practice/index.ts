/** Practice: sets that are assigned, and what came of them. */
export { practiceDue } from './practiceDates';
export { setLengths } from './setLengths';
export { assignSet, practiceSets, queuedSets, recentResults, restoreSet, withdrawSet } from './store/practice';
export { withWork } from './store/waiting';
