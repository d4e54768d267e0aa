/** Where each student stands on each skill, worked out from the answers. */
export { refreshStudents } from './store/studentSummaries';
export {
	addToTraces,
	evidenceFor,
	readStandings,
	rebuildTraces,
	standingsOnDays,
	STORED_TRACE,
	type StoredTrace
} from './store/standings';
export { formatFrom, type StoredFormat } from './storedFormat';
