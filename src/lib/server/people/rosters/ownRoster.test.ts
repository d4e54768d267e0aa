import { describe, expect, it } from 'vitest';
import { RosterReader } from '../../../core/interchange/oneRoster/rosterReader';
import { ownRoster } from './ownRoster';

/** A package of some schools, by name. */
function packageOf(schools: Record<string, string>, isDelta = false) {
	const reader = new RosterReader(isDelta);
	reader.begin('orgs', ['sourcedId', 'name', 'type']);
	Object.entries(schools).forEach(([id, name], i) => reader.take([id, name, 'school'], i + 2));
	const { records, problems } = reader.end();
	return { manifest: { modes: {} as never, source: '', isDelta }, records, problems };
}
const own = (schools: Record<string, string>, sourcedId: string | null, isDelta = false) =>
	ownRoster(packageOf(schools, isDelta), { sourcedId, name: 'Saltmarsh Bridge School' }).own?.sourcedId ?? null;

describe('whose part of a roster is taken', () => {
	const two = { a: 'Harbor School', b: 'SALTMARSH bridge school' };
	it.each([
		['that of the id it is known by', two, 'a', false, 'a'],
		['that of its name, where it is known by none', two, null, false, 'b'],
		['the only one there is, where it is known by none', { a: 'Harbor School' }, null, false, 'a'],
		['nobody’s, where several may be meant', { a: 'Harbor School', c: 'Hill School' }, null, false, null],
		['nobody’s, where only another school’s is there', { a: 'Harbor School' }, 'z', false, null],
		['nobody’s by name, where it is known by another id', two, 'z', false, null],
		['its own of a delta that does not name it', {}, 'z', true, 'z']
	])('is %s', (_, schools, sourcedId, isDelta, found) => {
		expect(own(schools as Record<string, string>, sourcedId, isDelta)).toBe(found);
	});

	it('is nobody’s while anything is wrong', () => {
		const read = packageOf(two);
		read.problems.add('users.csv', 2, 'familyName is empty');
		expect(ownRoster(read, { sourcedId: 'a', name: '' })).toMatchObject({ own: null, problems: { count: 1 } });
	});
});
