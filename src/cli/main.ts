import { readFileSync } from 'node:fs';
import { Command } from 'commander';
import { runConformance } from './conformance/run';

const program = new Command('coulee').description('Checks how pictures sit on screens, without a browser');

program
  .command('conformance <file>')
  .description('compare the cases of a JSON-lines file with what the core computes')
  .action((file: string) => {
    const { passed, failed, skipped, misses } = runConformance(readFileSync(file, 'utf8'));
    for (const line of misses) console.log(line);
    console.log(`${passed} passed, ${failed} failed, ${skipped} skipped`);
    process.exitCode = failed > 0 ? 1 : 0;
  });

try {
  await program.parseAsync();
} catch (error) {
  console.error(error instanceof Error ? error.message : error);
  process.exitCode = 2;
}
