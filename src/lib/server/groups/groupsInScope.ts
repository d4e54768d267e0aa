import type { Scope } from '../shell';
import type { SmallGroup } from './store/groups';

/** Groups that have somebody of a scope in them; in the whole school all, with nobody in them or not. */
export async function groupsInScope<Group extends Pick<SmallGroup, 'studentIds'>>(
	groups: Group[],
	scope: Pick<Scope, 'key' | 'students'>
): Promise<Group[]> {
	if (scope.key === 'school') return groups;
	const inScope = new Set<number>((await scope.students()).map(({ id }) => id));
	return groups.filter(({ studentIds }) => studentIds.some((id) => inScope.has(id)));
}
