/** The school itself: its name, time zone and today, its years, days off and cycles, and what it plans for its tiers. */
export { currentCycle, type Cycle, cycleList, planCycle, removeCycle } from './store/cycles';
export { addDaysOff, daysOff, type DaysOff, removeDaysOff } from './store/daysOff';
export { addSchool, type NewSchool } from './store/newSchool';
export { changeProfile, schoolProfile, type SchoolProfile, UNNAMED_SCHOOL } from './store/profile';
export { findSchool, type School } from './store/school';
export { changeTierPlans, tierPlans, type TierPlans } from './store/tierPlans';
export { planYear, removeYear, schoolYears } from './store/years';
