import { getDb, migrateDb } from '../src/server/db/client';
import { seedDemo } from '../src/server/seed';
import { upgradeProjects } from '../src/server/services/upgrade';
import { sweep } from '../src/server/sweep';
import { storeFolder } from '../src/server/settings';

/** Before the server starts: tables up to date, nothing left over, the demo in an empty store. */
await migrateDb(getDb(), storeFolder());
for (const problem of await upgradeProjects(storeFolder()))
  console.error(`A project could not be read, and is left as it is. ${problem}`);
await sweep();
if (await seedDemo()) console.log(`The demo project was put into ${storeFolder()}.`);
getDb().$client.close();
