import { describe, expect, it } from 'vitest';
import { sessionPlan, TICKET_ITEMS } from './sessionPlan';
import type { Skill } from '../library/store/skills';

const skill = (code: string) => ({ id: 1, code }) as Skill;

describe('the plan of a session', () => {
	it('has questions to model, always the same, and an exit ticket of its own for each day and group', () => {
		const monday = sessionPlan(skill('F42'), 3, '2026-11-23');
		expect(monday.samples.length).toBeGreaterThanOrEqual(4);
		expect(monday.ticket).toHaveLength(TICKET_ITEMS);
		for (const { stemHtml, keyHtml } of monday.ticket) expect(stemHtml.length * keyHtml.length).toBeGreaterThan(0);
		expect(sessionPlan(skill('F42'), 3, '2026-11-23')).toEqual(monday);
		const others = [sessionPlan(skill('F42'), 3, '2026-11-25'), sessionPlan(skill('F42'), 4, '2026-11-23')];
		for (const { samples, ticket } of others) {
			expect(samples).toEqual(monday.samples);
			expect(ticket).not.toEqual(monday.ticket);
		}
	});

	it('is empty for a skill that a school brought in without questions', () => {
		expect(sessionPlan(skill('OWN-1'), 3, '2026-11-23')).toEqual({ samples: [], ticket: [] });
	});
});
