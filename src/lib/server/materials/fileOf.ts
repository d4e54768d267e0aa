import { findSchool } from '../school';
import { sendFile } from './sendFile';
import { fileForStaff, fileForStudent } from './store/files';

/** The file of a material for who asks: staff of its school, or a student who was given it; null for nobody else. */
export async function fileOf(
	{ database, viewer, at }: Pick<App.Locals, 'database' | 'viewer' | 'at'>,
	materialId: number,
	range: string | null
): Promise<Response | null> {
	if (!viewer || (viewer.kind === 'staff' && viewer.lacksSecondFactor)) return null;
	if (viewer.kind === 'staff') {
		const file = await fileForStaff(database, viewer, materialId);
		return file && sendFile(database, file, range);
	}
	const { today, minute } = await findSchool(database, viewer.schoolId, at);
	const file = await fileForStudent(database, viewer.id, materialId, { day: today, minute });
	return file && sendFile(database, file, range);
}
