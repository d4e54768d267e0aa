/** Practice sets: how long they are, and how long they take. */
export * from './lengths';
