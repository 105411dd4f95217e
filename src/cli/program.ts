import { readFileSync } from 'node:fs';
import { Command, CommanderError, Option } from 'commander';
import { describe } from '@/core/words/problems';
import { REVIEW_FORMAT_IDS } from '@/formats/all';
import { PRODUCT_VERSION } from '@/core/review/version';
import { z } from 'zod';
import { check, type CheckAsked, type Io } from './check';
import { runConformance } from './conformance/run';
import { BUDGET_FOR, ENCODED_AS } from '@/formats/files/encoding';
import { DEFAULT_PATTERN } from '@/formats/files/names';
import { exportProject } from './export';
import { files, type FilesAsked } from './files';
import { icons, type IconsAsked } from './icons';
import { importProject } from './import';
import { render, type RenderAsked } from './render';
import { report, type ReportAsked } from './report';
import { screens, type ScreensAsked } from './screens';
import { page, sheet, type SheetAsked } from './sheet';
import { SHEET_FORMAT_IDS } from '@/formats/sheet/all';

const EXAMPLES = `
Examples:
  coulee check ./splash --fail-on fail --as junit --out splash.xml
        judge a folder that coulee export has written, for the list of tests of a build
  coulee check --store ./store --project Ferries --scene "Winter splash" --target tablets
        one scene on tablets alone, of a store, also while a server uses it
  coulee check ./splash --against last --fail-on worse
        let a build fail where anything got worse since the last sign-off
  coulee sheet ./splash --scene "Winter splash" --out splash.md
        everything of a scene that is typed into an app

Exit codes: 0 nothing is wrong, or nothing that --fail-on names; 1 something is; 2 it could not be carried out.`;

/** What every command takes that is about a project. */
const ofProject = (command: Command): Command =>
  command
    .option('--store <dir>', 'the folder of a store')
    .option('--project <name>', 'its name or its id in the store; may be left out where there is one')
    .option('--target <set>', 'for which screens: all, phones, tablets …, or those of a target of a launch')
    .option('--out <file>', 'where it is written to instead of standard output');

function addCheck(program: Command, io: Io, end: (code: number) => void): void {
  ofProject(program.command('check [folder]'))
    .description('judge a project: every scene, every launch and all files, on all screens')
    .option('--scene <name>', 'one scene alone, by its name or its id')
    .addOption(
      new Option('--as <format>', 'how it is written; as text when absent').choices(REVIEW_FORMAT_IDS),
    )
    .addOption(
      new Option(
        '--fail-on <outcome>',
        'what ends with 1: warn when absent; worse where something got worse since a sign-off, which is usual with --against',
      ).choices(['fail', 'warn', 'worse']),
    )
    .option('--against <sign-off>', 'compare it with a sign-off: last, its id, or its file')
    .addHelpText('after', EXAMPLES)
    .action(async (folder: string | undefined, options: Omit<CheckAsked, 'folder'>) => {
      end(await check({ ...options, folder }, io));
    });
}

function addReport(program: Command, io: Io): void {
  ofProject(program.command('report [folder]'))
    .description('write how a project stands as one page: findings, pictures, what is accepted and why')
    .option('--scene <name>', 'one scene alone, by its name or its id')
    .action((folder: string | undefined, options: Omit<ReportAsked, 'folder'>) =>
      report({ ...options, folder }, io),
    );
}

function addScene(program: Command, io: Io): void {
  ofProject(program.command('sheet [folder]'))
    .description('write everything of a scene that is typed into an app: lengths, colours, files, times, CSS')
    .option('--scene <name>', 'the scene, by its name or its id')
    .option(
      '--case <case>',
      'a case of your choice besides the usual screens, such as phone-360x800-3x.0.light',
    )
    .addOption(new Option('--as <format>', 'how it is written').choices(SHEET_FORMAT_IDS).default('md'))
    .action((folder: string | undefined, options: Omit<SheetAsked, 'folder'>) =>
      sheet({ ...options, folder }, io),
    );
  ofProject(program.command('page [folder]'))
    .description('write a scene as a page of HTML and CSS that lays itself out on any screen')
    .option('--scene <name>', 'the scene, by its name or its id')
    .action((folder: string | undefined, options: Omit<Parameters<typeof page>[0], 'folder'>) =>
      page({ ...options, folder }, io),
    );
}

