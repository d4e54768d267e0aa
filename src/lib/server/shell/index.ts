/** What every page stands in: who is looked at, what waits in each leg, and the student in the peek. */
export { peekAt } from './peek';
export { ribbon } from './ribbon';
export { findScope, type Scope, scopeChoices } from './store/scope';
