/** Wrong ideas about shapes, angles, and grids. */
export const shape = {
	angleFullTurn: {
		shows: 'Takes the angle from a full turn.',
		attempt: 'Cover the angle with a square corner to compare.'
	},
	angleAddGiven: {
		shows: 'Adds the given parts instead of finding the missing one.',
		attempt: 'Label the whole angle first.'
	},
	coordinatesSwapped: { shows: 'Goes up first, then across.', attempt: 'Along the beach, then up the mast.' },
	otherWholeAngle: {
		shows: 'Takes a square corner for a straight angle, or the other way around.',
		attempt: 'Lay a sheet’s corner on the angle: is the whole as wide, or twice as wide?'
	},
	sideCount: {
		shows: 'Miscounts sides, or links a wrong number of sides with a name.',
		attempt: 'Mark the first side and count around once.'
	},
	solidNames: { shows: 'Mixes up the names of solids.', attempt: 'Feel solids in a bag and describe their faces.' },
	faceEdgeCorner: {
		shows: 'Mixes up faces, edges, and corners.',
		attempt: 'Touch each with the flat hand, a finger, and a fingertip.'
	},
	shapeProperty: {
		shows: 'Takes a property that only some of these shapes have for one of all.',
		attempt: 'Draw the oddest one of its kind that is still allowed.'
	},
	parallelPerpendicular: {
		shows: 'Mixes up parallel, perpendicular, and crossing lines.',
		attempt: 'Lay two pencils and lengthen them in the mind.'
	},
	pairsAsSides: { shows: 'Counts sides instead of pairs.', attempt: 'Color each pair in its own color.' },
	halvesAsSymmetry: {
		shows: 'Counts every line that halves the area.',
		attempt: 'Fold paper shapes and see whether the edges meet.'
	},
	diagonalAsSymmetry: {
		shows: 'Takes the diagonals of a rectangle for lines of symmetry.',
		attempt: 'Fold a sheet along its diagonal.'
	},
	oneSymmetryOnly: { shows: 'Finds one line of symmetry and stops.', attempt: 'Turn the shape and look again.' },
	triangleNames: {
		shows: 'Mixes up the names of triangles.',
		attempt: 'Sort triangles twice: by sides, then by angles.'
	},
	familyReversed: {
		shows: 'Turns a statement about families of shapes around.',
		attempt: 'Draw one family inside the other.'
	},
	netBySquareCount: { shows: 'Counts squares only, not how they fold.', attempt: 'Cut the pattern out and fold it.' },
	angleByArms: {
		shows: 'Judges an angle by how it is drawn, not by how wide it opens.',
		attempt: 'Compare it with the corner of a sheet.'
	},
	rightAngleSize: {
		shows: 'Misplaces the right angle among the others.',
		attempt: 'Compare with the corner of a sheet.'
	},
	otherScale: {
		shows: 'Reads the other scale of the protractor.',
		attempt: 'Say first: smaller or larger than a square corner?'
	},
	oppositeBesideMixed: {
		shows: 'Mixes up angles across from and beside each other.',
		attempt: 'Trace both lines and color equal angles.'
	},
	anglePairNames: {
		shows: 'Mixes up the names of angle pairs.',
		attempt: 'Shade the strip between the parallel lines first.'
	},
	otherAxis: { shows: 'Reflects over the other axis.', attempt: 'Fold the paper along the axis.' },
	bothSignsChanged: { shows: 'Changes both signs in a reflection.', attempt: 'Fold the paper along the axis.' },
	scaledTwice: { shows: 'Scales a length twice.', attempt: 'Measure the copy.' },
	turnedOtherWay: { shows: 'Turns the other way.', attempt: 'Turn tracing paper around a pin.' },
	otherTurn: {
		shows: 'Turns by another angle than asked.',
		attempt: 'Turn tracing paper around a pin, a quarter at a time.'
	},
	flippedInsteadTurned: { shows: 'Flips instead of turning.', attempt: 'Turn tracing paper around a pin.' },
	legsAdded: { shows: 'Adds the sides instead of their squares.', attempt: 'Draw squares on the sides and count.' },
	legsSubtracted: {
		shows: 'Subtracts the sides instead of their squares.',
		attempt: 'Draw squares on the sides and count.'
	},
	rootForgotten: { shows: 'Stops at the square and takes no root.', attempt: 'Ask for the side of that square.' },
	longestSideMixed: {
		shows: 'Takes another side for the longest.',
		attempt: 'Mark the side across from the right angle.'
	},
	squaresForgotten: { shows: 'Takes the root without squaring first.', attempt: 'Draw squares on the sides and count.' }
} as const;
