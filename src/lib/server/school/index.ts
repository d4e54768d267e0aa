/** The school itself: its name, time zone and today, and its cycles. */
export { currentCycle, findSchool, type School } from './store/school';
