import { afterEach, describe, expect, it, vi } from 'vitest';
import { may, type Action, type Role } from './viewer';

describe('what a role may do', () => {
	const table: [Action, Record<Role, boolean>][] = [
		['run screening', { coordinator: true, specialist: true, interventionist: false, teacher: false }],
		['form groups', { coordinator: true, specialist: true, interventionist: false, teacher: false }],
		['plan the timetable', { coordinator: true, specialist: true, interventionist: false, teacher: false }],
		['assign skill checks', { coordinator: true, specialist: true, interventionist: true, teacher: true }],
		['write notes', { coordinator: true, specialist: true, interventionist: true, teacher: true }],
		['assign practice', { coordinator: true, specialist: true, interventionist: true, teacher: true }],
		['plan probes', { coordinator: true, specialist: true, interventionist: true, teacher: false }],
		['take attendance', { coordinator: true, specialist: true, interventionist: true, teacher: false }],
		['decide', { coordinator: true, specialist: true, interventionist: false, teacher: false }],
		['change the library', { coordinator: true, specialist: true, interventionist: false, teacher: false }]
	];
	it.each(table)('%s', (action, roles) => {
		for (const [role, allowed] of Object.entries(roles)) expect(may(role as Role, action), role).toBe(allowed);
	});
});

describe('the clock', () => {
	afterEach(() => {
		vi.unstubAllEnvs();
		vi.useRealTimers();
		vi.resetModules();
	});

	it('is the machine’s', async () => {
		vi.stubEnv('ORDERLY_CLOCK', '');
		vi.useFakeTimers({ now: new Date('2027-01-02T03:04:05Z') });
		const { now } = await import('./clock');
		expect(now()).toEqual(new Date('2027-01-02T03:04:05Z'));
	});

	it('can begin at another instant, from which time passes as usual', async () => {
		vi.stubEnv('ORDERLY_CLOCK', '2026-11-23T15:00:00Z');
		vi.useFakeTimers({ now: new Date('2031-05-05T00:00:00Z') });
		const { now } = await import('./clock');
		vi.advanceTimersByTime(90_000);
		expect(now()).toEqual(new Date('2026-11-23T15:01:30Z'));
	});
});
