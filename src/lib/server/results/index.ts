/** Results: what came of work, question by question, idea by idea, student by student. */
export { setRuns } from './store/setRuns';
