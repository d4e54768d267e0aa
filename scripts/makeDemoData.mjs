// Makes the demo school's data in the folder that is named: `node scripts/makeDemoData.mjs FOLDER`.
import { makeDemoData } from './demoServer.mjs';

await makeDemoData(process.argv[2]);
