/** Results: what came of work, question by question, idea by idea, student by student. */
export { type UnexpectedQuestion, unexpectedQuestions } from './unexpectedQuestions';
export { setRuns } from './store/setRuns';
