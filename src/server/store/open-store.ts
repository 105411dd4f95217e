import { holdStore } from '../db/hold';
import { serverFonts } from '../fonts/fonts';
import { resumeJobs, sweepJobs } from '../jobs/jobs';
import { log } from '../log';
import { Problem } from '../problem';
import { scrubDaily } from './scrub';
import { verifyStore } from '../services/verify';
import { storeFolder } from '../settings';
import { storeFault } from '../store-faults';

/** Says which files are missing; the pages that use them say so as well. */
async function reportLost(): Promise<void> {
  const { checked, lost } = await verifyStore(false);
  if (lost.length > 0)
    log.warn(
      { lost: lost.map((l) => l.hash) },
      `${lost.length} of ${checked} files are missing from the store or cut short. Import them again: they are then put back. npm run verify reads all of them.`,
    );
}

/** What nobody refers to is closed by itself, and the store with it. */
const shared = globalThis as unknown as { couleeHold?: () => void };

/** Takes the store for this server, or ends it with the reason; then looks through its files in the background. */
export function openStore(): void {
  try {
    shared.couleeHold = holdStore(storeFolder(), process.env.ADDRESS ?? 'a server without an address');
  } catch (error) {
    const problem = error instanceof Problem ? error : storeFault(error);
    if (!problem) throw error;
    console.error(problem.message);
    process.exit(1);
  }
  // Read now, and not when somebody saves for the first time.
  serverFonts();
  resumeJobs();
  sweepJobs().catch((error: unknown) => log.error(error, 'Old results could not be put away.'));
  scrubDaily();
  reportLost().catch((error: unknown) =>
    log.error(error, 'The files of the store could not be looked through.'),
  );
}
