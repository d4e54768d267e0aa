import type { SubmitFunction } from '@sveltejs/kit';

/** For `use:enhance`: after the action the form's fields keep what they hold. */
export const keepValues: SubmitFunction =
	() =>
	async ({ update }) =>
		update({ reset: false });
