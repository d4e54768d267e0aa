import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { NOW, smallSchool, staffAs, type SmallSchool } from '../../../../tests/smallSchool';
import { audit } from './audit';

let small: SmallSchool;
beforeAll(async () => {
	small = await smallSchool('audit');
});
afterAll(() => small.database.close());

describe('the audit log', () => {
	it('keeps who did what, cut to its column', async () => {
		await audit(small.database, staffAs('specialist'), NOW, 'try', { long: 'x'.repeat(100_000) });
		const row = await small.database.row<{ detail: string; accountId: number }>(
			`SELECT detail, account_id AS accountId FROM audit_entry WHERE action = 'try'`
		);
		expect(row!.accountId).toBe(2);
		expect(row!.detail.length).toBe(60_000);
	});
});
