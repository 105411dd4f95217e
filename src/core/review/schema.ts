import { z } from 'zod';
import { SOURCES } from '../findings/finding';
import { OUTCOMES } from '../measure/judge';
import { MeasureSide } from '../measure/limit';

/** Of this schema; a reader refuses another one. */
export const REVIEW_SCHEMA = 'review/1';

const Name = z.object({ id: z.string(), name: z.string() });
const Outcome = z.enum(OUTCOMES);
const Broken = z.enum(['fail', 'warn']);
const share = z.number().nonnegative();

const ReviewLimit = z.object({
  min: z.number().optional(),
  max: z.number().optional(),
  outcome: Broken.describe('of what is beyond'),
  reason: z.string().optional(),
});

export const ReviewFinding = z
  .object({
    id: z.string().describe('the same for as long as it is the same thing on the same subject'),
    source: z.enum(SOURCES),
    in: Name.describe('the scene, the launch or the picture'),
    subject: Name.describe('the layer, the bar, the stage or the files'),
    rule: z.string().describe('what is wrong'),
    word: z.string().describe('the same in words that stand after the name of the subject'),
    measure: z.string(),
    side: MeasureSide.optional(),
    outcome: Outcome.describe('the worst that is not accepted; clear where all of it is'),
    limits: z.array(ReviewLimit),
    cases: z
      .array(
        z.object({
          caseId: z.string(),
          value: z.number(),
          by: z.number().describe('how far beyond its limit, in the unit of the measure'),
          outcome: Broken,
          accepted: z.string().optional().describe('why it is accepted there'),
        }),
      )
      .describe('none where it holds whatever the screen is'),
    weight: share.describe('share of all weight that its open cases have'),
    worst: z.object({
      caseId: z.string().nullable(),
      value: z.number(),
      limit: ReviewLimit,
      target: z.string().nullable().optional().describe('whose first window it is'),
    }),
    said: z.string().describe('the worst in words'),
    hingesOn: z.array(z.string()).describe('approximate figures of screens that it rests on'),
    approximate: z.int().nonnegative().describe('number of its cases that rest on them'),
    accepted: z.string().nullable().describe('why it is accepted, where it is on all of its cases'),
    part: z
      .object({ layerId: z.string().nullable(), path: z.array(z.union([z.string(), z.number()])) })
      .optional()
      .describe('the part of a rule that causes it'),
  })
  .meta({ id: 'Finding' });
export type ReviewFinding = z.infer<typeof ReviewFinding>;

const Counts = z
  .object({ fail: z.int().nonnegative(), warn: z.int().nonnegative(), clear: z.int().nonnegative() })
  .meta({ id: 'Counts' });

const Shares = z.object({ fail: share, warn: share, clear: share });

const Found = z
  .object({ fail: z.int().nonnegative(), warn: z.int().nonnegative(), accepted: z.int().nonnegative() })
  .meta({ id: 'Found' });
export type FoundCounts = z.infer<typeof Found>;

const Judged = Name.extend({
  counts: Counts.describe('numbers of cases by outcome'),
  weights: Shares.describe('shares of all weight by outcome'),
  found: Found.describe('numbers of findings'),
  findings: z.array(ReviewFinding),
});

const OfScene = Judged.extend({ role: z.string().describe('what the scene stands for') });
const OfPicture = Name.extend({ found: Found, findings: z.array(ReviewFinding) });

/** The judgement of a whole project: plain data, the same to the byte for the same documents, files, screens and version. */
export const Review = z
  .object({
    schema: z.literal(REVIEW_SCHEMA),
    version: z.string().describe('of the product that made it'),
    project: Name,
    revision: z.int().nonnegative(),
    digest: z.string().describe('SHA-256 of documents, screens and version, in hexadecimal'),
    screens: z.int().nonnegative().describe('number of screens'),
    set: z.string().optional().describe('the set of screens that is in use; all screens when absent'),
    weightsFrom: z
      .string()
      .optional()
      .describe('where weights are from; those that come with the catalogue when absent'),
    cases: z.int().nonnegative().describe('number of cases that are judged'),
    scenes: z.array(OfScene),
    launches: z.array(Judged),
    files: z.array(OfPicture).describe('of every picture'),
    notChecked: z.array(z.object({ what: z.string(), why: z.string() })),
  })
  .meta({ title: 'Review of a project' });
export type Review = z.infer<typeof Review>;
