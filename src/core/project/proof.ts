import { z } from 'zod';
import { Hash } from '../pictures/picture';
import { Id } from '../values/values';

const off = z.number().nullable();
const position = z.number().finite();

/** How far a layer lies in a real screenshot from where it is ruled, device px. */
const Found = z.object({
  x: position,
  y: position,
  edges: z.object({ left: off, right: off, top: off, bottom: off }),
});

/** A real screenshot that was held against a case, and what it said. */
export const Evidence = z.object({
  id: z.string().min(1).max(80),
  scene: Id,
  case: z.string().min(1).max(200),
  name: z.string().max(400).describe('what the file is called'),
  hash: Hash.describe('of the screenshot'),
  picture: Hash.describe('of the picture that marks in which px both differ'),
  at: z.string().max(40).describe('when it was held against the case, ISO 8601'),
  revision: z.int().nonnegative().describe('of the project that it was held against'),
  /** screenshot px per px of the screen: 1 for one that was not made smaller */
  scale: z.number().positive(),
  ignored: z
    .array(z.object({ x: position, y: position, width: position, height: position }))
    .max(60)
    .describe('what was not looked at, lu'),
  layers: z
    .array(
      z.object({
        id: Id,
        name: z.string().max(200),
        agrees: z.boolean(),
        found: Found.nullable().describe(
          'how far it lies from where it is ruled; null where too little of it is seen',
        ),
      }),
    )
    .max(200),
  opinion: z.string().max(4000),
  differing: z.number().min(0).max(1).describe('share of what was looked at that differs'),
});
export type Evidence = z.infer<typeof Evidence>;

/** One look at a real device: what of the list it is, for which target, whether it was found right, and what was noticed. */
export const DeviceCheck = z.object({
  check: z.string().min(1).max(60),
  target: z.string().min(1).max(80),
  done: z.boolean(),
  note: z.string().max(1000),
  /** when it was ticked, or noted last, ISO 8601 */
  at: z.string().max(40),
  /** who did; nobody has said when absent */
  by: z.string().max(80).optional(),
});
export type DeviceCheck = z.infer<typeof DeviceCheck>;

/** The hashes of all files that proof is made of: screenshots, and where they differ. */
export const filesOfProof = ({ evidence = [] }: { evidence?: readonly Evidence[] }): string[] => [
  ...new Set(evidence.flatMap((e) => [e.hash, e.picture])),
];

/** Whether everything that is seen in a screenshot is where it is ruled. */
export const isAsRuled = ({ layers }: Evidence): boolean => layers.every((l) => l.agrees || l.found === null);

/** Those of a screen, whichever scene and position they are of. */
export const evidenceOn = (evidence: readonly Evidence[], screenIds: ReadonlySet<string>): Evidence[] =>
  evidence.filter((e) => screenIds.has(e.case.replace(/\.\d+\.(light|dark)$/, '')));
