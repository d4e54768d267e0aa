/** Practice sets: what is in them and for whom, how they are worked on, when, and how long they take. */
export * from './activeTime';
export * from './followOn';
export * from './habits';
export * from './hurry';
export * from './lengths';
export * from './material';
export * from './nextInPool';
export * from './nextSteps';
export * from './olderSkills';
export * from './pausing';
export * from './setDates';
export * from './setPlan';
export * from './setQuestions';
export * from './setTitle';
export * from './warnings';
export * from './weekly';
