/** Sheets for meetings, plans and families: facts into words, ready to show and to print. */
export * from './sheet';
export * from './readability';
export * from './familyWords';
export * from './familySheet';
export * from './evidenceSheet';
export * from './planSheet';
export * from './meetingSheet';
