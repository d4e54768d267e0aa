/** A window's days, each a school date. */
interface WindowDays {
	opensOn: string;
	closesOn: string;
}

/** Whether students can sit in a window today, in words. */
export function windowState({ opensOn, closesOn }: WindowDays, today: string): string {
	if (today < opensOn) return 'opens later';
	if (today > closesOn) return 'closed';
	return today === closesOn ? 'open, last day' : 'open';
}
