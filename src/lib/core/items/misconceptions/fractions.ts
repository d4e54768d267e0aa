/** Wrong ideas about fractions, decimals, ratios, and percent. */
export const fractions = {
	partialProduct: {
		shows: 'Multiplies only one of the places.',
		attempt: 'Draw an area model with a part for each place.'
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
	sameOperation: { shows: 'Repeats the operation instead of undoing it.', attempt: 'Balance: what undoes this step?' },
	partToPart: {
		shows: 'Compares the wanted with the rest, not with all.',
		attempt: 'Count all that could be drawn first.'
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
	unequalParts: {
		shows: 'Accepts parts that are not of the same size.',
		attempt: 'Fold paper and lay the parts on each other.'
	},
	cutsForParts: { shows: 'Counts cuts instead of parts.', attempt: 'Cut a strip and count the pieces.' },
	partNumberAsCount: {
		shows: 'Takes a number of the fraction for the count, whatever the whole.',
		attempt: 'Cut the whole into the equal parts first, then take so many.'
	},
	wholeLineAsOne: {
		shows: 'Takes the whole line as one.',
		attempt: 'Mark 0 and 1 first, then look at the spaces between them.'
	},
	smallerForLarger: {
		shows: 'Takes the smaller for the larger fraction.',
		attempt: 'Lay both on strips of the same length.'
	},
	onePartOnly: { shows: 'Finds one part and stops.', attempt: 'Say how many parts are asked for and take as many.' },
	wholeAddedToTop: {
		shows: 'Adds the whole number to the top of the fraction.',
		attempt: 'Cut each whole into the same parts and count all parts.'
	},
	fractionPartDropped: {
		shows: 'Leaves the part beside the wholes out.',
		attempt: 'Draw wholes and part, and count both.'
	},
	digitsJoined: {
		shows: 'Writes the digits of whole and top beside each other.',
		attempt: 'Cut each whole into the same parts and count all parts.'
	},
	biggerNumbersBigger: {
		shows: 'Takes the fraction with the larger numbers as larger.',
		attempt: 'Compare each with one half.'
	},
	gapThinking: {
		shows: 'Takes two different values as equal.',
		attempt: 'Write both in the same form before comparing.'
	},
	bottomForgotten: {
		shows: 'Leaves the bottom number out of the calculation.',
		attempt: 'Say the fraction as a division and do both steps.'
	},
	secondFractionIgnored: {
		shows: 'Uses only the first of two fractions.',
		attempt: 'Shade the first, then mark the second inside it.'
	},
	firstFractionIgnored: {
		shows: 'Uses only the second of two fractions.',
		attempt: 'Shade the first, then mark the second inside it.'
	},
	divideByBottom: {
		shows: 'Divides by the bottom number where smaller parts must be counted.',
		attempt: 'Ask how many of the parts are in one whole.'
	},
	wrongOneInverted: {
		shows: 'Turns the first fraction around instead of the second.',
		attempt: 'Ask how many times the second fits into the first.'
	},
	tenthsForHundredths: {
		shows: 'Mixes up tenths, hundredths, and thousandths.',
		attempt: 'Shade it on a grid of a hundred.'
	},
	fractionAsDigits: {
		shows: 'Writes the numbers of a fraction as digits of a decimal.',
		attempt: 'Divide the top by the bottom with counters or on a line.'
	},
	placeMirrored: {
		shows: 'Mirrors the places: tenths for tens, hundredths for hundreds.',
		attempt: 'Write a place chart on both sides of the point.'
	},
	pointsNotLined: {
		shows: 'Lines digits up at the right end instead of at the point.',
		attempt: 'Write both with the same number of places.'
	},
	carriedOneTooMany: { shows: 'Is off by one in the next place.', attempt: 'Check by doing the opposite operation.' },
	pointPlacedLikeSum: { shows: 'Places the point as in a sum.', attempt: 'Estimate with whole numbers first.' },
	pointForgotten: { shows: 'Leaves the point out.', attempt: 'Estimate with whole numbers first.' },
	pointMovedOnce: { shows: 'Has the point in the wrong place by one.', attempt: 'Estimate with whole numbers first.' },
	longDecimalRepeats: {
		shows: 'Takes a decimal with several places for one that repeats.',
		attempt: 'Divide until it ends or a remainder comes back.'
	},
	lowerTotalPrice: {
		shows: 'Takes the lower total price for the better price.',
		attempt: 'Find what one costs for each.'
	},
	largerIsCheaper: { shows: 'Takes the larger pack for the cheaper one.', attempt: 'Find what one costs for each.' },
	partAddedToWhole: {
		shows: 'Adds the part to the whole where only the part is asked for.',
		attempt: 'Label the bar: whole, part, and what is asked for.'
	},
	changeForResult: { shows: 'Gives the change instead of the new amount.', attempt: 'Draw the bar before and after.' },
	rateInverted: { shows: 'Turns a rate around.', attempt: 'Say it with words: so many of these for one of those.' },
	steadyIsProportional: {
		shows: 'Takes steady growth for proportional, though it does not start at zero.',
		attempt: 'Double the input: does the output double?'
	},
	constantIsProportional: {
		shows: 'Takes a fixed amount for proportional.',
		attempt: 'Double the input: does the output double?'
	},
	percentOfPart: {
		shows: 'Takes the percent of the part instead of looking for the whole.',
		attempt: 'Draw a bar of 100% and mark what is known.'
	},
	largestEntryWins: { shows: 'Compares single entries, not the rates.', attempt: 'Find the amount for one in each.' },
	rateForTotal: { shows: 'Compares a rate with a total.', attempt: 'Write the unit beside each number.' },
	percentOfStartOnly: {
		shows: 'Takes each change as a percent of the first amount.',
		attempt: 'Draw a new bar of 100% after each change.'
	},
	firstChangeForgotten: {
		shows: 'Leaves the first of two changes out.',
		attempt: 'Draw a new bar of 100% after each change.'
	}
} as const;
