/** Progress between screenings: weekly probes. */
export { readSeries } from './readSeries';
export { countDueProbes, probeSeries, type ProbeSeries, startProbes, undoStartProbes } from './store/probes';
