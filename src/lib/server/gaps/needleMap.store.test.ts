import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { seen, smallSchool, TODAY, type SmallSchool } from '../../../../tests/smallSchool';
import { readCell } from '../../core/mastery';
import { skillGraph } from '../library';
import { needleMap } from './needleMap';

let small: SmallSchool;
beforeAll(async () => {
	small = await smallSchool('needle_map');
});
afterAll(() => small.database.close());

describe('the needle map', () => {
	it('shows the standings as they are read, cell by cell, and rings what is ready next', async () => {
		const ids = seen(1, 2, 3, 4, 5, 6, 7, 8);
		const graph = await skillGraph(small.database, small.school.id, small.skills);
		const { rows, standings } = await needleMap(small.database, ids, small.skills, graph, TODAY);
		expect(rows.map(({ id }) => id)).toEqual(ids);
		for (const { id, cells } of rows) {
			small.skills.forEach((skill, place) => {
				const cell = readCell(cells, place);
				const now = standings.get(id)!.get(skill.id);
				expect(cell.standing).toBe(now?.inferred ?? now?.standing ?? 'unseen');
				expect(cell.answers).toBe(now?.answers ?? 0);
				const before = graph.prerequisites.get(skill.id)!.map((one) => standings.get(id)!.get(one));
				const met = before.every((one) => one!.mastered >= 0.5);
				expect(cell.readyNext).toBe(met && now!.mastered < 0.5);
			});
		}
	});

	it('of nobody is empty', async () => {
		const graph = await skillGraph(small.database, small.school.id, small.skills);
		expect((await needleMap(small.database, [], small.skills, graph, TODAY)).rows).toEqual([]);
	});
});
