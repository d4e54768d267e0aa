import { plural } from '../../words';
import type { NoticeRule } from '../notice';

/** Classes with students and without an adult. */
export const classesAlone: NoticeRule = {
	audience: 'set up the school',
	place: '/setup',
	find({ classes }) {
		const alone = classes.filter(({ students, adults }) => students > 0 && adults === 0);
		if (alone.length === 0) return [];
		const names = new Intl.ListFormat('en-US').format(alone.map(({ name }) => name));
		return [
			{
				about: '',
				says: `${names} ${alone.length === 1 ? 'has' : 'have'} no adult.`,
				because: `No class teacher sees ${plural(
					alone.reduce((sum, { students }) => sum + students, 0),
					'student'
				)} as their own.`,
				action:
					alone.length === 1
						? { says: 'Choose the adult', path: `/setup/classes/${alone[0].id}` }
						: { says: 'See the classes', path: '/setup/classes' },
				degree: alone.length
			}
		];
	}
};
