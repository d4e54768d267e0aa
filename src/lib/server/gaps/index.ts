/** What is missing: the needle map, needs of whole classes, and checks of skills. */
export { classwideNeeds } from './classwideNeeds';
export { assignChecks, beginCheck, MOST_CHECKED, openChecks, withdrawChecks } from './store/skillChecks';
