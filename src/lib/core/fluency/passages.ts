/** A passage for reading aloud, written for this product. */
export interface Passage {
	/** The grade it is for, 1–6. */
	grade: number;
	title: string;
	paragraphs: string[];
}

/** One passage a grade. How hard each is to read is measured by `readingGrade`. */
export const PASSAGES: readonly Passage[] = [
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
		grade: 6,
		title: 'Counting What You Cannot See',
		paragraphs: [
			'How many eels live in a river? Nobody can simply count them, because eels hide during the day and stay away from bright light. Scientists therefore use a clever method that depends on arithmetic instead of good eyes. They catch a number of eels, mark each one without hurting it, and let them go. After several weeks, when the marked eels have mixed with the others, they set the traps again.',
			'Suppose that fifty eels were marked, and that the second catch holds forty eels, of which ten carry a mark. One quarter of the catch is marked, so it is fair to suppose that one quarter of all the eels in the river are marked as well. If fifty eels are a quarter, there must be about two hundred.',
			'The calculation is simple, but the ideas behind it deserve a second look. Marked eels must be as easy to catch as the others; an eel that remembers the trap and avoids it would make the number come out too large. No eels may arrive or leave between the two catches, and the marks must not wash off. Careful scientists test each of these conditions before they print a result.',
			'Above all, they never report a number without saying how uncertain it is. Forty eels are a small sample, and another catch might easily contain seven marked eels, or thirteen. An honest answer is a range, together with the evidence for it.'
		]
	}
];

/** The passage for a grade; grades above the last passage's read that one. */
export function passageFor(grade: number): Passage {
	return PASSAGES.findLast((passage) => passage.grade <= grade) ?? PASSAGES[0];
}

/** The words of a passage in reading order, each with the number of its paragraph. Marks of punctuation stay on them. */
export function passageWords({ paragraphs }: Passage): { text: string; paragraph: number }[] {
	return paragraphs.flatMap((text, paragraph) => text.split(/\s+/).map((word) => ({ text: word, paragraph })));
}
