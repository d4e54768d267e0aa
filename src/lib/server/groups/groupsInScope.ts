import type { SmallGroup } from './store/groups';

/** Groups that have somebody of a scope in them; in the whole school all, with nobody in them or not. */
export function groupsInScope<Group extends Pick<SmallGroup, 'studentIds'>>(
	groups: Group[],
	scope: { key: string; students: { id: number }[] }
): Group[] {
	if (scope.key === 'school') return groups;
	const inScope = new Set(scope.students.map(({ id }) => id));
	return groups.filter(({ studentIds }) => studentIds.some((id) => inScope.has(id)));
}
