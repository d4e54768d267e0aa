/** What is missing: the needle map, needs of whole classes, and checks of skills. */
export { classwideNeeds } from './classwideNeeds';
export {
	assignChecks,
	beginCheck,
	giveChecksBack,
	MOST_CHECKED,
	openChecks,
	takeOffChecks,
	withdrawChecks
} from './store/skillChecks';
