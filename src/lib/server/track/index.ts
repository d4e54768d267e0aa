/** Progress between screenings: weekly probes and what they say. */
export { adviceAfterNext, askAbout, type AskedPlan } from './askAbout';
export { askMeasures } from './askMeasures';
export { caseload, type CaseStudent } from './caseload';
export { type ChartedPlan, chartedPlans } from './chartedPlans';
export { circumstancesOf, readPlans, type ReadPlan } from './readPlans';
export { poolGrowth } from './poolGrowth';
export { rebuildReadings } from './readings';
export { forgetReadings, forgetReadingsOf } from './store/readings';
export { levelChecksToDo, levelsOf, type LevelCheckToDo } from './store/levelChecks';
export {
	dueProbes,
	isBegunSql,
	letMakeUp,
	probeSeries,
	type ProbeSeries,
	startProbes,
	undoStartProbes
} from './store/probes';
export { changeGoal, type NewGoal } from './store/goals';
export { beginWatch, endWatch } from './store/watch';
