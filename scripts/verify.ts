import { getDb } from '../src/server/db/client';
import { verifyStore } from '../src/server/services/verify';
import { storeFolder } from '../src/server/settings';

/** Reads every file of the store and says which are not what was stored; ends with 1 when there is one. */
const { checked, lost } = await verifyStore(true);
for (const { hash, why } of lost) console.log(`${hash}  ${why}`);
console.log(
  lost.length === 0
    ? `All ${checked} files in ${storeFolder()} are as they were stored.`
    : `${lost.length} of ${checked} files in ${storeFolder()} are not. Import them again: they are then put back.`,
);
getDb().$client.close();
process.exitCode = lost.length > 0 ? 1 : 0;
