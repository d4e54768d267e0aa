/** When groups can meet: meeting times, what classes keep, who is away, and calendars in and out. */
export { groupCalendar } from './calendarFile';
export {
	addBlocks,
	addSlots,
	classBlocks,
	removeBlocks,
	removeSlots,
	type ReleasingSlot,
	releasingSlots,
	type Slot,
	slotList,
	staffAbsences
} from './store/timetable';
