/** The school itself: its name, time zone and today, and its years and cycles. */
export { currentCycle, findSchool, schoolYears, type School } from './store/school';
