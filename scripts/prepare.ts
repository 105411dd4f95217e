import { getDb, migrateDb } from '../src/server/db/client';
import { seedDemo } from '../src/server/seed';
import { storeFolder } from '../src/server/settings';

/** Before the server starts: tables up to date, the demo in an empty store. */
await migrateDb(getDb(), storeFolder());
if (await seedDemo()) console.log(`The demo project was put into ${storeFolder()}.`);
getDb().$client.close();
