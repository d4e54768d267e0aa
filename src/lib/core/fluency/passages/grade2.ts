import type { Passage } from '.';

/** Passages of the second grade. The first is the one of screenings; a series of weeks goes on with the others. */
export const GRADE_2: readonly Passage[] = [
	{
		grade: 2,
		title: 'Mud Boots',
		paragraphs: [
			'Nan had new rubber boots that came up to her knees. She put them on to walk in the marsh with her uncle. “Stay on the grass,” he told her, “because the mud is very deep.”',
			'Nan saw a white bird standing near the water. She took a few steps off the grass to see it better. All at once her foot went down and down. She pulled, but the boot did not come out. When she pulled again, out came her foot, but the boot stayed in the mud.',
			'Her uncle laughed and held her arm. He reached down with a long stick and lifted the boot. It made a funny, slurping sound as it came up, and there was a silver fish inside!',
			'They put the fish back into the water. Nan walked home with one clean boot and one muddy boot. “Next time,” she said, “I will only go where the grass is growing.”'
		]
	},
	{
		grade: 2,
		title: 'The Borrowed Bike',
		paragraphs: [
			'Rosa did not have a bike, but her neighbor Mr. Okoro had an old one in his shed. “The chain is stiff and the seat is torn,” he said. “If you help me fix it, you can ride it all summer.”',
			'They started on Saturday. Rosa rubbed the rust away with a rag. Mr. Okoro put oil on the chain and showed her how to turn it. They cut a piece from an old raincoat and tied it over the seat. It was bright yellow.',
			'On Sunday Rosa rode to the end of the street. The wheels made a soft, happy sound. Then the chain fell off, and she had to push the bike home. Her hands were black when she got there.',
			'Mr. Okoro only smiled. “Now you know where the chain goes,” he said. Rosa turned the bike over and put it back herself.'
		]
	},
	{
		grade: 2,
		title: 'Soup for Ten',
		paragraphs: [
			'On Fridays Jun helped his aunt in her small kitchen. One day she had to make soup for ten people, but she had only three carrots and a bag of rice. “What can we do?” asked Jun.',
			'“We can ask,” said his aunt. So Jun went up the stairs and knocked at every door. The woman on the second floor gave him two onions. The twins next to her had some corn. An old man on the top floor had nothing but salt. “Salt is good,” said Jun, and he took it.',
			'The pot was soon full. It smelled so fine that doors began to open. The people came down with their own bowls and spoons, and the old man brought a chair.',
			'Jun counted them. There were not ten people but fourteen. His aunt put in one more cup of water, and there was enough for all.'
		]
	},
	{
		grade: 2,
		title: 'The Snow Day',
		paragraphs: [
			'It snowed all night, and in the morning the school was closed. Adaeze looked out of the window. The cars on her street were round white hills.',
			'She put on her coat and went to dig out the steps. It was hard work. When she was done, she saw that the steps of the next house were still covered. Mrs. Lund lived there, and she walked with a stick. So Adaeze dug out her steps as well.',
			'A boy from across the street came with a shovel. Then two more children came. They cleared one house after the other, and at every door somebody thanked them.',
			'At noon they were tired and their socks were wet. Mrs. Lund called them in. She had put five cups on the table, and each was full of hot chocolate. “I watched you,” she said, “and I counted the cups.”'
		]
	},
	{
		grade: 2,
		title: 'A Drum That Would Not Play',
		paragraphs: [
			'Samir found a drum at the market. It cost only two dollars because it made no sound. He tapped it and he thumped it, but it went puff, like a pillow.',
			'His sister wanted him to throw it out. “A drum that cannot play is just a box,” she said. Samir held it to his ear and shook it. Something moved inside.',
			'He turned the screws with a coin and took off the skin of the drum. Inside he found a wool scarf, a mitten, and a note. “To the one who opens this,” he read. “My baby was asleep, and I had to be quiet. Now she is big and plays the trumpet. You may make noise.”',
			'Samir put the skin back on. He hit the drum once, and his sister put her hands over her ears. Then she began to dance.'
		]
	}
];
