import { addDays, type SchoolDate } from '../src/lib/core/calendar';
import { levelCheckDays } from '../src/lib/core/growth';
import { seededRandom, seedFrom } from '../src/lib/core/random';
import type { Skill } from '../src/lib/server/library/store/skills';
import { adaptiveQuestions } from './adaptive';
import { atHour, type AnswerLog } from './answerLog';
import { SEED, type DemoStudent } from './people';

/** One in so many has not finished the check of the cycle's middle. */
const UNFINISHED = 9;

/** Students with weekly probes show what they can do of the whole domain, as far as its days have come. */
export function checkLevels(
	members: { student: DemoStudent; plan: number; domainId: number }[],
	{ startsOn, goalOn, term, today }: { startsOn: SchoolDate; goalOn: SchoolDate; term: number; today: SchoolDate },
	skills: Skill[],
	log: AnswerLog
): void {
	const days = levelCheckDays({ startsOn, goalOn, afterExit: false, levelChecks: true });
	for (const { place, opensOn } of days.filter((check) => check.opensOn <= today))
		for (const { student, plan, domainId } of members) {
			const draw = seededRandom(seedFrom(SEED, `level check ${place} ${student.id}`));
			log.sit(
				{ ...student, draw },
				{
					kind: 'level',
					origin: { level_plan_id: plan, level_place: place, domain_id: domainId },
					items: adaptiveQuestions(skills, domainId)({ as: 'level check', level: { grade: student.grade, term } }),
					from: atHour(addDays(opensOn, student.classId % 5), 11),
					upTo: student.id % UNFINISHED === 0 ? draw.integer(3, 12) : undefined
				}
			);
		}
}
