/** Progress between screenings: weekly probes and what they say. */
export { chartedPlans } from './chartedPlans';
export { circumstancesOf, readPlans, type ReadPlan } from './readPlans';
export { rebuildReadings } from './readings';
export { forgetReadings, forgetReadingsOf } from './store/readings';
export { dueProbes, letMakeUp, probeSeries, type ProbeSeries, startProbes, undoStartProbes } from './store/probes';
export { beginWatch, endWatch } from './store/watch';
