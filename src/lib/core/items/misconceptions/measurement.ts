/** Wrong ideas about measuring. */
export const measurement = {
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
	boundingBox: {
		shows: 'Takes the whole box, without the missing corner.',
		attempt: 'Shade the part that is not there.'
	},
	sumOfSides: { shows: 'Adds the three lengths.', attempt: 'Fill one layer with cubes and count the layers.' },
	faceOnly: { shows: 'Finds one face, not the whole box.', attempt: 'Fill one layer with cubes and count the layers.' },
	halfForgotten: { shows: 'Leaves the half out of a triangle’s area.', attempt: 'Cut a rectangle along its diagonal.' },
	scaleUnused: { shows: 'Gives the length on the map.', attempt: 'Make a table: 1 on the map, so many in the world.' },
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
	surfaceForVolume: {
		shows: 'Finds how much covers the box, not how much fills it.',
		attempt: 'Fill a box with cubes, layer by layer.'
	},
	heightAdded: {
		shows: 'Adds the height to one layer instead of counting the layers.',
		attempt: 'Fill a box with cubes, layer by layer.'
	},
	middleForEnd: {
		shows: 'Takes the one in the middle for an end.',
		attempt: 'Line three strips up and point to each end.'
	},
	halfHourIgnored: {
		shows: 'Mixes up the hour and the half hour.',
		attempt: 'Watch the short hand: is it at a number or between two?'
	},
	nearestFive: {
		shows: 'Reads the minutes only to the nearest five.',
		attempt: 'Count on from the five by single marks.'
	},
	startForEnd: { shows: 'Sets the start instead of the end.', attempt: 'Mark start and end on a time line.' },
	countedCoins: { shows: 'Counts coins instead of their value.', attempt: 'Trade each coin for pennies.' },
	coinValuesSwapped: { shows: 'Mixes up the values of coins.', attempt: 'Sort coins by value, not by size.' },
	nearestMark: {
		shows: 'Reads the nearest mark though it lies between two.',
		attempt: 'Name the marks below and above, then halve the space.'
	},
	unitsAddedAsTheyAre: {
		shows: 'Adds numbers of different units as they are.',
		attempt: 'Write the unit beside each number.'
	},
	unitsIgnored: {
		shows: 'Compares numbers whatever their units.',
		attempt: 'Write the unit beside each number and convert first.'
	},
	minutesAsDecimal: {
		shows: 'Reads minutes as decimal places of an hour.',
		attempt: 'Ask what part of an hour it is.'
	},
	spacesForValue: {
		shows: 'Counts spaces instead of what they are worth.',
		attempt: 'Read the scale aloud before counting.'
	},
	oneSideOnly: { shows: 'Takes only one of two equal sides away.', attempt: 'Mark equal sides in the same color.' },
	areaAsPerimeter: {
		shows: 'Takes the area for the perimeter.',
		attempt: 'Cover it with tiles first, then walk its edge.'
	},
	areaAsSide: { shows: 'Takes the whole area for one side.', attempt: 'Build it with tiles and count a row.' },
	perimeterAsSide: { shows: 'Takes the perimeter for a side.', attempt: 'Walk the edge and mark each side.' },
	visibleFaces: {
		shows: 'Counts the squares that are seen, not the cubes.',
		attempt: 'Build it and take it apart layer by layer.'
	},
	slantForHeight: { shows: 'Takes a slanted side for the height.', attempt: 'Drop a plumb line from the top.' },
	halfOfParallelogram: {
		shows: 'Takes half, as for a triangle.',
		attempt: 'Cut off the end of a paper strip and move it over.'
	},
	volumeForSurface: {
		shows: 'Finds how much fills the box, not how much covers it.',
		attempt: 'Unfold a box and lay its faces out.'
	},
	threeFacesOnly: { shows: 'Counts each kind of face once.', attempt: 'Unfold a box and lay its faces out.' },
	radiusForDiameter: {
		shows: 'Takes the radius for the diameter.',
		attempt: 'Draw the line through the center, from edge to edge.'
	},
	diameterForRadius: {
		shows: 'Takes the diameter for the radius.',
		attempt: 'Draw the line from the center to the edge.'
	},
	piSquared: { shows: 'Squares pi as well as the radius.', attempt: 'Square the radius first and write it down.' },
	halfTheRadius: {
		shows: 'Halves the radius instead of the area.',
		attempt: 'Fold the circle in two: what stays the same?'
	},
	sideSurfaceForVolume: {
		shows: 'Finds the curved side, not what is inside.',
		attempt: 'Fill it layer by layer with circles.'
	},
	piForgotten: { shows: 'Leaves pi out.', attempt: 'Compare with the square box around it.' },
	lengthForArea: {
		shows: 'Takes the factor of lengths for the factor of areas.',
		attempt: 'Draw both on squared paper and count.'
	},
	lengthForVolume: {
		shows: 'Takes the factor of volumes for the factor of areas.',
		attempt: 'Draw both on squared paper and count.'
	},
	thirdForgotten: {
		shows: 'Leaves out that a cone is one third of the cylinder.',
		attempt: 'Pour rice from a cone into its cylinder.'
	},
	halfOfCylinder: {
		shows: 'Takes a cone for half of the cylinder.',
		attempt: 'Pour rice from a cone into its cylinder.'
	},
	fourThirdsForgotten: {
		shows: 'Leaves out a part of the four thirds for a ball.',
		attempt: 'Compare the ball with the cylinder around it.'
	}
} as const;
