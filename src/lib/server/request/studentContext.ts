import { error } from '@sveltejs/kit';
import type { SignedInStudent } from './viewer';

/** The signed-in student. 404 for anyone else. */
export function studentContext(locals: App.Locals): SignedInStudent {
	if (locals.viewer?.kind !== 'student') error(404, 'There is nothing here for you at this address.');
	return locals.viewer;
}
