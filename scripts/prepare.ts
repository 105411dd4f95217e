import { getDb, migrateDb } from '../src/server/db/client';
import { holdStore } from '../src/server/db/hold';
import { Problem } from '../src/server/problem';
import { seedDemo } from '../src/server/store/seed';
import { upgradeProjects } from '../src/server/services/upgrade';
import { storeFolder } from '../src/server/settings';
import { storeFault } from '../src/server/store-faults';
import { sweep } from '../src/server/store/sweep';

/** Before the server starts: tables up to date, nothing left over, the demo in an empty store. */
async function prepare(folder: string): Promise<void> {
  const giveBack = holdStore(folder, 'one that is about to start');
  try {
    await migrateDb(getDb(), folder);
    for (const problem of await upgradeProjects(folder))
      console.error(`A project could not be read, and is left as it is. ${problem}`);
    await sweep();
    const say = (n: number, of: number) => console.log(`Drawing the demo: picture ${n} of ${of}…`);
    if (await seedDemo(say)) console.log(`The demo project was put into ${folder}.`);
    getDb().$client.close();
  } finally {
    giveBack();
  }
}

try {
  await prepare(storeFolder());
} catch (error) {
  const problem = error instanceof Problem ? error : storeFault(error);
  if (!problem) throw error;
  console.error(`${problem.message} The store is the folder ${storeFolder()}.`);
  process.exitCode = 1;
}
