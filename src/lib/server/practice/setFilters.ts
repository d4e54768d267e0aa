import { hasItems } from '../../core/items/bank';
import { SET_STAGES, type SetStage } from '../../core/practice';
import type { Database } from '../database';
import type { Skill } from '../library';
import { idIn, oneIn, type Staff } from '../request';
import { setAuthors, type SetsAsked } from './store/calendar';

/** Which sets a page shows, by its address: on one skill, of one author, not open yet, open or past due. */
export interface AskedSets extends SetsAsked {
	stage: SetStage | null;
}

/** Which sets an address asks for (`skill=12&author=3&stage=open`). */
export const askedSets = (url: URL): AskedSets => ({
	skillId: idIn(url, 'skill'),
	authorId: idIn(url, 'author'),
	stage: oneIn(url, 'stage', SET_STAGES)
});

/** What there is to choose from. */
export async function setChoices(database: Database, staff: Staff, skills: Skill[]) {
	return {
		authors: await setAuthors(database, staff),
		skills: skills
			.filter(({ code }) => hasItems(code))
			.map(({ id, code, shortName }) => ({ id, name: `${code} ${shortName}` }))
	};
}
