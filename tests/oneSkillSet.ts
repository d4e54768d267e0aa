import { USUAL_HOW } from '../src/lib/core/practice';
import { givenTo, type NewSet } from '../src/lib/server/practice/store/assigning';

interface OneSkillSet {
	skillId: number;
	groupId: number | null;
	itemCount: number;
	opensOn: string;
	dueOn: string | null;
	studentIds: number[];
}

/** A set on one skill, the same for all and worked on as usual; tests change what they are about. */
export const oneSkillSet = (
	{ skillId, groupId, itemCount, opensOn, dueOn, studentIds }: OneSkillSet,
	more: Partial<NewSet> = {}
): NewSet => ({
	name: null,
	groupId,
	skills: [{ skillId, practice: itemCount, checks: 0, hasExample: false }],
	isOwnStep: false,
	how: USUAL_HOW,
	dates: { opensOn, opensMinute: null, dueOn, dueMinute: null, closes: false },
	students: givenTo(studentIds),
	...more
});
