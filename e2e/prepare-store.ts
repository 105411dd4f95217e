import { DEMO_PROJECT } from '../demo/documents';
import { getDb, migrateDb } from '../src/server/db/client';
import { seedDemo } from '../src/server/seed';
import { createProject, loadProject } from '../src/server/services/projects';
import { storeFolder } from '../src/server/settings';
import { agreementDocuments } from './agreement-scenes';

/** What the browser tests find in their store besides the demo. */
await migrateDb(getDb(), storeFolder());
await seedDemo();
createProject(agreementDocuments(loadProject(DEMO_PROJECT).documents));
getDb().$client.close();