function addFiles(program: Command, io: Io, end: (code: number) => void): void {
  ofProject(program.command('files [folder]'))
    .description(
      'take all files of the pictures that scenes show out, named by a pattern, or check a folder of them',
    )
    .option(
      '--pattern <pattern>',
      'of names: {name} {density} {appearance} {cut} {width} {height}, / for folders, [ ] around what goes without saying',
      DEFAULT_PATTERN,
    )
    .option(
      '--check <folder>',
      'say what is missing, surplus or wrong in a folder of them; ends with 1 where anything is',
    )
    .option('--heaviest <kB>', 'with --check, what no file may be heavier than')
    .addOption(new Option('--as <type>', 'encode them anew; vectors stay as they are').choices(ENCODED_AS))
    .option('--quality <1..100>', 'with --as, at which quality; 80 when neither it nor a budget is said')
    .option('--budget <kB>', 'with --as, at the best quality that keeps within it')
    .addOption(
      new Option('--for <what>', 'with --budget, what it is for; the set when absent').choices(BUDGET_FOR),
    )
    .action(async (folder: string | undefined, options: Omit<FilesAsked, 'folder'>) => {
      end(await files({ ...options, folder }, io));
    });
}

function addDrawing(program: Command, io: Io): void {
  ofProject(program.command('icons [folder]'))
    .description('draw all files of an icon, for the sets of slots that the project makes its icons for')
    .option('--scene <name>', 'the icon, by its name or its id; may be left out where there is one')
    .action((folder: string | undefined, options: Omit<IconsAsked, 'folder'>) =>
      icons({ ...options, folder }, io),
    );
  ofProject(program.command('render [folder]'))
    .description('draw cases of a scene as PNG at the px of their screens, or as a contact sheet')
    .option('--scene <name>', 'the scene, by its name or its id')
    .option('--case <cases...>', 'cases, such as phone-360x800-3x.0.light; all when absent')
    .option('--sheet', 'a contact sheet, PNG or PDF by the ending of --out; of the telling cases')
    .option('--all', 'on a contact sheet: all cases that can be told apart')
    .action((folder: string | undefined, options: Omit<RenderAsked, 'folder'>) =>
      render({ ...options, folder }, io),
    );
  ofProject(program.command('screens [folder]'))
    .description('list the screens of a project')
    .addOption(new Option('--as <format>', 'how it is written; as text when absent').choices(['json']))
    .action((folder: string | undefined, options: Omit<ScreensAsked, 'folder'>) =>
      screens({ ...options, folder }, io),
    );
}

function addTaking(program: Command, io: Io): void {
  program
    .command('export [folder]')
    .description('write a project into a folder, documents as JSON and files beside them, or into a .zip')
    .option('--store <dir>', 'the folder of a store')
    .option('--project <name>', 'its name or its id in the store; may be left out where there is one')
    .requiredOption('--out <place>', 'a folder, in which an earlier export is replaced, or a .zip')
    .action((folder: string | undefined, options: { store?: string; project?: string; out: string }) =>
      exportProject({ ...options, folder }, io),
    );
  program
    .command('import <place>')
    .description('take a project into a store, from a folder or a .zip')
    .requiredOption('--store <dir>', 'the folder of the store, which no server is using')
    .action((place: string, { store }: { store: string }) => importProject(place, store, io));
}

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
  addCheck(program, io, end);
  addReport(program, io);
  addScene(program, io);
  addFiles(program, io, end);
  addDrawing(program, io);

  addTaking(program, io);

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
