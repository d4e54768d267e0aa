import type { Passage } from '.';

/** Passages of the fifth grade. The first is the one of screenings; a series of weeks goes on with the others. */
export const GRADE_5: readonly Passage[] = [
	{
		grade: 5,
		title: 'The Map in the Attic',
		paragraphs: [
			'When the roof of our school was repaired last summer, the workers found a wooden tube behind a beam. Inside was a map of the harbor, drawn by hand in brown ink. A date in the corner showed that it was more than a hundred years old. Somebody had written under it, “Finished by the sixth class, with very cold fingers.”',
			'Our teacher laid the old map beside a new one, and we searched for differences. The bridge, the mill, and the long street stood in the same places. The coast, however, did not agree at all. On the old map a narrow island lay in front of the harbor, with a lighthouse and three small houses. On the new one there was nothing but open water.',
			'At first we believed that the students had made the island up. Then Mr. Aldous, whose family has always fished here, told us that his grandmother was born in one of those houses. Every winter the storms carried away another piece of the beach. At last the people moved their beds and tables across the ice, and within ten years the island had disappeared.',
			'We decided to measure the harbor ourselves and draw a third map. It will be put in the tube and hidden behind the same beam, so that another class can discover what the sea has changed.'
		]
	},
	{
		grade: 5,
		title: 'The Violin in Two Pieces',
		paragraphs: [
			'The violin had belonged to the school for longer than anyone could say, and when Oskar opened the case, the neck had come off. He carried both pieces to the workshop of Madame Diallo, expecting her to shake her head. Instead she put on a second pair of glasses and smiled.',
			'“It has broken exactly where it was meant to break,” she said. She explained that instruments are put together with a glue that is made to be weak. When the wood shrinks in a dry winter, something has to give way. If the glue gives way, a violin can be repaired in a day; if the wood splits, it may never sound the same again.',
			'Oskar had always believed that the strongest glue must be the best one. Madame Diallo let him scrape the old glue away with a small knife and brush on the new, which smelled like soup. They fastened the neck with two wooden clamps and left it until the following afternoon.',
			'When he played it for the first time, the sound was rough, as if the violin had forgotten its voice. “Give it a week,” she told him. “It has been lying in two pieces, and it needs to get used to being one.”'
		]
	},
	{
		grade: 5,
		title: 'How a City Cleans Its Water',
		paragraphs: [
			'Water that runs down a drain does not just go away. In most cities it flows through pipes under the streets to a large plant. There it is cleaned in several steps before it is let into a river.',
			'The first step is a simple one. The water passes through a metal screen that catches rags, sticks, and anything else that should never have been thrown into a sink. Next it stands for a few hours in a wide tank, so that sand and mud can sink to the bottom and be scraped away.',
			'What remains cannot be caught by any screen, because it is dissolved in the water. Here the plant gets help from tiny living things. Billions of bacteria, far too small to see, feed on the dirt. The workers only have to keep them happy, and for that they blow air through the tank day and night.',
			'After some hours the bacteria sink to the ground, and clear water flows over the edge of the tank. Some of them are pumped back to the start, where the next load of dirty water already waits for them. A modern plant has computers and huge pumps, but most of the cleaning is still done by living things that nobody sees.'
		]
	},
	{
		grade: 5,
		title: 'The Chess Player in the Laundry',
		paragraphs: [
			'On Thursdays, while the machines were running, Priya did her homework in the laundry on Bell Street. An elderly man in a gray coat sat there every week with a chessboard on his knees, and he always played against himself. He moved slowly, turned the board around after every move, and never seemed to be satisfied.',
			'“Which side are you hoping for?” she asked him one evening. He considered the question seriously. “For the side that is losing,” he answered, “because it has to think harder.” Then he turned the board around and offered her the white pieces.',
			'She lost in nine moves, and a week later in fourteen. He never told her what she ought to have done. He only put the pieces back to the place where, in his opinion, the game had changed, and asked what she saw. Sometimes she saw nothing at all, and they waited until the washing was dry.',
			'In March she won for the first time, although he had not been careless. Priya was so surprised that she apologized. The man laughed and shook her hand across the board. “Now we can begin,” he said, “since from today both of us are on the side that has to think harder.”'
		]
	},
	{
		grade: 5,
		title: 'A Garden on the Roof',
		paragraphs: [
			'Nobody had used the flat roof of the youth center for anything until Ms. Farouk had her idea. Why should the children not grow their own food up there, where the sun shone all day? The director worried about the weight, and he was right to do so. Wet soil is surprisingly heavy: a box as large as a bathtub can weigh as much as five adults.',
			'So an engineer was asked to look at the building. She studied the old plans, measured the beams, and drew a line on the roof with chalk. Inside the line, directly above the walls, the boxes could be as deep as a bucket. Everywhere else they had to be shallow.',
			'The children therefore had to plan what should grow where. Carrots and tomatoes, whose roots go deep, were planted along the chalk line. Lettuce and herbs, which need only a little soil, were given the middle. Old barrels caught the rain, so that nobody had to carry water up the stairs.',
			'By August there was more lettuce than anyone could eat. They sold it in front of the building and bought a bench for the roof. After a short talk about the weight, they placed the bench right above a wall.'
		]
	}
];
