/** What came of work: how each question went, what was missed, which wrong ideas were shown. */
export * from './distribution';
export * from './expectedRight';
export * from './missedQuestions';
export * from './outcome';
export * from './repeatedFailure';
export * from './unexpectedAnswers';
export * from './wrongIdeas';
