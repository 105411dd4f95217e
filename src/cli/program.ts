import { readFileSync } from 'node:fs';
import { Command, CommanderError, Option } from 'commander';
import { describe } from '@/core/words/problems';
import { REVIEW_FORMAT_IDS } from '@/formats/all';
import { PRODUCT_VERSION } from '@/core/review/version';
import { z } from 'zod';
import { check, type CheckAsked, type Io } from './check';
import { runConformance } from './conformance/run';
import { exportProject } from './export';

const EXAMPLES = `
Examples:
  coulee check ./splash                           a folder that coulee export has written
  coulee check --store ./store --project Ferries  a project of a store, also while a server uses it
  coulee check ./splash --as csv --out found.csv  the findings as a table

Exit codes: 0 nothing is wrong, or nothing that --fail-on names; 1 something is; 2 it could not be checked.`;

/** @param end hears the exit code of a command */
function programFor(io: Io, end: (code: number) => void): Command {
  const program = new Command('coulee')
    .description(
      'Checks how splash logos and background images sit on many screens, without a browser or a server',
    )
    .version(PRODUCT_VERSION)
    .addHelpText('after', EXAMPLES)
    .exitOverride()
    .configureOutput({ writeOut: io.out, writeErr: io.err });

  program
    .command('check [folder]')
    .description('judge a project: every scene, every launch and all files, on all screens')
    .option('--store <dir>', 'the folder of a store')
    .option('--project <name>', 'its name or its id in the store; may be left out where there is one')
    .addOption(
      new Option('--as <format>', 'how it is written; as text when absent').choices(REVIEW_FORMAT_IDS),
    )
    .option('--out <file>', 'where it is written to instead of standard output')
    .addOption(
      new Option('--fail-on <outcome>', 'the least outcome that ends with 1')
        .choices(['fail', 'warn'])
        .default('warn'),
    )
    .addHelpText('after', EXAMPLES)
    .action(async (folder: string | undefined, options: Omit<CheckAsked, 'folder'>) => {
      end(await check({ ...options, folder }, io));
    });

  program
    .command('export')
    .description('write a project of a store into a folder: documents as JSON, files beside them')
    .requiredOption('--store <dir>', 'the folder of the store')
    .option('--project <name>', 'its name or its id; may be left out where there is one')
    .requiredOption('--out <dir>', 'the folder; an earlier export in it is replaced')
    .action(({ store, project, out }: { store: string; project?: string; out: string }) => {
      io.out(`${exportProject(store, project, out)} files were written to ${out}.\n`);
    });

  program
    .command('conformance <file>')
    .description('compare the cases of a JSON-lines file with what the core computes')
    .action((file: string) => {
      const { passed, failed, skipped, misses } = runConformance(readFileSync(file, 'utf8'));
      for (const line of misses) io.out(`${line}\n`);
      io.out(`${passed} passed, ${failed} failed, ${skipped} skipped\n`);
      end(failed > 0 ? 1 : 0);
    });
  return program;
}

/** What went wrong, in words. */
function sayFault(error: unknown): string {
  if (error instanceof z.ZodError) return `The documents are damaged: ${describe(error)}`;
  return error instanceof Error ? error.message : String(error);
}

/**
 * Carries out what a command line asks for.
 * @param args without the names of the runtime and of the program
 * @returns the exit code: 0, 1 where something was found, 2 where it could not be carried out
 */
export async function run(args: readonly string[], io: Io): Promise<number> {
  let code = 0;
  try {
    await programFor(io, (ended) => (code = ended)).parseAsync(args, { from: 'user' });
    return code;
  } catch (error) {
    // What was asked for wrongly has been said by then, and help is no fault.
    if (error instanceof CommanderError) return error.exitCode === 0 ? 0 : 2;
    io.err(`${sayFault(error)}\n`);
    return 2;
  }
}
