import type { Passage } from '.';

/** Passages of the sixth grade. The first is the one of screenings; a series of weeks goes on with the others. */
export const GRADE_6: readonly Passage[] = [
	{
		grade: 6,
		title: 'Counting What You Cannot See',
		paragraphs: [
			'How many eels live in a river? Nobody can simply count them, because eels hide during the day and stay away from bright light. Scientists therefore use a clever method that depends on arithmetic instead of good eyes. They catch a number of eels, mark each one without hurting it, and let them go. After several weeks, when the marked eels have mixed with the others, they set the traps again.',
			'Suppose that fifty eels were marked, and that the second catch holds forty eels, of which ten carry a mark. One quarter of the catch is marked, so it is fair to suppose that one quarter of all the eels in the river are marked as well. If fifty eels are a quarter, there must be about two hundred.',
			'The calculation is simple, but the ideas behind it deserve a second look. Marked eels must be as easy to catch as the others; an eel that remembers the trap and avoids it would make the number come out too large. No eels may arrive or leave between the two catches, and the marks must not wash off. Careful scientists test each of these conditions before they print a result.',
			'Above all, they never report a number without saying how uncertain it is. Forty eels are a small sample, and another catch might easily contain seven marked eels, or thirteen. An honest answer is a range, together with the evidence for it.'
		]
	},
	{
		grade: 6,
		title: 'The Trial of the Paper Airplanes',
		paragraphs: [
			'Two friends could not agree which of their paper airplanes flew farther. Mateo threw his own from the top of the stairs, and it sailed across the hall; Ingrid threw hers, and it dropped after a few meters. “That proves it,” said Mateo. Ingrid answered that it proved nothing except that he was taller.',
			'They decided to settle the question properly. Each airplane would be thrown twenty times, and a third person, who did not know whose airplane it was, would do all the throwing. To avoid any advantage from a tired arm, they drew lots for the order. Every distance was measured to the place where the nose first touched the floor.',
			'The results, which they wrote on the back of an old poster, were less clear than either of them had expected. On average Ingrid’s airplane flew half a meter farther, but both had flights that were excellent and flights that were terrible. Had they stopped after the first four throws, Mateo would have been declared the winner.',
			'They argued for a while about what half a meter was worth. Finally Ingrid suggested another twenty throws, and Mateo, to her surprise, agreed immediately. “I no longer care who is right,” he admitted. “I would only like to know whether there is a difference at all.”'
		]
	},
	{
		grade: 6,
		title: 'Words That Travel',
		paragraphs: [
			'Languages are often described as if each one lived behind a wall. Yet words have always crossed borders with the people who used them. The word for sugar, to take one, began its journey in India. Arab traders carried it to the shores of southern Europe, and it came into English by way of Italian and French. At every stop the sound changed a little, as a coin is worn smooth by many hands.',
			'New things usually bring their own names along. When the first tomatoes arrived in Europe from Mexico, the Mexican word arrived with them. Some people, however, wanted a name of their own and called the strange fruit a golden apple. In Italy it is called that to this day, although most tomatoes there are red.',
			'Now and then a word travels in a circle. English borrowed a French word for a small bag of leather and turned it into “budget,” a plan for spending money. Two hundred years later the French took it back with its new meaning, and hardly anyone noticed that it had been theirs before.',
			'If you follow a single word back through the years, you will find a map. It shows harbors and markets, wars and weddings, and cooks who needed something to write on a menu.'
		]
	},
	{
		grade: 6,
		title: 'The Quiet Inventor',
		paragraphs: [
			'When the elevator in her house was repaired for the third time in a month, Wambui began to keep a record. She noted when it stopped, on which floor, and how many people were inside. Her father found the notes rather funny. The mechanic, who had come to hate the building, did not.',
			'After six weeks there was a pattern that nobody had thought of. The elevator never failed in the morning, when it was full. It failed almost always in the early afternoon, when it stood empty for a long time. What was more, it had never once failed on a day with rain.',
			'The mechanic opened the metal box with the controls, which hung beside a window on the top floor. He held his hand against the metal and pulled it back. Between one and three o’clock the sun shone right on the box. It grew hotter and hotter inside until a safety switch turned everything off, exactly as it had been made to do.',
			'New controls would have cost several thousand dollars. Wambui asked whether a curtain might do. It was sewn from a tablecloth that same evening, and the elevator has not stopped since. The mechanic, who is not a man of many words, left her a screwdriver with a red handle.'
		]
	},
	{
		grade: 6,
		title: 'What Silence Sounds Like',
		paragraphs: [
			'Engineers who test loudspeakers work in rooms that swallow sound. The walls are covered with deep blocks of foam. The floor is a net of steel wire above still more foam, so that a visitor seems to be standing in the air. Whatever noise is made there is gone at once, without the slightest echo.',
			'Most people expect such a place to be peaceful and find out that it is not. Within a minute or two they begin to hear their own heart. Then they hear the blood moving through their ears, and sometimes a faint grinding, as of dry sand between two stones, whenever they turn their head. In other rooms these sounds are there as well, but they are hidden under all the louder ones.',
			'Visitors also say that it becomes hard to keep their balance. All day long we use echoes to judge how far away the walls are, much as we use our eyes, and never notice it. When the echoes are missing, the brain gets one message less than it is used to.',
			'Complete silence, then, is something that nobody has ever heard. As long as there is a person in the room to listen, there is at least one instrument playing, and it keeps time quite well.'
		]
	}
];
