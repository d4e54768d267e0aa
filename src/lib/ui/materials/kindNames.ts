import type { MaterialKind } from '$lib/core/practice';

/** What each kind is called after its title. */
export const KIND_NAMES: Record<MaterialKind, string> = {
	note: 'note',
	link: 'link',
	file: 'file',
	recording: 'recorded message',
	task: 'task with an adult'
};
