/** What a student does: work that waits, questions as they are shown, and answers as they are stored. */
export { AnswerDesk } from './answerDesk';
export { askedSet, keepAskedSet, setLink } from './askedSet';
export { regrade, regradeEverything, withAccepted } from './regrade';
export { beginProbe, placesOf, wordsMet } from './store/probeSittings';
export { paperFormsOf, storePaperProbes, takeBackPaperProbes } from './store/paperProbes';
export {
	acceptedAnswers,
	addCorrection,
	answersTo,
	correctionsOf,
	findCorrection,
	givenAnswer,
	undoCorrection
} from './store/corrections';
export { openCorrections, sittingsWith } from './store/regrading';
export { helpsOf, practiceItem, solutionsOf } from './practiceItem';
export { answerHtml, mathHtml, showItem, showItemWithKey, type ShownItemWithKey } from './presentItem';
export { workFor } from './studentWork';
export { beginDiagnostic, beginLevelCheck } from './store/adaptiveSittings';
export type { Stored } from './store/answers';
export { closings } from './store/closings';
export { countLateAnswers, lateAnswers } from './store/lateAnswers';
export { factTriesOf, findFactRun, storeFacts, type TimedFact } from './store/factRuns';
export { beginPractice } from './store/practiceSittings';
export {
	beginFixed,
	type BoardSitting,
	findSitting,
	hasSittingSince,
	sittingItems,
	windowSittings,
	withSkillIds
} from './store/sittings';
export { firstMisses, triedItems } from './store/tried';
