import type { BrokenLimit } from '$lib/core/grouping';
import { plural } from '$lib/core/words';
import type { BoardNames } from './board';

/** A broken limit in the names that people know. */
export function sayBroken(broken: BrokenLimit, names: Pick<BoardNames, 'student' | 'skill' | 'slot'>): string {
	switch (broken.limit) {
		case 'unknown slot':
			return 'the time of a group is gone';
		case 'slot held twice':
			return `${names.slot(broken.slotId)} holds two groups`;
		case 'mixed tiers':
			return `the group at ${names.slot(broken.slotId)} mixes tiers`;
		case 'size': {
			const takes = `${broken.tier ? `tier ${broken.tier}` : 'it'} takes ${broken.minimum} to ${broken.maximum}`;
			return `the group at ${names.slot(broken.slotId)} has ${plural(broken.count, 'student')}; ${takes}`;
		}
		case 'tier of slot':
			return `${names.slot(broken.slotId)} is not for tier ${broken.tier}`;
		case 'helpers': {
			const takes = `it takes ${broken.minimum} or ${broken.maximum}`;
			return `the group at ${names.slot(broken.slotId)} has ${broken.count || 'nobody'} who can help; ${takes}`;
		}
		case 'not free':
			return `${names.student(broken.studentId)} is not free at ${names.slot(broken.slotId)}`;
		case 'no need':
			return `${names.student(broken.studentId)} does not need ${names.skill(broken.focusId)}`;
		case 'apart':
		case 'together':
			return `${broken.studentIds.map(names.student).join(' and ')} must be ${broken.limit}`;
		case 'groups of a student':
			return `${names.student(broken.studentId)} is in ${broken.count} groups`;
		case 'groups':
			return `there are ${broken.count} groups; ${broken.most} may be formed`;
	}
}
