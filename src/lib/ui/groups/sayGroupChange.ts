import { sayDay } from '$lib/core/calendar';

/** A line of a group's history as it is stored. */
export interface ShownChange {
	kind: 'start' | 'focus' | 'join' | 'leave' | 'pause' | 'resume' | 'end' | 'rename' | 'hand over';
	studentIds: number[];
	skillId: number | null;
	untilOn: string | null;
	/** The name before: of the group, or of who held it. */
	name: string | null;
}

/** What was done to a group, in words. */
export function sayGroupChange(
	{ kind, studentIds, skillId, untilOn, name }: ShownChange,
	nameOf: Map<number, string>,
	skillOf: Map<number, string>
): string {
	const who = studentIds.map((id) => nameOf.get(id) ?? 'a student of another class').join(', ');
	const skill = skillId === null ? '' : (skillOf.get(skillId) ?? 'a skill');
	switch (kind) {
		case 'start':
			return `started on ${skill} with ${who}`;
		case 'focus':
			return `focus is ${skill} from then on`;
		case 'join':
			return `${who} joined`;
		case 'leave':
			return `${who} left`;
		case 'pause':
			return untilOn ? `paused until ${sayDay(untilOn)}` : 'paused';
		case 'resume':
			return 'resumed';
		case 'end':
			return 'is the last day';
		case 'rename':
			return `renamed, before “${name}”`;
		case 'hand over':
			return `handed over, before with ${name}`;
	}
}
