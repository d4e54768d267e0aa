/** Wrong ideas about patterns, expressions, and equations. */
export const patterns = {
	ruleOneStep: {
		shows: 'Gives the step instead of the next number.',
		attempt: 'Say the rule, then the number it gives.'
	},
	tooManySteps: { shows: 'Takes one step too many or too few.', attempt: 'Number the terms above the pattern.' },
	additiveRule: { shows: 'Sees “add” where the table multiplies.', attempt: 'Test the rule on every row.' },
	firstRowRule: { shows: 'Takes a rule from the first row only.', attempt: 'Test the rule on every row.' },
	reversedExpression: {
		shows: 'Writes the words in the order they are read.',
		attempt: 'Try it with a small number first.'
	},
	stepSkipped: {
		shows: 'Undoes only one of the two steps.',
		attempt: 'Cover the part with the letter: what must it be?'
	},
	repeatsLast: {
		shows: 'Continues with another shape than the pattern asks for.',
		attempt: 'Clap the part that repeats, then put it under the row.'
	},
	equalAsAnswerNext: {
		shows: 'Reads the equal sign as “the answer comes next”.',
		attempt: 'Use a balance with cubes on both sides.'
	},
	addedAll: { shows: 'Adds all the numbers that are seen.', attempt: 'Use a balance with cubes on both sides.' },
	copiedNumber: { shows: 'Copies a number from the question.', attempt: 'Ask what the number in the answer counts.' },
	keywordOperation: {
		shows: 'Chooses the operation by a word, not by the story.',
		attempt: 'Act the story out and ask what happened first.'
	},
	nextStepOnly: { shows: 'Gives the next step instead of the one asked for.', attempt: 'Number the steps in a table.' },
	parenthesesLeftOut: {
		shows: 'Leaves parentheses out where a sum stays together.',
		attempt: 'Work it out both ways and compare with the words.'
	},
	letterAsDigit: { shows: 'Reads a letter beside a number as a digit.', attempt: 'Write the times sign in between.' },
	unlikeTermsJoined: {
		shows: 'Joins terms with and without the letter.',
		attempt: 'Lay tiles: bars for the letter, squares for ones.'
	},
	lettersMultiplied: {
		shows: 'Multiplies where like terms are added.',
		attempt: 'Lay tiles: bars for the letter, squares for ones.'
	},
	distributedOnce: {
		shows: 'Multiplies only the first term in the parentheses.',
		attempt: 'Draw a rectangle with two parts and find both areas.'
	},
	notCollected: {
		shows: 'Has the right value, but not written as short as it can be.',
		attempt: 'Circle like terms in one color and join them.'
	},
	boundaryLeftOut: {
		shows: 'Leaves the boundary out where it belongs.',
		attempt: 'Ask: is exactly this number allowed?'
	},
	boundaryIncluded: {
		shows: 'Counts the boundary where it does not belong.',
		attempt: 'Ask: is exactly this number allowed?'
	},
	inequalityAsEquation: {
		shows: 'Gives one number where a whole range fits.',
		attempt: 'Try the number next to it: does it fit, too?'
	},
	signNotTurned: {
		shows: 'Does not turn the sign when dividing by a negative number.',
		attempt: 'Try a number in the answer: is the first line true?'
	},
	sidesAdded: {
		shows: 'Adds the letters of both sides instead of taking one from both.',
		attempt: 'Use a balance and take the same from both sides.'
	},
	zeroAsNoSolution: {
		shows: 'Takes the solution zero for no solution.',
		attempt: 'Put 0 in and look whether both sides agree.'
	},
	solutionsMixed: {
		shows: 'Mixes up “no solution” and “every number”.',
		attempt: 'Take the letter from both sides and read what is left.'
	},
	oneTermForgotten: { shows: 'Leaves one term out when adding up.', attempt: 'Write every part under the whole.' },
	runOverRise: { shows: 'Divides across by up.', attempt: 'Stairs: how high is a step for one step forward?' },
	slopeSign: { shows: 'Gives the slope the wrong sign.', attempt: 'Walk from left to right: up or down?' },
	riseOnly: { shows: 'Gives only how far it rises, not for one step across.', attempt: 'Draw a stair one step wide.' },
	slopeInterceptSwapped: {
		shows: 'Swaps slope and starting value.',
		attempt: 'Ask what is there at zero, and what comes with each step.'
	},
	interceptForCrossing: {
		shows: 'Gives where a line crosses the axis, not where two lines cross.',
		attempt: 'Check the point in both equations.'
	},
	firstRowAsStart: { shows: 'Takes the first row of a table for the start.', attempt: 'Go back in the table to zero.' },
	repeatedInput: {
		shows: 'Accepts two outputs for one input.',
		attempt: 'Press the same button twice: may something else come out?'
	},
	answersSwapped: {
		shows: 'Gives two answers in each other’s place.',
		attempt: 'Write beside each blank what it stands for.'
	}
} as const;
