import { z } from 'zod';
import { SOURCES } from '../findings/finding';
import { OUTCOMES } from '../measure/judge';
import { MeasureSide } from '../measure/limit';

/** Of this schema; a reader refuses another one. */
export const SINCE_SCHEMA = 'since/1';

export const DIRECTIONS = ['worse', 'better', 'other'] as const;
export type Direction = (typeof DIRECTIONS)[number];

/** A case at two times, or where both differ. */
export const SHOWN = ['then', 'now', 'difference'] as const;

const Name = z.object({ id: z.string(), name: z.string() });
const count = z.int().nonnegative();

/** A measure of one subject on one case, at one time. */
const Figure = z.object({
  value: z.number().nullable().describe('null where it is not known, or the measure does not apply'),
  outcome: z.enum(OUTCOMES).describe('clear also where it is accepted'),
});
export type Figure = z.infer<typeof Figure>;

const OnCase = z.object({
  caseId: z.string().nullable().describe('null where it holds whatever the screen is'),
  before: Figure.nullable().describe('null on a case that was not looked at then'),
  after: Figure,
});
export type OnCase = z.infer<typeof OnCase>;

const Difference = z.object({
  id: z.string(),
  source: z.enum(SOURCES),
  in: Name.describe('the scene, the launch or the picture'),
  subject: Name.describe('the layer, the bar, the stage or the files'),
  word: z.string().describe('what is or was wrong, in words that stand after the name of the subject'),
  measure: z.string(),
  side: MeasureSide.optional(),
  direction: z.enum(DIRECTIONS),
  cases: z.array(OnCase),
  where: z.string().describe('what these cases have in common'),
  weight: z.number().nonnegative().describe('share of all weight that these cases have'),
  worst: OnCase.describe('on which most has changed'),
  said: z.string().describe('the figure there, before and after'),
  causes: z
    .array(count)
    .describe('numbers of the changes that it comes from; none where several do together'),
});
export type Difference = z.infer<typeof Difference>;

const Cases = z.object({
  worse: count,
  better: count.describe('and nothing on them is worse'),
  differs: count.describe('drawn otherwise, and judged as before'),
  same: count,
  added: count.describe('that were not looked at then'),
  gone: count.describe('that are not looked at any more'),
});
export type CaseClasses = z.infer<typeof Cases>;

const Stand = z.object({ revision: count, digest: z.string() });

/** What has changed in a project since it was signed off: plain data, the same to the byte for the same two states. */
export const Since = z
  .object({
    schema: z.literal(SINCE_SCHEMA),
    version: z.string().describe('of the product that compared'),
    project: Name,
    signOff: Stand.extend({ id: z.string(), by: z.string(), why: z.string(), at: z.string() }),
    now: Stand,
    changes: z.array(
      z.object({
        title: z.string().describe('what was changed'),
        before: z.string(),
        after: z.string(),
      }),
    ),
    parts: z.array(Name.extend({ source: z.enum(SOURCES), cases: Cases })).describe('scenes and launches'),
    differences: z.array(Difference).describe('what got worse first, the weightiest of each first'),
  })
  .meta({ title: 'What has changed since a sign-off' });
export type Since = z.infer<typeof Since>;
