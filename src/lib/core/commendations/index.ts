/** What students are commended for, and a commendation as an open badge. */
export * from './propose';
export * from './sayProposal';
export * from './openBadge';
