import { z } from 'zod';
import { Hash } from '../pictures/picture';
import { Id } from '../values/values';

const off = z.number().nullable();
const position = z.number().finite();

/**
 * What a screenshot says of a layer: it is found; it is not; it lies no nearer than is searched; it is not looked at, as what it
 * covers is left out; or nothing of it is seen in its drawing either.
 */
export const LAYER_STATES = ['found', 'not-found', 'out-of-reach', 'left-out', 'unseen'] as const;
export type LayerState = (typeof LAYER_STATES)[number];
/** Those in which a layer says nothing for or against a screenshot. */
export const SILENT_STATES: readonly LayerState[] = ['left-out', 'unseen'];

/** Share of what is looked at in a screenshot that encoding and resampling leave unexplained at most. */
export const NOISE_SHARE = 0.004;

/** How far a layer lies in a real screenshot from where it is ruled, device px. */
const Found = z.strictObject({
  x: position,
  y: position,
  edges: z.strictObject({ left: off, right: off, top: off, bottom: off }),
  scale: z.number().positive().optional().describe('its size beside the one that it is ruled; 1 when absent'),
  recoloured: z.boolean().optional().describe('whether it has other colours than it is drawn in'),
});

/** A real screenshot that was held against a case, and what it said. */
export const Evidence = z.strictObject({
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
    .array(z.strictObject({ x: position, y: position, width: position, height: position }))
    .max(60)
    .describe('what was not looked at, lu'),
  layers: z
    .array(
      z.strictObject({
        id: Id,
        name: z.string().max(200),
        agrees: z.boolean(),
        state: z
          .enum(LAYER_STATES)
          .optional()
          .describe('what became of the search for it; not known where an earlier version has looked'),
        found: Found.nullable().describe(
          'how far it lies from where it is ruled; null where it is not found',
        ),
      }),
    )
    .max(200),
  opinion: z.string().max(4000),
  differing: z.number().min(0).max(1).describe('share of what was looked at that differs'),
  unexplained: z
    .number()
    .min(0)
    .max(1)
    .optional()
    .describe(
      'share of what was looked at that nothing in the case explains; not known of an earlier version',
    ),
});
export type Evidence = z.infer<typeof Evidence>;

/** One look at a real device: what of the list it is, for which target, whether it was found right, and what was noticed. */
export const DeviceCheck = z.strictObject({
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

type Looked = Evidence['layers'][number];

/** Whether a layer speaks for a screenshot, or was not looked at. What an earlier version did not find it had not looked at. */
const isFine = ({ agrees, state, found }: Looked): boolean =>
  agrees || (state === undefined ? found === null : SILENT_STATES.includes(state));

/** Whether everything that was looked for in a screenshot is where it is ruled, and nothing else is seen in it. */
export const isAsRuled = ({ layers, unexplained = 0 }: Evidence): boolean =>
  unexplained <= NOISE_SHARE && layers.every(isFine);

/** Those of a screen, whichever scene and position they are of. */
export const evidenceOn = (evidence: readonly Evidence[], screenIds: ReadonlySet<string>): Evidence[] =>
  evidence.filter((e) => screenIds.has(e.case.replace(/\.\d+\.(light|dark)$/, '')));
