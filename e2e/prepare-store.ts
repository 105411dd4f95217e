import { readFile } from 'node:fs/promises';
import { DEMO_PROJECT } from '../demo/documents';
import { getDb, migrateDb } from '../src/server/db/client';
import { keepFont } from '../src/server/importing/font';
import { seedDemo } from '../src/server/store/seed';
import { createProject, loadProject } from '../src/server/services/projects';
import { storeFolder } from '../src/server/settings';
import { filesOf } from '../src/core/project/documents';
import { statistics } from '../src/server/services/pictures';
import { fewScreens } from './few-screens';
import { agreementDocuments } from './agreement-scenes';

const ARABIC = 'node_modules/@fontsource/markazi-text/files/markazi-text-arabic-400-normal.woff2';

/** What the browser tests find in their store besides the demo. */
await migrateDb(getDb(), storeFolder());
await seedDemo();
const arabic = await keepFont(await readFile(ARABIC), 'arabic.woff2');
const { documents } = loadProject(DEMO_PROJECT);
createProject(fewScreens(documents));
// What the pixels say is worked out once, and not by every test that is the first to ask.
for (const hash of filesOf(documents.project.pictures)) await statistics(hash);
createProject(agreementDocuments(documents, arabic));
getDb().$client.close();
