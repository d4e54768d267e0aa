/** Wrong ideas about data and chance. */
export const data = {
	scaleCount: {
		shows: 'Counts bars or marks without the scale.',
		attempt: 'Read the scale aloud before reading the bar.'
	},
	oneValueOnly: {
		shows: 'Reads one value where two must be combined.',
		attempt: 'Point to each number that the question names.'
	},
	wrongRow: { shows: 'Reads a neighboring row or column.', attempt: 'Use a card to cover the other rows.' },
	sumNotMean: { shows: 'Stops at the sum.', attempt: 'Level stacks of cubes until all are equal.' },
	middleAsMean: {
		shows: 'Takes a middle value without leveling.',
		attempt: 'Level stacks of cubes until all are equal.'
	},
	meanIsMissing: {
		shows: 'Takes the mean itself as the missing value.',
		attempt: 'Find the total that the mean needs.'
	},
	meanOfKnown: {
		shows: 'Gives the mean of the numbers that are known.',
		attempt: 'Level stacks of cubes, with one stack still to build.'
	},
	tallyBundle: { shows: 'Miscounts bundles of tallies.', attempt: 'Count bundles by fives with a finger on each.' },
	valueForCount: {
		shows: 'Gives the value instead of how many have it.',
		attempt: 'Point to one cross: what does it stand for?'
	},
	countedAll: {
		shows: 'Counts everything instead of the part asked for.',
		attempt: 'Cover what the question leaves out.'
	},
	highestForSteepest: {
		shows: 'Takes the highest point for the steepest rise.',
		attempt: 'Run a finger along the line: where is the climb hardest?'
	},
	intervalAsValue: { shows: 'Reads a single value from an interval.', attempt: 'Ask where in the bar it could lie.' },
	columnForRow: {
		shows: 'Takes the share of the column for that of the row.',
		attempt: 'Circle the whole that the question speaks of.'
	},
	totalOfAll: {
		shows: 'Takes the share of everyone, not of the group asked for.',
		attempt: 'Circle the whole that the question speaks of.'
	},
	countForShare: { shows: 'Compares counts instead of shares.', attempt: 'Write each as a part of its own whole.' },
	rangeForMean: { shows: 'Gives the range for the mean.', attempt: 'Level stacks of cubes until all are equal.' },
	middleUnsorted: {
		shows: 'Takes the middle of an unsorted list.',
		attempt: 'Write each value on a card and line the cards up.'
	},
	meanForMedian: { shows: 'Gives the mean for the median.', attempt: 'Line cards up and take one from each end.' },
	rangeForMedian: { shows: 'Gives the range for the median.', attempt: 'Line cards up and take one from each end.' },
	oneMiddleOnly: {
		shows: 'Takes only one of the two values in the middle.',
		attempt: 'Line cards up and take one from each end.'
	},
	largestForRange: {
		shows: 'Gives the largest value for the range.',
		attempt: 'Measure the distance from the smallest to the largest.'
	},
	meanOfMeans: { shows: 'Takes the mean of a mean and one value.', attempt: 'Go back to the total.' },
	rangeForQuartiles: {
		shows: 'Takes the whole range for the interquartile range.',
		attempt: 'Cover the whiskers and measure the box.'
	},
	middleOfRange: {
		shows: 'Takes the middle of the range for the median.',
		attempt: 'Put the same number of values on each side.'
	},
	quartileForMedian: {
		shows: 'Takes a quartile for the median.',
		attempt: 'Put the same number of values on each side.'
	},
	endsForQuartiles: {
		shows: 'Takes the ends of the list for the quartiles.',
		attempt: 'Fold the row of cards in two, then each half in two.'
	},
	nextToMedian: {
		shows: 'Takes the neighbors of the median for the quartiles.',
		attempt: 'Fold the row of cards in two, then each half in two.'
	},
	approximateShare: {
		shows: 'Takes a rough share instead of counting.',
		attempt: 'Write all the cards down and mark those that fit.'
	},
	sampleForAll: {
		shows: 'Gives the count of the sample for the whole.',
		attempt: 'Ask how many samples fit into the whole.'
	},
	convenientSample: {
		shows: 'Takes whoever is at hand for a fair sample.',
		attempt: 'Ask who has no chance to be asked.'
	},
	partForPopulation: {
		shows: 'Samples only a part of those who are meant.',
		attempt: 'Ask who has no chance to be asked.'
	},
	chancesAdded: {
		shows: 'Adds probabilities where both must happen.',
		attempt: 'Draw a grid of all pairs of outcomes.'
	},
	fiftyFifty: {
		shows: 'Takes two outcomes as equally likely whatever they are.',
		attempt: 'List all outcomes that are equally likely.'
	},
	chanceRemembers: {
		shows: 'Believes that chance makes up for what came before.',
		attempt: 'Throw twenty times and write down what follows each result.'
	},
	expectedAsCertain: {
		shows: 'Takes the expected count for a certain one.',
		attempt: 'Let two groups throw and compare their counts.'
	},
	associationMixed: {
		shows: 'Misreads whether points rise, fall, or neither.',
		attempt: 'Cover the plot and uncover it from left to right.'
	},
	extremeForOutlier: {
		shows: 'Takes the last or highest point for the one that does not fit.',
		attempt: 'Lay a thread along the points.'
	},
	pointForLine: { shows: 'Reads a point where the line is asked for.', attempt: 'Trace the line with a finger.' }
} as const;
