import type { RequestEvent } from '@sveltejs/kit';
import type { Viewer } from '../src/lib/server/request/viewer';
import { NOW, type SmallSchool } from './smallSchool';

/** What a form action answers: what it did and how that is undone, or why it did nothing. */
export interface Answer {
	status?: number;
	problem?: string;
	done?: string;
	undo?: { action: string; fields: Record<string, string | string[]> };
	[more: string]: unknown;
}

type Fields = Record<string, string | string[] | File>;

/**
 * Posts fields to a form action, as a browser would.
 *
 * @param place the rest of the address, and its parameters
 * @throws what the action throws: `{ status: 403 }` for whose role may not, `{ status: 404 }` for who is no staff
 */
export async function post(
	small: SmallSchool,
	viewer: Viewer | null,
	action: (event: RequestEvent) => Promise<unknown>,
	fields: Fields,
	place: { query?: string; params?: Record<string, string> } = {}
): Promise<Answer> {
	const body = new FormData();
	for (const [name, values] of Object.entries(fields))
		for (const value of [values].flat()) {
			if (value instanceof File) body.append(name, value);
			else body.append(name, value);
		}
	const url = new URL(`http://school.test/page${place.query ?? ''}`);
	const event = {
		locals: { viewer, database: small.database, at: NOW },
		request: new Request(url, { method: 'POST', body }),
		url,
		params: place.params ?? {}
	};
	const answer = (await action(event as unknown as RequestEvent)) as { status?: number; data?: object };
	return 'data' in answer ? { status: answer.status, ...answer.data } : (answer as Answer);
}

/** Posts what an answer says undoes it, to the action of that name among these. */
export function undo<Action extends (event: RequestEvent) => Promise<unknown>>(
	small: SmallSchool,
	viewer: Viewer,
	actions: Record<string, Action>,
	answer: Answer,
	place?: Parameters<typeof post>[4]
): Promise<Answer> {
	if (!answer.undo) throw new Error(`Nothing to undo: ${answer.problem ?? answer.done}`);
	return post(small, viewer, actions[answer.undo.action.replace('?/', '')], answer.undo.fields, place);
}
