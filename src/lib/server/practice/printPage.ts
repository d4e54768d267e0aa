import { itemFrom } from '../../core/items/bank';
import { paperSeed } from '../../core/items';
import { NO_VARIATION, type SeededSkill, setQuestions, setTitle } from '../../core/practice';
import { fullName } from '../../core/words';
import type { Database } from '../database';
import { skillList, staffItem } from '../library';
import { visibleAmong } from '../people';
import { numberIn, type Staff } from '../request';
import type { School } from '../school';
import { findSet, studentsOfSet } from './store/oneSet';
import { skillsOfSets } from './store/setContent';

/** Versions of a set on paper: the one on screen, and as many with other numbers. */
const MOST_VERSIONS = 4;

/**
 * A set on paper: the questions that students have on screen and further versions with other numbers, or where each has a
 * step of their own a sheet a skill, with the names of those who get it; null for no such set.
 */
export async function printPage(database: Database, staff: Staff, school: School, setId: number, url: URL) {
	const set = await findSet(database, staff, setId);
	if (!set) return null;
	const [parts, skills] = await Promise.all([skillsOfSets(database, [setId]), skillList(database, school.id)]);
	const own = parts.get(setId)!;
	const nameOf = new Map(skills.map(({ id, shortName }) => [id, shortName]));
	const versions = Math.min(MOST_VERSIONS, Math.max(1, numberIn(url, 'versions')));
	const sheetOf = (some: SeededSkill[], version: number) =>
		setQuestions(
			some.map((skill) => (version === 0 ? skill : { ...skill, firstSeed: paperSeed(setId, version) })),
			{ ...set.how, ownQuestions: false },
			{ place: 0, variation: NO_VARIATION, older: [], olderSeed: 0 }
		).map(({ familyId, seed }) => staffItem(itemFrom(familyId, seed)));
	return {
		set: { id: set.id, isOwnStep: set.isOwnStep, ownQuestions: set.how.ownQuestions, older: set.how.older },
		title: setTitle({ ...set, skillIds: own.map(({ skillId }) => skillId) }, (id) => nameOf.get(id)!),
		versions: set.isOwnStep ? 1 : versions,
		sheets: set.isOwnStep
			? await sheetsBySkill(database, staff, school, setId, own, (skill) => ({
					name: nameOf.get(skill.skillId)!,
					questions: sheetOf([skill], 0)
				}))
			: Array.from({ length: versions }, (_, version) => ({
					name: versions === 1 ? '' : `Version ${'ABCD'[version]}`,
					students: [] as string[],
					questions: sheetOf(own, version)
				}))
	};
}

/** A sheet for each skill that is somebody's own next step, with the names of those whom the staff member may see. */
async function sheetsBySkill<Sheet>(
	database: Database,
	staff: Staff,
	school: School,
	setId: number,
	skills: SeededSkill[],
	sheetOf: (skill: SeededSkill) => Sheet
): Promise<(Sheet & { students: string[] })[]> {
	const given = await studentsOfSet(database, { staff, today: school.today }, setId);
	const seen = await visibleAmong(
		database,
		staff,
		given.map(({ id }) => id),
		school.today
	);
	const skillOf = new Map<number, number | null>(given.map(({ id, skillId }) => [id, skillId]));
	return skills
		.map((skill) => ({
			...sheetOf(skill),
			students: seen.filter(({ id }) => skillOf.get(id) === skill.skillId).map(fullName)
		}))
		.filter(({ students }) => students.length > 0);
}
