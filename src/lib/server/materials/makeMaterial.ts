import Type, { type Static } from 'typebox';
import { MATERIAL_KINDS, MOST_FILE_BYTES } from '../../core/practice';
import { fileForm, formCheck, LONGEST_LINK, oneOf, type Staff, webAddress } from '../request';
import type { RootDatabase } from '../database';
import { cleanPicture } from './cleanPicture';
import { fileTypeOf } from './fileType';
import { insertMaterial } from './store/materials';

/** The fields of a form in which something is made that students are given; its file comes along. */
export const MATERIAL_FIELDS = {
	kind: oneOf([...MATERIAL_KINDS]),
	title: Type.String({ minLength: 1, maxLength: 120 }),
	note: Type.Optional(Type.String({ maxLength: 2_000 })),
	link: Type.Optional(Type.String({ maxLength: LONGEST_LINK }))
};
export const materialForm = formCheck(Type.Object(MATERIAL_FIELDS), fileForm(MOST_FILE_BYTES));
type MaterialForm = Static<Type.TObject<typeof MATERIAL_FIELDS>>;

const LONGEST_NAME = 120;

/** Makes what students can be given. @returns its id, or what is wrong with it in words */
export async function makeMaterial(
	database: RootDatabase,
	staff: Staff,
	form: MaterialForm,
	upload: File | null,
	at: Date
): Promise<{ id: number } | { problem: string }> {
	const { kind } = form;
	const title = form.title.trim();
	const note = form.note?.trim() ?? '';
	if (!title) return { problem: 'Give it a title' };
	if (kind === 'note' && !note) return { problem: 'The note is empty' };
	const link = kind === 'link' ? webAddress(form.link?.trim() ?? '') : null;
	if (kind === 'link' && link === null)
		return { problem: 'The link is not the address of a page: it begins with https://' };
	if (kind !== 'file' && kind !== 'recording')
		return { id: await insertMaterial(database, staff, { kind, title, note, link, file: null }, at) };
	if (!upload) return { problem: kind === 'file' ? 'Choose a file' : 'Nothing was recorded' };
	const sent = Buffer.from(await upload.arrayBuffer());
	const type = await fileTypeOf(sent);
	if (type === null || (kind === 'recording' && !type.startsWith('audio/')))
		return {
			problem:
				kind === 'file'
					? 'This is no picture (PNG, JPEG, WebP), PDF or sound file, whatever its name says'
					: 'What was recorded is no sound'
		};
	const content = type.startsWith('image/') ? await cleanPicture(sent) : sent;
	if (content === null) return { problem: 'This picture is damaged, or too large to be shown' };
	const file = { name: upload.name.slice(0, LONGEST_NAME), type, content };
	return { id: await insertMaterial(database, staff, { kind, title, note, link, file }, at) };
}
