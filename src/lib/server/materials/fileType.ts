import { fileTypeFromBuffer } from 'file-type';

/**
 * Types of files that are taken, as their content tells them, and as what they are sent. A recorder of a browser writes
 * sound into the containers of video.
 */
const TAKEN: Record<string, string> = {
	'image/png': 'image/png',
	'image/jpeg': 'image/jpeg',
	'image/webp': 'image/webp',
	'application/pdf': 'application/pdf',
	'audio/mpeg': 'audio/mpeg',
	'audio/ogg': 'audio/ogg',
	'audio/ogg; codecs=opus': 'audio/ogg',
	'audio/wav': 'audio/wav',
	'audio/aac': 'audio/aac',
	'audio/x-m4a': 'audio/mp4',
	'audio/mp4': 'audio/mp4',
	'audio/webm': 'audio/webm',
	'video/mp4': 'audio/mp4',
	'video/webm': 'audio/webm'
};

/** The type of a picture, PDF or sound, by its content whatever it is called; null for anything else. */
export async function fileTypeOf(content: Uint8Array): Promise<string | null> {
	const found = await fileTypeFromBuffer(content).catch(() => undefined);
	return (found && TAKEN[found.mime]) ?? null;
}
