import * as setRuns from '../../../src/lib/server/results/store/setRuns';
import { seen } from '../../smallSchool';
import { type Call, given } from './asking';

export const resultsCalls: [object, Record<string, Call>][] = [
	[
		setRuns,
		{
			setRuns: given(({ database, me }) => setRuns.setRuns(database, me.sets.all, seen(...me.students))),
			triesAt: given(({ database, me }) =>
				setRuns.triesAt(database, me.sets.all, { position: 0, studentIds: seen(...me.students) })
			)
		}
	]
];
