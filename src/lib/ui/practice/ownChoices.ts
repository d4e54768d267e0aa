/** What can be otherwise for some students within a set, beside dates and how many questions. */
export const OWN_CHOICES = [
	{
		name: 'families',
		label: 'Numbers',
		options: [
			{ value: 'easier', says: 'easier' },
			{ value: 'harder', says: 'harder' }
		]
	},
	{
		name: 'hints',
		label: 'Hints',
		options: [
			{ value: 'yes', says: 'with' },
			{ value: 'no', says: 'without' }
		]
	},
	{
		name: 'readAloud',
		label: 'Read aloud',
		options: [
			{ value: 'yes', says: 'yes' },
			{ value: 'no', says: 'no' }
		]
	},
	{
		name: 'largerType',
		label: 'Larger type',
		options: [
			{ value: 'yes', says: 'yes' },
			{ value: 'no', says: 'no' }
		]
	}
] as const;
