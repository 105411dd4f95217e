import { z } from 'zod';
import { Hash } from '@/core/pictures/picture';
import { Reading } from '@/core/screens/measured';
import type { Drawing } from '@/render/drawing';

const wholePx = z.int().positive().max(100_000);

/** A drawing as it is sent: its commands are passed on as they are. */
const SentDrawing = z.object({
  size: z.object({ width: wholePx, height: wholePx }),
  commands: z.array(z.looseObject({ kind: z.string() })).max(10_000),
});

/** What a real screen shows: pictures one after another, each for so long; the last one stays until it begins again. */
export const Shown = z.object({
  name: z.string().max(200).describe('what it is of'),
  files: z
    .array(z.object({ hash: Hash, widthPx: wholePx, heightPx: wholePx }))
    .max(500)
    .describe('the files that are drawn'),
  pictures: z
    .array(z.object({ ms: z.number().nonnegative().max(60_000), drawing: SentDrawing }))
    .min(1)
    .max(2000),
});
export type Shown = z.infer<typeof Shown>;

/** A picture that is shown, as it was drawn. */
export interface ShownPicture {
  ms: number;
  drawing: Drawing;
}

/** What is sent: drawings as the painter makes them. */
export interface Showing extends Omit<Shown, 'pictures'> {
  pictures: ShownPicture[];
}

/** A drawing is a list of interfaces, which TypeScript takes for no records. */
export const asSent = (showing: Showing): Shown => showing as unknown as Shown;

/** A screen that has come by the address. */
export const Visitor = z.object({
  id: z.string(),
  since: z.iso.datetime(),
  readings: z.array(Reading).describe('the best of each position'),
  now: Reading.nullable().describe('as it is held; null until it has been read'),
  connected: z.boolean().describe('whether it is waiting for what is to be shown'),
});
export type Visitor = z.infer<typeof Visitor>;

/** Whether real screens are let in, and which have come. */
export const RealScreens = z.discriminatedUnion('on', [
  z.object({
    on: z.literal(false),
    networks: z.array(z.string()).describe('addresses of this machine under which others reach it'),
  }),
  z.object({
    on: z.literal(true),
    networks: z.array(z.string()),
    address: z.string().nullable().describe('for one screen to come by once; null when it was used'),
    until: z.iso.datetime().describe('when all of it is switched off'),
    visitors: z.array(Visitor),
  }),
]);
export type RealScreens = z.infer<typeof RealScreens>;
