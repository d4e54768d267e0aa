/** Where each student stands on each skill, worked out from the answers. */
export { findConstants, type ConstantsSearchProgress, type ConstantsSearchResult } from './findConstants';
export { keepEarlierCells } from './keepEarlier';
export { keepFieldsFresh } from './keepFresh';
export { schoolImportance } from './importance';
export {
	levelReasons,
	readCells,
	readEarlierCells,
	readStandings,
	standingsOnDays,
	type Cells,
	type Standings
} from './standings';
export { applyConstants, fieldVersionInUse, withdrawConstants } from './store/fieldVersions';
export { refreshStudents } from './store/studentSummaries';
export { evidenceFor, recallsOf } from './store/evidence';
export { gapCounts, markStale } from './store/studentFields';
export { fieldCode, schoolField, type SchoolField } from './schoolField';
export { formatFrom, type StoredFormat } from './storedFormat';
