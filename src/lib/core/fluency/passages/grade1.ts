import type { Passage } from '.';

/** Passages of the first grade. The first is the one of screenings; a series of weeks goes on with the others. */
export const GRADE_1: readonly Passage[] = [
	{
		grade: 1,
		title: 'The Crab and the Tub',
		paragraphs: [
			'Sam had a yellow tub, and he took it down to the sand. The sun was hot. Sam dug a very big hole.',
			'He saw a little green crab in the hole. “Come into my tub,” said Sam. The crab did not want to come. It ran to the left and it ran to the right. Then it hid under the wet sand.',
			'Sam sat down to wait and did not move at all. Up came one leg, and up came one funny eye. The crab looked at Sam, and Sam looked at the crab.',
			'“You can stay here,” said Sam. “This is your home.” He filled the yellow tub with shells. Then he carried it back up the path to his mother.'
		]
	},
	{
		grade: 1,
		title: 'A Hat for Gran',
		paragraphs: [
			'Gran lost her red hat. “It was on my head,” she said, “and now it is gone.” Amir got down to look under the bed, but he only saw a sock and a yellow ball.',
			'They looked in the kitchen and they looked all over the yard. The cat sat on the step and licked one foot. “Did you take it?” asked Amir. The cat did not say.',
			'Then Amir looked up. A big black bird sat in the tree with the red hat under it. “She made a bed of it,” said Gran. “There are eggs in my hat!”',
			'So Gran let the bird family keep it. Amir gave her his blue hat, and it fit her well.'
		]
	},
	{
		grade: 1,
		title: 'The Bus Is Late',
		paragraphs: [
			'Lena and her father stood at the bus stop, and it was wet and cold. “When will it come?” asked Lena. “Soon,” said her father.',
			'A man came with a very big dog, and a girl came with a little drum. They all stood together and looked up the road, but no bus came.',
			'The girl began to tap on her drum. Tap, tap, tap. The man clapped his hands. The dog ran around in a ring and Lena had to laugh. She jumped up and down together with the others, and she was not cold any more.',
			'Then the bus came at last. “Must we go?” said Lena. “Can we wait for the next one?”'
		]
	},
	{
		grade: 1,
		title: 'Six Beans',
		paragraphs: [
			'Miss Ode gave every child six beans and a pot. Tomas put his beans in the mud and set the pot in a sunny window, and every day he gave it water.',
			'One week went by. Pia had a plant, and so did Ben. Tomas had mud. “My beans are bad,” he said.',
			'“Give them time,” said Miss Ode. “Beans do not all wake up at once.”',
			'The next day he saw a tiny bit of green with a bent back, like a man in bed. By noon it stood up and had two leaves. Tomas did not run to tell them. He sat by his pot and said, “Good morning.”'
		]
	},
	{
		grade: 1,
		title: 'Moon in the Cup',
		paragraphs: [
			'Kai could not sleep, so he got up and went to the kitchen. His mother sat there with a cup of milk. “You can have some,” she said.',
			'Kai looked into his cup, and there was a tiny white moon in the milk. He moved the cup over to the left and the moon went with it. He drank and drank until the milk was gone. The moon was gone too.',
			'“I drank the moon!” said Kai. His mother took him to the window. The moon was big and round, up over the roof. “You left some for the rest of us,” she said. Then Kai went back to bed.'
		]
	}
];
