import type { Passage } from '.';

/** Passages of the fourth grade. The first is the one of screenings; a series of weeks goes on with the others. */
export const GRADE_4: readonly Passage[] = [
	{
		grade: 4,
		title: 'Where the Marsh Goes Twice a Day',
		paragraphs: [
			'If you visit a salt marsh in the morning, you may find a wide field of grass with narrow streams running through it. Come back six hours later and most of the grass has vanished under water. Fish swim between the stems, and ducks float above the place where you were standing.',
			'The moon is the reason. It pulls on the sea, and the water rises on the side of the earth that faces it. As the earth turns, each part of the coast moves into the high water and out of it again. Most shores have two high tides a day, and each comes almost an hour later than on the day before.',
			'Plants in the marsh must live in two worlds. When the tide is in, their roots are covered with salt water that would kill a garden. When it is out, the sun dries their leaves. Some grasses push the extra salt out through tiny holes, and you can see it shining on the leaves like frost.',
			'Animals have their own plans. Snails climb the stems before the water arrives. Crabs shut themselves in holes and close the door with mud. Small fish follow the water in, eat as fast as they can, and leave before it drains away.'
		]
	},
	{
		grade: 4,
		title: 'The Goalkeeper Who Counted',
		paragraphs: [
			'Before every penalty kick, Delphine looked at her notebook. Her team laughed about it at first. A goalkeeper should watch the ball, they said, and not do homework on the field.',
			'In the notebook she had written down every penalty she had seen that year. For each kick there was a small arrow: left, right, or middle. There was also a mark for the foot that the player had used. After forty kicks she noticed something. Players who kicked with the right foot sent the ball to her right side more than twice as often as to her left.',
			'“That does not tell me what the next player will do,” she explained to the coach. “It only tells me where I should jump if I know nothing else.” He nodded slowly and asked to see the page.',
			'In the last game of the season it came down to one kick. The player was tall and used her right foot. Delphine jumped to the right, and the ball hit her gloves. “You were lucky,” said the other captain afterward. “Yes,” said Delphine, “but I was lucky on the side where there is more luck.”'
		]
	},
	{
		grade: 4,
		title: 'Bread Without a Recipe',
		paragraphs: [
			'When his grandfather moved in with them, Teo learned that the old man had been a baker for fifty years. He had never written down a single recipe. “My hands know it,” he said, and that was all the answer Teo could get.',
			'So Teo decided to write the recipe himself. On Saturday morning he stood beside the table with a scale and a pencil. Each time his grandfather reached for the flour, Teo weighed the bowl before and after. He measured the water, counted the minutes, and even took the temperature of the oven.',
			'The next week Teo baked alone and followed his notes exactly. The bread came out flat and hard. His grandfather broke off a piece, chewed it, and looked out of the window. “It rained last week,” he said. “Today the air is dry. The flour is thirstier.”',
			'They made a new dough together, and this time Teo put his hands into it as well. He added water until it felt like the dough of the week before. In his notes he crossed out a number and wrote, “Until it feels like an earlobe.”'
		]
	},
	{
		grade: 4,
		title: 'Why Leaves Fall',
		paragraphs: [
			'Every autumn many trees drop all of their leaves, and it looks as though they were dying. In fact they are getting ready for winter, and they do it with great care.',
			'A leaf is a kitchen that runs on sunlight. During the summer it makes sugar for the tree, and it needs a steady supply of water for that. In winter the ground may be frozen, so the roots can find very little to drink. A tree that kept its wide leaves would lose more water than it could replace.',
			'Before a leaf is dropped, the tree takes back whatever it can use again. The green color is broken down first and stored in the branches. Yellow, which was there all the time, can then be seen. Some trees also make a red color in the last weeks.',
			'Finally a thin layer of cork grows between the leaf and the twig, like a door that is being closed. After that a light wind is enough to carry the leaf away. If you look closely at the bare twig, you will find next to the little scar a bud for the spring.'
		]
	},
	{
		grade: 4,
		title: 'The Night the Lights Went Out',
		paragraphs: [
			'At ten minutes to eight the lights went out in the whole building. The elevator stopped, the television fell silent, and for a moment nobody on the fourth floor said anything at all. Then a baby began to cry behind one of the doors.',
			'Hana found two candles and put them on the stairs so that people could see where they were walking. A neighbor whom she had never spoken to came out with a flashlight. Soon there were nine people sitting on the steps, wrapped in blankets, because the heaters had gone off as well.',
			'Somebody had a guitar. A boy from the second floor knew a card trick that worked even in the dark. Mrs. Petrov told them how she had once walked through a snowstorm for a whole night to reach her sister, and even the baby listened.',
			'When the lights came back, everyone blinked and looked for their shoes. They said good night politely, as neighbors do. On the next evening, at ten minutes to eight, Hana heard a knock. The boy stood there with his cards. “Could we turn off the lights again?” he asked.'
		]
	}
];
