/** Progress between screenings: weekly probes. */
export { probeSeries, type ProbeSeries, startProbes, undoStartProbes } from './store/probes';
