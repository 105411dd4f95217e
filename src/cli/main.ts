import { readFileSync } from 'node:fs';
import { Command, CommanderError, Option } from 'commander';
import { describe } from '@/core/words/problems';
import { REVIEW_FORMAT_IDS } from '@/formats/all';
import { PRODUCT_VERSION } from '@/core/review/version';
import { z } from 'zod';
import { check, type CheckAsked } from './check';
import { runConformance } from './conformance/run';
import { exportProject } from './export';

const EXAMPLES = `
Examples:
  coulee check ./splash                           a folder that coulee export has written
  coulee check --store ./store --project Ferries  a project of a store, also while a server uses it
  coulee check ./splash --as csv --out found.csv  the findings as a table

Exit codes: 0 nothing is wrong, or nothing that --fail-on names; 1 something is; 2 it could not be checked.`;

const program = new Command('coulee')
  .description(
    'Checks how splash logos and background images sit on many screens, without a browser or a server',
  )
  .version(PRODUCT_VERSION)
  .addHelpText('after', EXAMPLES)
  .exitOverride();

program
  .command('check [folder]')
  .description('judge a project: every scene, every launch and all files, on all screens')
  .option('--store <dir>', 'the folder of a store')
  .option('--project <name>', 'its name or its id in the store; may be left out where there is one')
  .addOption(new Option('--as <format>', 'how it is written; as text when absent').choices(REVIEW_FORMAT_IDS))
  .option('--out <file>', 'where it is written to instead of standard output')
  .addOption(
    new Option('--fail-on <outcome>', 'the least outcome that ends with 1')
      .choices(['fail', 'warn'])
      .default('warn'),
  )
  .addHelpText('after', EXAMPLES)
  .action(async (folder: string | undefined, options: Omit<CheckAsked, 'folder'>) => {
    process.exitCode = await check({ ...options, folder });
  });

program
  .command('export')
  .description('write a project of a store into a folder: documents as JSON, files beside them')
  .requiredOption('--store <dir>', 'the folder of the store')
  .option('--project <name>', 'its name or its id; may be left out where there is one')
  .requiredOption('--out <dir>', 'the folder; an earlier export in it is replaced')
  .action(({ store, project, out }: { store: string; project?: string; out: string }) => {
    console.log(`${exportProject(store, project, out)} files were written to ${out}.`);
  });

program
  .command('conformance <file>')
  .description('compare the cases of a JSON-lines file with what the core computes')
  .action((file: string) => {
    const { passed, failed, skipped, misses } = runConformance(readFileSync(file, 'utf8'));
    for (const line of misses) console.log(line);
    console.log(`${passed} passed, ${failed} failed, ${skipped} skipped`);
    process.exitCode = failed > 0 ? 1 : 0;
  });

/** What went wrong, in words. */
function sayFault(error: unknown): string {
  if (error instanceof z.ZodError) return `The documents are damaged: ${describe(error)}`;
  return error instanceof Error ? error.message : String(error);
}

try {
  await program.parseAsync();
} catch (error) {
  // What was asked for wrongly has been said by then, and help is no fault.
  if (error instanceof CommanderError) process.exitCode = error.exitCode === 0 ? 0 : 2;
  else {
    console.error(sayFault(error));
    process.exitCode = 2;
  }
}
