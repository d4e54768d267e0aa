/** Screening: windows, diagnostics and measures, their scores, and what is trusted of them. */
export { calibrateSchool, type CalibrationProgress, type CalibrationResult } from './calibration';
export { scoreEvidence } from './scoreEvidence';
export { notYetCounts } from './store/diagnosticScores';
export { resultsTable, screenResults, sheetGradeFor, summaryTable, unitOf } from './screenResults';
export { sheetToMark } from './sheetToMark';
export { windowInView, windowPlaces } from './windowPlaces';
export { cutScores, setCutScores } from './store/cutScores';
export { decideTrust, endSitting, finishDiagnostic, rescoreDiagnostic, type TrustDecision } from './store/diagnostics';
export { scoreLevelCheck } from './store/levelScores';
export { measuredStudent, saveMeasure, setMeasureAside } from './store/givenMeasures';
export { outcomeNames, outcomes, saveOutcomes } from './store/outcomes';
export {
	applyParameters,
	countedAnswers,
	parameterSet,
	type ParameterSet,
	parameterVersions,
	versionFor,
	withdrawParameters
} from './store/parameters';
export {
	belowTheLine,
	placesIn,
	uncountedWindows,
	refreshPlaces,
	storedPlaces,
	toFinish,
	toSitByClass,
	windowsWith
} from './store/places';
export {
	existingImports,
	gradeAbilities,
	importScores,
	newestOverall,
	overallAbilities,
	saveMatching,
	scoreHistory,
	scoreSources,
	windowScores
} from './store/scores';
export {
	addWindow,
	moveWindow,
	noteStudents,
	screeningWindows,
	type ScreeningWindow,
	windowCounts,
	type WindowNote,
	windowNotes,
	windowsToSit,
	withdrawWindow
} from './store/windows';
