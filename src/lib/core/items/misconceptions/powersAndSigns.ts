/** Wrong ideas about powers, roots, factors of numbers, and signed numbers. */
export const powersAndSigns = {
	baseExponentSwapped: {
		shows: 'Swaps base and exponent.',
		attempt: 'Say: the base is written as often as the exponent tells.'
	},
	exponentAsFactor: {
		shows: 'Multiplies by the exponent instead of repeating the base.',
		attempt: 'Write the power out as a product.'
	},
	notTheGreatest: {
		shows: 'Gives a common factor, but not the greatest.',
		attempt: 'Divide both by it and ask whether they still share a factor.'
	},
	productForLeast: {
		shows: 'Multiplies the numbers though a smaller common multiple exists.',
		attempt: 'List the multiples of the larger number until the other divides one.'
	},
	factorForMultiple: {
		shows: 'Gives the greatest common factor for the least common multiple.',
		attempt: 'Ask: must the answer be larger or smaller than the numbers?'
	},
	basesAdded: {
		shows: 'Puts a factor in front as if terms were added.',
		attempt: 'Write out all the factors and count them.'
	},
	exponentsMultiplied: {
		shows: 'Multiplies exponents where they are added.',
		attempt: 'Write out all the factors and count them.'
	},
	exponentsSubtracted: {
		shows: 'Subtracts exponents of a product.',
		attempt: 'Write out all the factors and count them.'
	},
	exponentsAdded: {
		shows: 'Adds exponents of a quotient.',
		attempt: 'Write it as a fraction and cross out factors in pairs.'
	},
	smallerFromLargerExponent: {
		shows: 'Subtracts the smaller exponent from the larger, whatever the order.',
		attempt: 'Continue the pattern of powers downward past zero.'
	},
	halfForRoot: {
		shows: 'Halves instead of taking a root.',
		attempt: 'Draw a square with that area and ask for its side.'
	},
	squaredAgain: {
		shows: 'Squares instead of taking a root.',
		attempt: 'Draw a square with that area and ask for its side.'
	},
	squareForRoot: {
		shows: 'Gives the square numbers instead of their roots.',
		attempt: 'Write each square number with its side below it.'
	},
	differenceAsTenths: {
		shows: 'Reads the distance from the last square number as tenths.',
		attempt: 'Square the guess and compare with the number.'
	},
	firstFactorTooLarge: {
		shows: 'Leaves a first factor of 10 or more.',
		attempt: 'Ask: is the first number under 10? Move the point once more.'
	},
	exponentSign: {
		shows: 'Takes the wrong sign for the exponent of ten.',
		attempt: 'Is the number larger or smaller than 1? Say it first.'
	},
	countedAllPlaces: {
		shows: 'Counts digits instead of the places the point moves.',
		attempt: 'Move the point with a finger, counting each jump.'
	},
	firstFactorOnly: {
		shows: 'Compares the first factors and not the powers of ten.',
		attempt: 'Write both out with all their zeros.'
	},
	zeroIsFar: {
		shows: 'Takes zero for the number farthest from zero.',
		attempt: 'Walk the number line from 0 and count the steps.'
	},
	absoluteIgnored: {
		shows: 'Ignores the bars for the distance from zero.',
		attempt: 'Read the bars aloud as “distance from zero”.'
	},
	absoluteAdded: {
		shows: 'Adds the distances where they are subtracted.',
		attempt: 'Write the two distances first, then the sign between them.'
	},
	minusMinusIgnored: {
		shows: 'Does not turn “minus a negative” into plus.',
		attempt: 'Take counters that owe one away: what is left is more.'
	},
	squareKeepsMinus: {
		shows: 'Keeps the minus when a negative number is squared.',
		attempt: 'Write the square as a product of two factors with parentheses.'
	},
	productSign: {
		shows: 'Gives a product or quotient the wrong sign.',
		attempt: 'Continue a times table downward through zero.'
	}
} as const;
