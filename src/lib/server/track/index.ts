/** Progress between screenings: weekly probes. */
export { readSeries } from './readSeries';
export { dueProbes, probeSeries, type ProbeSeries, startProbes, undoStartProbes } from './store/probes';
