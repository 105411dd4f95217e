import { z } from 'zod';
import { checkAspectCase } from './aspect-cases';
import { checkFitCase, FIT_KINDS } from './fit-cases';
import { checkPlacingCase } from './placing-cases';
import type { Verdict } from './report';

const Kinded = z.object({
  id: z.string(),
  kind: z.string().optional(),
  rule: z.object({ kind: z.string() }).optional(),
});

export interface ConformanceResult {
  passed: number;
  failed: number;
  skipped: number;
  /** one line for each case that misses a tolerance */
  misses: string[];
}

function check(json: unknown, kind: string | undefined): Verdict {
  if (kind === 'placing') return checkPlacingCase(json);
  if (kind === 'aspect-box') return checkAspectCase(json);
  return FIT_KINDS.includes(kind ?? '') ? checkFitCase(json) : 'skipped';
}

/**
 * Compares every case of a file with what the core computes.
 * @param text one JSON object a line
 */
export function runConformance(text: string): ConformanceResult {
  const result: ConformanceResult = { passed: 0, failed: 0, skipped: 0, misses: [] };
  for (const [index, line] of text.split('\n').entries()) {
    if (line.trim() === '') continue;
    let id = `line ${index + 1}`;
    try {
      const json: unknown = JSON.parse(line);
      const c = Kinded.parse(json);
      id = c.id;
      const verdict = check(json, c.kind ?? c.rule?.kind);
      if (verdict === 'skipped') result.skipped++;
      else if (verdict.length === 0) result.passed++;
      else throw new Error(verdict.join('; '));
    } catch (error) {
      result.failed++;
      result.misses.push(`${id}: ${error instanceof Error ? error.message : String(error)}`);
    }
  }
  return result;
}
