/** Commendations: what is proposed for students of their own week, what they were given, and badges of it. */
export { proposalsFor } from './proposals';
export { signBadge } from './signBadge';
export { type Commendation, commendationsOf } from './store/commendations';
