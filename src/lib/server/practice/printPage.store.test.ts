import { afterAll, beforeAll, expect, it } from 'vitest';
import { oneSkillSet } from '../../../../tests/oneSkillSet';
import { NOW, seenOne, smallSchool, staffAs, TODAY, type SmallSchool } from '../../../../tests/smallSchool';
import { addDays } from '../../core/calendar';
import { itemFrom } from '../../core/items/bank';
import { beginPractice } from '../sitting/store/practiceSittings';
import { sittingItems } from '../sitting/store/sittings';
import { printPage } from './printPage';
import { assignSet, givenTo, type NewSet } from './store/assigning';

let small: SmallSchool;
const specialist = staffAs('specialist');
const teacher = staffAs('teacher');
beforeAll(async () => {
	small = await smallSchool('print_set');
});
afterAll(() => small.database.close());

const assign = (more: Partial<NewSet> = {}) =>
	assignSet(
		small.database,
		specialist,
		oneSkillSet(
			{
				...{ skillId: small.skills[0].id, groupId: null, itemCount: 5, opensOn: TODAY, dueOn: addDays(TODAY, 4) },
				studentIds: [1, 5]
			},
			more
		),
		NOW
	);
const paper = (set: number, query = '', staff = specialist) =>
	printPage(small.database, staff, small.school, set, new URL(`http://school.test/print?${query}`));

it('a set on paper has the questions of the screen, and further versions other ones', async () => {
	const set = await assign();
	const sitting = await beginPractice(small.database, seenOne(1), { id: set }, small.skills, NOW);
	const onScreen = (await sittingItems(small.database, sitting)).map(
		({ familyId, seed }) => itemFrom(familyId, seed).stem
	);
	const [only] = (await paper(set))!.sheets;
	expect(only).toMatchObject({ name: '', students: [] });
	expect(only.questions.map(({ stem }) => stem)).toEqual(onScreen);
	const { sheets } = (await paper(set, 'versions=9'))!;
	expect(sheets.map(({ name }) => name)).toEqual(['A', 'B', 'C', 'D'].map((letter) => `Version ${letter}`));
	expect(sheets[0].questions).toEqual(only.questions);
	const all = sheets.map(({ questions }) => JSON.stringify(questions));
	expect(new Set(all).size).toBe(4);
});

it('each their own next step is a sheet a skill, with the names of those one may see', async () => {
	const [first, second] = small.skills;
	const set = await assign({
		isOwnStep: true,
		skills: [first, second].map(({ id }) => ({ skillId: id, practice: 3, checks: 0, hasExample: false })),
		students: [
			{ ...givenTo([1])[0], skillId: second.id },
			{ ...givenTo([5])[0], skillId: first.id }
		]
	});
	expect((await paper(set))!.sheets.map(({ name, students }) => [name, students.length])).toEqual([
		[first.shortName, 1],
		[second.shortName, 1]
	]);
	expect((await paper(set, '', teacher))!.sheets.map(({ name }) => name)).toEqual([second.shortName]);
	expect(await paper(set, '', { ...specialist, schoolId: 2 })).toBeNull();
});
