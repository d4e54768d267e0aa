/** What students can be given beside questions. A task is led by an adult: nothing is handed in. */
export const MATERIAL_KINDS = ['note', 'link', 'file', 'recording', 'task'] as const;
export type MaterialKind = (typeof MATERIAL_KINDS)[number];

/** Bytes of a file at most. */
export const MOST_FILE_BYTES = 10_000_000;

/** How a file is shown: a picture or a sound within the page, a document on a page of its own. */
export type FileShape = 'picture' | 'document' | 'sound';

/** The shape of a file by its type. */
export const shapeOf = (type: string): FileShape =>
	type.startsWith('image/') ? 'picture' : type.startsWith('audio/') ? 'sound' : 'document';

/** A note, link, file or task as it is shown. */
export interface ShownMaterial {
	id: number;
	kind: MaterialKind;
	title: string;
	note: string;
	link: string | null;
	file: { name: string; shape: FileShape } | null;
}
