import { expect } from './test';

/** Counts what is done on a page, and sees to it that it is few enough; each count begins anew. */
export function countActions() {
	let actions = 0;
	return {
		async act(one: Promise<unknown>) {
			actions++;
			await one;
		},
		within(most: number, what: string) {
			console.log(`${what}: ${actions} actions`);
			expect(actions, what).toBeLessThanOrEqual(most);
			actions = 0;
		}
	};
}
