/** The school itself: its name, time zone and today, and its years and cycles. */
export { currentCycle, findSchool, schoolYear, type School } from './store/school';
