/** Wrong ideas about whole numbers and operations with them. */
export const wholeNumbers = {
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
		shows: 'Multiplies where equal sharing is asked for.',
		attempt: 'Deal counters into plates and count one plate.'
	},
	subtractInsteadDivide: {
		shows: 'Subtracts once where equal sharing is asked for.',
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
	countTicks: {
		shows: 'Counts marks instead of the spaces between.',
		attempt: 'Trace each space with a finger while counting.'
	},
	countedBack: {
		shows: 'Goes one back where one on is asked for.',
		attempt: 'Walk a number path, saying the direction first.'
	},
	countedForward: {
		shows: 'Counts on where counting back is asked for.',
		attempt: 'Walk a number path, saying the direction first.'
	},
	tenForOne: {
		shows: 'Takes a ten for a one, or a one for a ten.',
		attempt: 'Lay out rods and single cubes and count each kind aloud.'
	},
	digitsSwapped: {
		shows: 'Swaps digits of a number.',
		attempt: 'Build the number with rods and cubes, then write it in a place chart.'
	},
	signReversed: {
		shows: 'Turns the sign for more and less around.',
		attempt: 'Read the whole line aloud: seven is less than nine.'
	},
	sameDigitsEqual: {
		shows: 'Takes numbers with the same digits as equal.',
		attempt: 'Build both numbers with rods and cubes side by side.'
	},
	onesFirst: {
		shows: 'Compares the ones, or the last digits, first.',
		attempt: 'Build both numbers and ask which part is the largest.'
	},
	wrongDirection: {
		shows: 'Goes the other way than asked.',
		attempt: 'Underline the word that tells the direction before starting.'
	},
	startForgotten: {
		shows: 'Leaves out what was there at the start.',
		attempt: 'Tell the story from its beginning with counters.'
	},
	digitsInReadingOrder: {
		shows: 'Writes digits in the order they are read, whatever their place.',
		attempt: 'Fill a place chart before writing the number.'
	},
	zeroPlaceLost: {
		shows: 'Leaves out a place that holds a zero.',
		attempt: 'Use a place chart and write a zero into each empty column.'
	},
	countedByOnes: {
		shows: 'Counts on by ones where larger steps are asked for.',
		attempt: 'Mark the first two jumps on a line and measure them.'
	},
	firstDigitParity: {
		shows: 'Judges even or odd by the first digit.',
		attempt: 'Make pairs from the ones only; tens always make pairs.'
	},
	evenOddMixed: { shows: 'Mixes up even and odd.', attempt: 'Share cubes into pairs and look for one left over.' },
	roundUp: { shows: 'Always rounds up.', attempt: 'Mark the number between its two neighbors on a line.' },
	wroteEachPart: {
		shows: 'Writes each part of a number as it is heard, with all its zeros.',
		attempt: 'Lay number cards over each other: 300 under 40 under 2.'
	},
	countedStartAgain: {
		shows: 'Counts the starting number as the first step.',
		attempt: 'Put a finger on the start and move before saying one.'
	},
	countedOneTooMany: { shows: 'Counts one too many.', attempt: 'Move each thing aside when it has been counted.' },
	countedOneTooFew: { shows: 'Counts one too few.', attempt: 'Move each thing aside when it has been counted.' },
	tenNotTaken: {
		shows: 'Makes ten but does not take away what was used for it.',
		attempt: 'Fill a ten frame and look at what is left beside it.'
	},
	totalForMissing: {
		shows: 'Gives the total instead of the missing part.',
		attempt: 'Draw a bar with its two parts and mark what is asked for.'
	},
	familyWithoutTotal: {
		shows: 'Subtracts one part from the other instead of from the total.',
		attempt: 'Draw a bar: the whole on top, the two parts below.'
	},
	smallerMinusLarger: {
		shows: 'Subtracts in the wrong order.',
		attempt: 'Act it out: what is there first, and what goes away?'
	},
	stoppedAfterOneStep: {
		shows: 'Stops after the first of several steps.',
		attempt: 'Read the question again and underline what it asks for.'
	},
	multipliedWrongPair: {
		shows: 'Multiplies numbers that do not belong together.',
		attempt: 'Draw the groups first and label what is in each.'
	},
	rowsForColumns: {
		shows: 'Swaps rows and the number in a row.',
		attempt: 'Slide a finger along a row and say how many it passes.'
	},
	squareForRectangle: {
		shows: 'Builds a square whatever the rectangle.',
		attempt: 'Say the number of rows and the number in a row aloud, then build.'
	},
	zeroDropped: {
		shows: 'Leaves a zero out of a product with tens.',
		attempt: 'Say the tens aloud: four times six tens are twenty-four tens.'
	},
	zeroTooMany: { shows: 'Writes a zero too many.', attempt: 'Estimate first; compare the answer with the estimate.' },
	splitNotTaken: {
		shows: 'Keeps the whole factor after a part was split off.',
		attempt: 'Cut an array in two and count the rows of each part.'
	},
	splitOtherFactor: {
		shows: 'Splits the other factor than asked.',
		attempt: 'Cut an array along its rows and say what each part shows.'
	},
	splitOnlyOnce: {
		shows: 'Multiplies only one part after splitting.',
		attempt: 'Cut an array in two and write a product on each part.'
	},
	remainderTooLarge: {
		shows: 'Leaves a remainder that could still be shared.',
		attempt: 'Ask: are there enough left for one more group?'
	},
	remainderMissing: {
		shows: 'Counts what is missing to the next group as left over.',
		attempt: 'Fill the groups with counters; look at what lies beside them.'
	},
	plusBeforeMinus: {
		shows: 'Adds before subtracting, though the subtraction stands first.',
		attempt: 'Circle the first operation and work from left to right.'
	},
	multipleForFactor: {
		shows: 'Gives a multiple where a factor is asked for.',
		attempt: 'Sort cards: numbers that divide it, numbers it divides.'
	},
	multipleOfOneOnly: {
		shows: 'Gives a multiple of only one of the numbers.',
		attempt: 'Write both lists of multiples and circle what is in both.'
	},
	oddIsPrime: {
		shows: 'Takes odd numbers for prime.',
		attempt: 'Try to lay the number out as a rectangle with more than one row.'
	},
	oneIsPrime: { shows: 'Takes 1 for a prime number.', attempt: 'Count its factors: a prime number has exactly two.' }
} as const;
