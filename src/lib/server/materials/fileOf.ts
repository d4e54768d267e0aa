import { sendFile } from './sendFile';
import { fileForStaff, fileForStudent } from './store/files';

/** The file of a material for who asks: staff of its school, or a student who was given it; null for nobody else. */
export async function fileOf(
	{ database, viewer }: Pick<App.Locals, 'database' | 'viewer'>,
	materialId: number,
	range: string | null
): Promise<Response | null> {
	if (!viewer || (viewer.kind === 'staff' && viewer.lacksSecondFactor)) return null;
	const file =
		viewer.kind === 'staff'
			? await fileForStaff(database, viewer, materialId)
			: await fileForStudent(database, viewer.id, materialId);
	return file && sendFile(database, file, range);
}
