/** Wrong ideas that produce particular wrong answers: what it looks like, and what to try. */
export const misconceptions = {
	digitFace: {
		shows: 'Reads a digit as its face value, not by its place.',
		attempt: 'Build the number with bundles and name each bundle.'
	},
	placeOneOff: {
		shows: 'Names the neighboring place.',
		attempt: 'Write the number in a place chart and read it column by column.'
	},
	noRegroup: {
		shows: 'Takes the smaller digit from the larger in each place.',
		attempt: 'Act out the subtraction with tens and ones, trading a ten.'
	},
	noCarry: {
		shows: 'Adds the places but drops the carried ten.',
		attempt: 'Estimate first; compare the answer with the estimate.'
	},
	addInsteadTake: {
		shows: 'Adds where the story takes away.',
		attempt: 'Retell the story with a bar drawing before choosing an operation.'
	},
	takeInsteadAdd: {
		shows: 'Subtracts where the story puts together.',
		attempt: 'Retell the story with a bar drawing before choosing an operation.'
	},
	addInsteadMultiply: {
		shows: 'Adds the two numbers instead of taking equal groups.',
		attempt: 'Draw the groups and count one by one.'
	},
	oneGroupOff: { shows: 'Counts one group too many or too few.', attempt: 'Skip-count aloud, one finger a group.' },
	multiplyInsteadDivide: {
		shows: 'Multiplies where the story shares.',
		attempt: 'Deal counters into plates and count one plate.'
	},
	subtractInsteadDivide: {
		shows: 'Subtracts once where the story shares equally.',
		attempt: 'Deal counters into plates and count one plate.'
	},
	roundDown: {
		shows: 'Always rounds down by cutting digits off.',
		attempt: 'Mark the number between its two neighbors on a line.'
	},
	roundWrongPlace: {
		shows: 'Rounds to another place than asked.',
		attempt: 'Underline the place asked for before looking right of it.'
	},
	partialProduct: {
		shows: 'Multiplies only one of the places.',
		attempt: 'Draw an area model with a part for each place.'
	},
	remainderDropped: {
		shows: 'Leaves the remainder out where it changes the answer.',
		attempt: 'Ask: what happens to the ones left over in this story?'
	},
	remainderAsAnswer: {
		shows: 'Gives the remainder as the answer.',
		attempt: 'Label each number of the division with words from the story.'
	},
	leftToRight: {
		shows: 'Works left to right, whatever the operation.',
		attempt: 'Circle the parentheses and products first.'
	},
	signIgnored: { shows: 'Ignores the sign.', attempt: 'Walk the number line from 0, both ways.' },
	biggerNegative: {
		shows: 'Takes the negative farther from zero as larger.',
		attempt: 'Compare temperatures: which is colder?'
	},
	addSizes: {
		shows: 'Adds the sizes, whatever the signs.',
		attempt: 'Step on the number line: which way does each number go?'
	},
	partName: {
		shows: 'Mixes up the names of equal parts.',
		attempt: 'Say the count and the name together: three parts, thirds.'
	},
	wholeForPart: {
		shows: 'Names the whole instead of one part.',
		attempt: 'Take one part away: is that all of it?'
	},
	shadedToUnshaded: {
		shows: 'Compares shaded with unshaded parts.',
		attempt: 'Name the whole first: how many parts in all?'
	},
	invertedFraction: { shows: 'Turns the fraction upside down.', attempt: 'Say it in words: “3 of 4 equal parts”.' },
	largerDenominator: {
		shows: 'Takes the larger denominator as the larger fraction.',
		attempt: 'Cut two equal strips into different numbers of parts.'
	},
	countTicks: {
		shows: 'Counts marks instead of the spaces between.',
		attempt: 'Trace each space with a finger while counting.'
	},
	addToBoth: {
		shows: 'Adds the same number above and below.',
		attempt: 'Split each part of a drawing in two and recount.'
	},
	addTopsAndBottoms: {
		shows: 'Adds tops and adds bottoms.',
		attempt: 'Ask whether the sum can be smaller than one of its parts.'
	},
	oneDenominator: {
		shows: 'Adds the tops without making the parts equal.',
		attempt: 'Draw both on strips of the same length.'
	},
	multiplyBoth: {
		shows: 'Multiplies top and bottom by the whole number.',
		attempt: 'Lay the fraction out that many times on a line.'
	},
	decimalAsWhole: {
		shows: 'Reads decimal digits as a whole number.',
		attempt: 'Write both with the same number of places.'
	},
	longerIsLarger: {
		shows: 'Takes the decimal with more digits as larger.',
		attempt: 'Write both with the same number of places.'
	},
	additiveRatio: { shows: 'Keeps the difference, not the ratio.', attempt: 'Build a ratio table, one row at a time.' },
	percentAsAmount: {
		shows: 'Takes the percent itself as the amount.',
		attempt: 'Draw a bar of 100% beside the amount.'
	},
	percentLeft: { shows: 'Gives the rest instead of the part.', attempt: 'Label both pieces of the bar.' },
	percentOfWrong: { shows: 'Takes the percent of the new amount.', attempt: 'Ask: percent of what? Mark it 100%.' },
	rulerEnd: {
		shows: 'Reads the end mark though the object does not start at 0.',
		attempt: 'Count the unit spaces along the object.'
	},
	handsSwapped: { shows: 'Swaps the hour and the minute hand.', attempt: 'Read the short hand first, aloud.' },
	minuteFace: {
		shows: 'Reads the numeral under the minute hand as minutes.',
		attempt: 'Count by fives around the clock.'
	},
	hourNearest: { shows: 'Takes the hour the short hand is nearest to.', attempt: 'Ask which hour has already passed.' },
	twoSides: { shows: 'Adds only two sides.', attempt: 'Walk the edge with a finger back to the start.' },
	areaForPerimeter: {
		shows: 'Multiplies where the edge is asked for.',
		attempt: 'Fence or floor? Say which the story needs.'
	},
	perimeterForArea: {
		shows: 'Adds the sides where the surface is asked for.',
		attempt: 'Cover the shape with unit squares.'
	},
	hourAsHundred: { shows: 'Counts 100 minutes to an hour.', attempt: 'Jump to the next full hour on a time line.' },
	wrongFactor: { shows: 'Uses another conversion factor.', attempt: 'Say how many small units fill one large one.' },
	divideInsteadMultiply: {
		shows: 'Divides where smaller units need multiplying.',
		attempt: 'Ask: more small units, or fewer?'
	},
	angleFullTurn: {
		shows: 'Takes the angle from a full turn.',
		attempt: 'Cover the angle with a square corner to compare.'
	},
	angleAddGiven: {
		shows: 'Adds the given parts instead of finding the missing one.',
		attempt: 'Label the whole angle first.'
	},
	boundingBox: {
		shows: 'Takes the whole box, without the missing corner.',
		attempt: 'Shade the part that is not there.'
	},
	sumOfSides: { shows: 'Adds the three lengths.', attempt: 'Fill one layer with cubes and count the layers.' },
	faceOnly: { shows: 'Finds one face, not the whole box.', attempt: 'Fill one layer with cubes and count the layers.' },
	halfForgotten: { shows: 'Leaves the half out of a triangle’s area.', attempt: 'Cut a rectangle along its diagonal.' },
	scaleUnused: { shows: 'Gives the length on the map.', attempt: 'Make a table: 1 on the map, so many in the world.' },
	scaleCount: {
		shows: 'Counts bars or marks without the scale.',
		attempt: 'Read the scale aloud before reading the bar.'
	},
	oneValueOnly: {
		shows: 'Reads one value where two must be combined.',
		attempt: 'Point to each number that the question names.'
	},
	wrongRow: { shows: 'Reads a neighboring row or column.', attempt: 'Use a card to cover the other rows.' },
	ruleOneStep: {
		shows: 'Gives the step instead of the next number.',
		attempt: 'Say the rule, then the number it gives.'
	},
	tooManySteps: { shows: 'Takes one step too many or too few.', attempt: 'Number the terms above the pattern.' },
	additiveRule: { shows: 'Sees “add” where the table multiplies.', attempt: 'Test the rule on every row.' },
	firstRowRule: { shows: 'Takes a rule from the first row only.', attempt: 'Test the rule on every row.' },
	coordinatesSwapped: { shows: 'Goes up first, then across.', attempt: 'Along the beach, then up the mast.' },
	sumNotMean: { shows: 'Stops at the sum.', attempt: 'Level stacks of cubes until all are equal.' },
	middleAsMean: {
		shows: 'Takes a middle value without leveling.',
		attempt: 'Level stacks of cubes until all are equal.'
	},
	reversedExpression: {
		shows: 'Writes the words in the order they are read.',
		attempt: 'Try it with a small number first.'
	},
	meanIsMissing: {
		shows: 'Takes the mean itself as the missing value.',
		attempt: 'Find the total that the mean needs.'
	},
	sameOperation: { shows: 'Repeats the operation instead of undoing it.', attempt: 'Balance: what undoes this step?' },
	stepSkipped: {
		shows: 'Undoes only one of the two steps.',
		attempt: 'Cover the part with the letter: what must it be?'
	},
	partToPart: {
		shows: 'Compares the wanted with the rest, not with all.',
		attempt: 'Count all that could be drawn first.'
	},
	otherWholeAngle: {
		shows: 'Takes a square corner for a straight angle, or the other way around.',
		attempt: 'Lay a sheet’s corner on the angle: is the whole as wide, or twice as wide?'
	},
	hourTooMany: {
		shows: 'Counts one hour too many.',
		attempt: 'Jump from full hour to full hour on a time line and count the jumps.'
	},
	hourTooFew: {
		shows: 'Counts one hour too few.',
		attempt: 'Jump from full hour to full hour on a time line and count the jumps.'
	},
	minutesOnly: {
		shows: 'Compares only the minutes of the two times.',
		attempt: 'Jump to the next full hour first, then on to the end.'
	},
	noonTwice: {
		shows: 'Counts half a day too many across noon.',
		attempt: 'Split the trip at noon: before it and after it.'
	},
	meanOfKnown: {
		shows: 'Gives the mean of the numbers that are known.',
		attempt: 'Level stacks of cubes, with one stack still to build.'
	},
	factorAdded: {
		shows: 'Adds the factor instead of multiplying by it.',
		attempt: 'Build a ratio table, one row at a time.'
	},
	amountAsFactor: {
		shows: 'Multiplies by the whole amount, not by how many times as much it is.',
		attempt: 'Ask first how many batches are made.'
	},
	topKept: {
		shows: 'Changes the bottom of a fraction and keeps the top.',
		attempt: 'Fold a paper strip into more parts and count the shaded ones again.'
	},
	factorAsAnswer: {
		shows: 'Stops at the factor.',
		attempt: 'Say what is multiplied by it: the top as well as the bottom.'
	},
	surfaceForVolume: {
		shows: 'Finds how much covers the box, not how much fills it.',
		attempt: 'Fill a box with cubes, layer by layer.'
	},
	heightAdded: {
		shows: 'Adds the height to one layer instead of counting the layers.',
		attempt: 'Fill a box with cubes, layer by layer.'
	}
} as const;

export type MisconceptionId = keyof typeof misconceptions;

/** What a wrong idea looks like and what to try, or null for an id that the catalog does not have. */
export function misconceptionById(id: string): { shows: string; attempt: string } | null {
	return Object.hasOwn(misconceptions, id) ? misconceptions[id as MisconceptionId] : null;
}
