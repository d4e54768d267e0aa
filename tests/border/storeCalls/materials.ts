import * as files from '../../../src/lib/server/materials/store/files';
import * as given from '../../../src/lib/server/materials/store/given';
import * as materials from '../../../src/lib/server/materials/store/materials';
import { NOW, seenOne, TODAY } from '../../smallSchool';
import { type Call, checks, given as takenAsGiven } from './asking';

const note = { kind: 'note', title: 'Strips', note: 'Fold one', link: null, file: null } as const;
const content = Buffer.from('a picture');

export const materialCalls: [object, Record<string, Call>][] = [
	[
		files,
		{
			keepFile: takenAsGiven(({ database, me }) =>
				files.keepFile(database, me.staff.specialist, { name: 'a.png', type: 'image/png', content }, NOW)
			),
			fileForStaff: checks(({ database, me, of }) => files.fileForStaff(database, me.staff.specialist, of.thing)),
			fileForStudent: checks(({ database, me, of }) =>
				files.fileForStudent(database, seenOne(me.students[0]), of.thing, { day: TODAY, minute: 600 })
			),
			schoolFiles: takenAsGiven(({ database, me }) => files.schoolFiles(database, me.staff.specialist.schoolId)),
			filePart: takenAsGiven(async ({ database, me }) => {
				const file = (await files.fileForStaff(database, me.staff.specialist, me.thing))!;
				return files.filePart(database, file.id, 0);
			})
		}
	],
	[
		materials,
		{
			insertMaterial: takenAsGiven(({ database, me }) =>
				materials.insertMaterial(database, me.staff.specialist, note, NOW)
			),
			copySkillMaterial: checks(({ database, me, of }) =>
				materials.copySkillMaterial(database, me.staff.specialist, of.material, NOW)
			)
		}
	],
	[
		given,
		{
			giveMaterial: checks(({ database, me, of }) =>
				given.giveMaterial(
					database,
					me.staff.specialist,
					of.thing,
					{ studentIds: [of.students[1]], groupId: of.groups.a },
					NOW
				)
			),
			takeMaterial: checks(({ database, me, of }) =>
				given.takeMaterial(database, me.staff.specialist, of.thing, [of.students[0]], NOW)
			),
			markTask: checks(
				({ database, me, of }) => given.markTask(database, me.staff.specialist, of.thing, [of.students[0]], true, NOW),
				({ database, of }) => database.run("UPDATE material SET kind = 'task', file_id = NULL WHERE id = ?", [of.thing])
			),
			givenMaterials: takenAsGiven(({ database, me }) =>
				given.givenMaterials(database, { staff: me.staff.specialist, today: TODAY }, { from: 0, most: 9 })
			),
			whoHas: checks(({ database, me, of }) =>
				given.whoHas(database, { staff: me.staff.specialist, today: TODAY }, of.thing)
			),
			shownMaterials: takenAsGiven(({ database, me }) => given.shownMaterials(database, me.base, [me.thing])),
			givenToStudent: takenAsGiven(({ database, me }) => given.givenToStudent(database, seenOne(me.students[0]), NOW)),
			seeMaterial: checks(({ database, me, of }) => given.seeMaterial(database, seenOne(me.students[0]), of.thing, NOW))
		}
	]
];
