import { redirect } from '@sveltejs/kit';
import { may } from '$lib/server/request';
import { isEmptySchool } from '$lib/server/setup';

export async function load({ locals }) {
	const { viewer, database } = locals;
	if (!viewer) redirect(303, '/sign-in');
	if (viewer.kind === 'student') redirect(303, '/today');
	const isToSetUp = may(viewer.role, 'set up the school') && (await isEmptySchool(database, viewer.schoolId));
	redirect(303, isToSetUp ? '/setup' : '/screen');
}
