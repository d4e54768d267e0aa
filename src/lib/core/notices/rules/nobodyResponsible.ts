import { plural } from '../../words';
import type { NoticeRule } from '../notice';

/** Students in tier 2 or 3 for whom nobody is responsible. */
export const nobodyResponsible: NoticeRule = {
	audience: 'form groups',
	place: '/groups',
	find: ({ tiered: { students, nobodys } }) =>
		nobodys === 0
			? []
			: [
					{
						about: '',
						says: `Nobody is responsible for ${plural(nobodys, 'student')} in tier 2 or 3.`,
						because: `${plural(students, 'student is', 'students are')} in tier 2 or 3. Those without an adult are in every specialist’s caseload, and in nobody’s own.`,
						action: { says: 'Choose who', path: '/setup/caseload?scope=school&whose=nobody' },
						degree: nobodys
					}
				]
};
