import { getDb, migrateDb } from '../src/server/db/client';
import { seedDemo } from '../src/server/seed';
import { sweep } from '../src/server/sweep';
import { storeFolder } from '../src/server/settings';

/** Before the server starts: tables up to date, nothing left over, the demo in an empty store. */
await migrateDb(getDb(), storeFolder());
await sweep();
if (await seedDemo()) console.log(`The demo project was put into ${storeFolder()}.`);
getDb().$client.close();
