import { meetingSheetPage } from '$lib/server/reports/meetingSheetPage';

export const load = ({ locals, params }) => meetingSheetPage(locals, params);
