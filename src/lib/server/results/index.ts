/** Results: what came of work, question by question, idea by idea, student by student. */
export { NO_SUCH_FILE, resultFile, resultFileNamed } from './resultFiles';
export { type UnexpectedQuestion, unexpectedQuestions } from './unexpectedQuestions';
export { setRuns } from './store/setRuns';
