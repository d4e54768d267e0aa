import type { Passage } from '.';

/** Passages of the third grade. The first is the one of screenings; a series of weeks goes on with the others. */
export const GRADE_3: readonly Passage[] = [
	{
		grade: 3,
		title: 'The Night Boat',
		paragraphs: [
			'Every evening a small wooden boat carried the mail across the river. Old Tess rowed it, and her dog sat in front to watch for floating logs. She had made the journey so often that she knew every bend by the sound of the water.',
			'One night in October a heavy fog came in from the ocean. Tess could not see the shore, the stars, or even the end of her oars. The dog began to whine. Tess stopped rowing and listened. On the left she heard frogs, so the little pond must be there, and on the right she heard the slow creaking of the mill wheel. She turned the boat until the two sounds were the same on both sides. Then she rowed straight ahead.',
			'After a while the boat touched sand. A lamp was shining on the bank, and a boy stood beside it with his hands in his sleeves. “I thought you would not come tonight,” he said.',
			'Tess gave him a letter from his sister. “I could not see a thing,” she told him, “but nobody can hide the sounds of a river.”'
		]
	},
	{
		grade: 3,
		title: 'The Clock on the Corner',
		paragraphs: [
			'The clock above the bakery had stopped at ten past four, and nobody in the street could remember when. People set their watches by the church instead. Only Malik still looked up at it each day on his way home from school.',
			'One afternoon he asked the baker why she did not have it repaired. “The man who knew how to do it has moved away,” she said. “But if you like to climb, you can have a look.” She gave him a flashlight and the key to the attic.',
			'Behind the clock it was dark and smelled of flour. Malik saw a row of brass wheels, and between the two largest ones there was a nest. It was old and empty. He lifted it out with both hands and blew the dust away. Then he pushed the smallest wheel with one finger.',
			'Nothing happened at first. Then there was a click, and another one. When he came down the stairs, people were standing in the street and pointing. For the first time in years, it was eleven minutes past four.'
		]
	},
	{
		grade: 3,
		title: 'Seven Lemons',
		paragraphs: [
			'Inez wanted to earn money for a soccer ball, so she set up a table in front of her house and sold lemonade. She had seven lemons, a bag of sugar, and a sign that her brother had painted. By noon she had sold just two small cups.',
			'“Nobody is thirsty,” she told her mother. Her mother looked up and down the street. “Nobody is here,” she said. “Where are the people on a hot day like this?”',
			'Inez thought about it for a while. Then she put everything into her wagon and pulled it to the park. At the first bench two runners bought a cup. At the playground there was a line before she could put up the sign. In half an hour the lemons were gone, and people were still asking.',
			'She counted the coins twice that evening. There was enough for the ball and a little more. With the rest she bought twelve lemons, because the next day would be hot as well.'
		]
	},
	{
		grade: 3,
		title: 'The Longest Bridge in the Room',
		paragraphs: [
			'The class had one hour, ten sheets of paper, and a roll of tape. Each team had to build a bridge between two tables and put a cup of water on it. The longest bridge that did not get wet would win.',
			'Yusuf wanted to begin at once. He laid the sheets end to end and taped them together, but when he set the cup down, the paper bent and the water ran over the floor. “It is too thin,” said Freya. “We need something stronger than paper.”',
			'“We only have paper,” said Yusuf. They both looked at the wet sheet. Then Freya rolled a dry one into a tube and pressed on it with her hand. It did not bend at all.',
			'They made tubes from all the other sheets and tied them side by side like a raft. It was not the longest bridge in the room. However, when the teacher came with the cup, it was the only one that was still dry.'
		]
	},
	{
		grade: 3,
		title: 'A Letter in the Library Book',
		paragraphs: [
			'Between two pages of a book about stars, Noor found a letter. It was written in pencil and began, “Dear reader, I hope you like this book as much as I do. If you want to talk about it, leave a letter here and bring the book back.”',
			'There was no name under it and no date. Noor read the book in three days. Then she wrote down what she had liked best and asked a question about the rings of Saturn. She put her letter between the same two pages and gave the book back at the desk.',
			'For two weeks somebody else had it. When Noor saw it on the shelf again, her hands shook a little. There was a new letter inside, with a drawing of the rings and six questions for her.',
			'They wrote to each other all winter. In spring Noor asked, “Who are you?” The answer was short. “Turn around,” it said. Behind her, at the desk, the librarian was smiling over his glasses.'
		]
	}
];
