import type { KeptSkill } from './keptField';
import { dayNumber, dayOfNumber } from './storedDay';

/** What is kept of a student and one skill, with what names the skill and how hard its usual question is. */
export interface PackedSkill extends KeptSkill {
	skillId: number;
	/** Of the skill's usual question, in logits. */
	difficulty: number;
}

const BYTES = 21;
const MOST_ANSWERS = 0xffff;
const ENOUGH = 1;
const WAS_SECURE = 2;

/**
 * What is kept of a student, as bytes: 21 a skill, numbers as Float32. Reading it again gives the same to seven digits.
 */
export function packField(skills: PackedSkill[]): Uint8Array {
	const bytes = new Uint8Array(skills.length * BYTES);
	const view = new DataView(bytes.buffer);
	for (const [i, { skillId, difficulty, level, answers, lastOn, isEnough, wasSecure }] of skills.entries()) {
		const at = i * BYTES;
		view.setUint32(at, skillId);
		view.setFloat32(at + 4, level.mean);
		view.setFloat32(at + 8, level.standardError);
		view.setFloat32(at + 12, difficulty);
		view.setUint16(at + 16, Math.min(MOST_ANSWERS, answers));
		view.setUint16(at + 18, dayNumber(lastOn));
		view.setUint8(at + 20, (isEnough ? ENOUGH : 0) | (wasSecure ? WAS_SECURE : 0));
	}
	return bytes;
}

/** @throws RangeError for bytes that are no whole number of skills */
export function unpackField(bytes: Uint8Array): PackedSkill[] {
	if (bytes.length % BYTES !== 0) throw new RangeError(`${bytes.length} bytes are no packed field`);
	const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
	return Array.from({ length: bytes.length / BYTES }, (_, i) => {
		const at = i * BYTES;
		const flags = view.getUint8(at + 20);
		return {
			skillId: view.getUint32(at),
			level: { mean: view.getFloat32(at + 4), standardError: view.getFloat32(at + 8) },
			difficulty: view.getFloat32(at + 12),
			answers: view.getUint16(at + 16),
			lastOn: dayOfNumber(view.getUint16(at + 18)),
			isEnough: (flags & ENOUGH) !== 0,
			wasSecure: (flags & WAS_SECURE) !== 0
		};
	});
}
