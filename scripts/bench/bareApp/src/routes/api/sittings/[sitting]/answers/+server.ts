import { json, type RequestHandler } from '@sveltejs/kit';
import { bareInsert } from '../../../../../../../bareInsert';

export const POST: RequestHandler = async ({ params, request }) => {
	await bareInsert(Number(params.sitting), await request.json());
	return json({ results: [] });
};
