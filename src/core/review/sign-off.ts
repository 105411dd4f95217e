import { z } from 'zod';
import type { Documents } from '../project/documents';
import { readDocuments } from '../project/migrate';
import { Screen } from '../screens/screen';
import { canonicalJson, sha256Of } from './digest';
import { Review } from './schema';

/** Of this schema; a reader refuses another one. */
const SIGN_OFF_SCHEMA = 'sign-off/1';

/** What somebody says who signs off. */
export const SignOffAsked = z.object({
  id: z.uuid().describe('made by whoever signs off, so that what is sent twice is signed once'),
  by: z.string().trim().min(1, 'Say who signs off.').max(80, 'A name has at most 80 characters.'),
  why: z.string().trim().max(400, 'The reason has at most 400 characters.').default(''),
  revision: z.int().nonnegative().describe('that was looked at'),
});
export type SignOffAsked = z.infer<typeof SignOffAsked>;

const Hex = z.string().regex(/^[0-9a-f]{64}$/);

/** As it is kept: of the documents and the review only the seal says whether they are what was signed. */
const Kept = SignOffAsked.extend({
  schema: z.literal(SIGN_OFF_SCHEMA),
  version: z.string(),
  at: z.iso.datetime(),
  documents: z.object({
    project: z.looseObject({ id: z.string() }),
    scenes: z.record(z.string(), z.unknown()),
  }),
  screens: z.array(Screen),
  review: z.looseObject({ version: z.string() }),
  seal: z.object({ parts: z.record(z.string(), Hex), digest: Hex }),
});
type Kept = z.infer<typeof Kept>;

/** A project as it was when somebody signed it off. */
export interface SignOff extends Pick<SignOffAsked, 'id' | 'by' | 'why' | 'revision'> {
  /** of the product that judged it */
  version: string;
  /** when, ISO 8601 */
  at: string;
  documents: Documents;
  /** every screen that it was looked at on */
  screens: Screen[];
  /** `null` where it is of a form that is not read any more */
  review: Review | null;
  /** SHA-256 of the seal of all parts, in hexadecimal */
  digest: string;
}

/** What cannot be read as a sign-off, or is not as it was signed. */
export class SignOffFault extends Error {
  constructor(message: string) {
    super(message);
    this.name = 'SignOffFault';
  }
}

const SAID = 'who signed it, when and why';

/** The parts of a sign-off by what they are called, so that one that was changed can be named. */
function partsOf({ seal: _, documents, screens, review, ...said }: Kept): Map<string, unknown> {
  const scenes = Object.entries(documents.scenes).map(([id, scene]) => {
    const { name = id } = (scene ?? {}) as { name?: string };
    return [`the scene “${name}” (${id})`, scene] as const;
  });
  return new Map<string, unknown>([
    [SAID, said],
    ['the project', documents.project],
    ...scenes,
    ['the screens', screens],
    ['the review', review],
  ]);
}

/** Source: FIPS 180-4, over JSON with sorted keys. */
function sealOf(parts: ReadonlyMap<string, unknown>): Kept['seal'] {
  const sealed: Record<string, string> = {};
  for (const [name, part] of parts) sealed[name] = sha256Of(canonicalJson(part));
  return { parts: sealed, digest: sha256Of(canonicalJson(sealed)) };
}

/** Freezes a project under a digest. @returns it as text, in which nothing may be changed any more */
export function sealed(frozen: Omit<SignOff, 'digest' | 'review'> & { review: Review }): string {
  // As it will be read again: without what is not there.
  const kept = JSON.parse(JSON.stringify({ schema: SIGN_OFF_SCHEMA, ...frozen })) as Kept;
  return JSON.stringify({ ...kept, seal: sealOf(partsOf(kept)) });
}

/** What of a sign-off is not as it was signed, by its names. */
function brokenParts(kept: Kept): string[] {
  const { parts, digest } = sealOf(partsOf(kept));
  const was = kept.seal.parts;
  const names = new Set([...Object.keys(parts), ...Object.keys(was)]);
  const broken = [...names].filter((name) => parts[name] !== was[name]);
  return broken.length === 0 && digest !== kept.seal.digest ? ['its seal'] : broken;
}

function parsed(text: string): Kept {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    throw new SignOffFault('This is no sign-off: it is not JSON, or it was cut short.');
  }
  const kept = Kept.safeParse(json);
  if (!kept.success) {
    const where = kept.error.issues[0]?.path.join('.');
    throw new SignOffFault(
      `This is no sign-off of this form, “${SIGN_OFF_SCHEMA}”${where ? `: “${where}” is missing or damaged` : ''}.`,
    );
  }
  // What the schema does not name is a part of what was signed too.
  return { ...(json as Kept) };
}

/**
 * Reads a sign-off and holds it against its seal.
 * @throws SignOffFault that names what was changed since it was signed; NewerSchema, ZodError
 */
export function openSignOff(text: string): SignOff {
  const kept = parsed(text);
  const broken = brokenParts(kept);
  if (broken.length > 0)
    throw new SignOffFault(
      `This sign-off of ${kept.at.slice(0, 10)} is not as it was signed: ${broken.join(', ')} changed since. Take it from an archive or a copy of the store in which it is whole.`,
    );
  const { id, by, why, revision, version, at, screens, seal } = kept;
  const review = Review.safeParse(kept.review);
  return {
    id,
    by,
    why,
    revision,
    version,
    at,
    documents: readDocuments(kept.documents),
    screens,
    review: review.success ? review.data : null,
    digest: seal.digest,
  };
}

/** As much of it as says which files it names; what cannot be read names none. */
const Naming = z.object({
  documents: z.object({
    project: z.object({
      pictures: z.array(
        z.object({ cuts: z.array(z.object({ renditions: z.array(z.object({ hash: Hex })) })) }),
      ),
      fonts: z.array(z.object({ hash: Hex })).default([]),
      evidence: z.array(z.object({ hash: Hex, picture: Hex })).default([]),
    }),
  }),
});

/** The hashes of everything that a sign-off is drawn with, and of its screenshots, whether it is as it was signed or not. */
export function filesOfSignOff(text: string): { pictures: string[]; fonts: string[] } {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return { pictures: [], fonts: [] };
  }
  const { data } = Naming.safeParse(json);
  if (!data) return { pictures: [], fonts: [] };
  const { pictures, fonts, evidence } = data.documents.project;
  const files = pictures.flatMap((p) => p.cuts.flatMap((c) => c.renditions.map((r) => r.hash)));
  const hashes = [...files, ...evidence.flatMap((e) => [e.hash, e.picture])];
  return { pictures: [...new Set(hashes)], fonts: fonts.map((f) => f.hash) };
}

/** A sign-off as it is kept: text of which nothing may be changed. */
export interface KeptSignOff {
  id: string;
  text: string;
}

/** What a list says of a sign-off. */
export const SignOffSummary = SignOffAsked.omit({ why: true }).extend({
  why: z.string(),
  at: z.iso.datetime().describe('when, ISO 8601'),
  version: z.string().describe('of the product that judged it'),
  digest: Hex.describe('SHA-256 of the seal of all parts'),
  found: z
    .object({ fail: z.int().nonnegative(), warn: z.int().nonnegative(), accepted: z.int().nonnegative() })
    .nullable()
    .describe('numbers of findings, as they were then'),
});
export type SignOffSummary = z.infer<typeof SignOffSummary>;
