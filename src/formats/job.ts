import { z } from 'zod';
import { SignOffAsked } from '@/core/review/sign-off';
import { STARTS } from '@/core/launch/timeline';
import { REVIEW_FORMAT_IDS } from './all';
import { Encoding } from './files/encoding';
import { DEFAULT_PATTERN } from './files/names';

/** What a server is asked to make that takes longer than a request may. */
export const JobAsked = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('film'),
    options: z.object({
      launch: z.string().min(1).max(64),
      case: z.string().min(1).max(200),
      start: z.enum(STARTS).default('cold'),
      /** of the system, as a target of the launch names them */
      versions: z.string().max(80).optional(),
      scale: z.number().positive().max(16).optional(),
      /** a picture that moves, or a ZIP of its pictures */
      as: z.enum(['webp', 'png']).default('webp'),
    }),
  }),
  z.object({
    kind: z.literal('review'),
    options: z.object({ as: z.enum(REVIEW_FORMAT_IDS).default('json') }).prefault({}),
  }),
  z.object({ kind: z.literal('sign-off'), options: SignOffAsked }),
  z.object({
    kind: z.literal('export'),
    options: z.object({
      as: z.enum(['page', 'files', 'contact-png', 'contact-pdf', 'report', 'archive', 'icons']),
      /** of what is made of a scene */
      scene: z.string().min(1).max(64).optional(),
      /** for which screens, as `screenTargets` calls them */
      target: z.string().min(1).max(200).default('all'),
      /** on a contact sheet: the few that show the extremes, all that can be told apart, or those that are named */
      cases: z
        .union([z.enum(['telling', 'all']), z.array(z.string().max(200)).min(1).max(2000)])
        .default('telling'),
      /** by which files are named */
      pattern: z.string().max(200).default(DEFAULT_PATTERN),
      /** of files: how they are encoded anew; as they are when absent */
      encoding: Encoding.optional(),
      /** of files: the paths of those that are taken; all when absent */
      only: z.array(z.string().max(400)).min(1).max(5000).optional(),
    }),
  }),
]);
export type JobAsked = z.infer<typeof JobAsked>;
/** The same as it is sent: what is left out is as usual. */
export type JobWanted = z.input<typeof JobAsked>;
export type ExportWanted = Extract<JobWanted, { kind: 'export' }>['options'];

export const JOB_STATES = ['waiting', 'running', 'done', 'failed', 'called-off'] as const;

/** How a job stands. */
export const Job = z.object({
  id: z.string(),
  kind: z.enum(['film', 'review', 'sign-off', 'export']),
  state: z.enum(JOB_STATES),
  progress: z.object({ done: z.int().nonnegative(), of: z.int().nonnegative(), doing: z.string() }),
  /** of one that is done: where its file is taken from, for a day */
  result: z
    .object({
      href: z.string(),
      name: z.string(),
      bytes: z.int().nonnegative(),
      mediaType: z.string(),
      /** what there is to say of it, such as at which quality files were encoded */
      said: z.string().optional(),
    })
    .optional(),
  /** of one that failed: what went wrong, and the way out */
  problem: z.object({ status: z.int(), detail: z.string() }).optional(),
});
export type Job = z.infer<typeof Job>;

/** Whether nothing more will come of a job. */
export const isOver = ({ state }: Pick<Job, 'state'>): boolean => state !== 'waiting' && state !== 'running';
