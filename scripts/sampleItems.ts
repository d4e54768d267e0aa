/** npm run items:sample [-- seed]: sixty items drawn from all families, to be read one by one. */
import { describeAnswer, misconceptions } from '../src/lib/core/items';
import { itemFamilies, itemFrom } from '../src/lib/core/items/bank';
import { seededRandom } from '../src/lib/core/random';

const COUNT = 60;
const seed = Number(process.argv[2] ?? 1);
const random = seededRandom(seed);
for (let n = 1; n <= COUNT; n++) {
	const item = itemFrom(random.pick(itemFamilies).id, random.integer(0, 99_999));
	const { response, figure } = item;
	console.log(`\n${n}. ${item.skillCode} ${item.familyId} (${item.seed}), ${response.kind}`);
	console.log(`   ${item.stem}`);
	if (figure) console.log(`   figure: ${JSON.stringify(figure)}`);
	if ('options' in response) console.log(`   options: ${response.options.join(' | ')}`);
	if (response.kind === 'line') console.log(`   line from ${response.from} to ${response.to} by ${response.step}`);
	console.log(`   key: ${describeAnswer(item, item.key)}`);
	console.log(`   hint: ${item.hint}`);
	console.log(`   solution: ${item.solution.join(' / ')}`);
	for (const { answer, misconception } of item.expectedErrors)
		console.log(`   ${describeAnswer(item, answer)}: ${misconceptions[misconception].shows}`);
}
