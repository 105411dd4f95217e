import { z } from 'zod';
import { Appearance } from '@/core/values/values';
import { OUTCOMES } from '@/core/measure/judge';
import { ORIENTATIONS } from '@/core/screens/turn';
import { COMPARED } from '@/core/findings/variants';
import { VALLEY_MEASURES } from '@/core/solve/valley';
import { KIND_GROUPS } from '@/core/screens/kinds';
import { AROUND } from '@/core/screens/free';
import { LENS_IDS } from './lenses';

/** What stands in the middle of the lens of screens. */
export const MIDDLES = ['field', 'valley', 'map', 'window', 'pair'] as const;
/** What the lens of findings lists. */
export const FINDING_ORDERS = ['cause', 'layer', 'screen', 'limits'] as const;

/** What of the launch is shown. */
export const SHOWS = ['play', 'strip', 'limits', 'checks'] as const;
/** How two cases lie. */
export const LAYOUTS = ['beside', 'over'] as const;

const SIZE = /^(\d{2,4}(?:\.\d+)?)x(\d{2,4}(?:\.\d+)?)$/;
const RATIOS = /^(\d+(?:\.\d+)?)-(\d+(?:\.\d+)?)$/;

/** On where the address says so, else absent. */
const Switch = z
  .literal('on')
  .transform(() => true)
  .optional()
  .catch(undefined);

/** What of a project is looked at: kept in the address, so that a link shows the same thing. */
export const View = z.object({
  lens: z.enum(LENS_IDS).catch('screens'),
  middle: z.enum(MIDDLES).catch('field'),
  order: z.enum(FINDING_ORDERS).catch('cause'),
  case: z.string().optional().catch(undefined),
  /** whether the field shows the telling cases, each for those like it, or all of them */
  cases: z.enum(['telling', 'all']).catch('telling'),
  /** the order of the field */
  sort: z.enum(['worst', 'ratio']).catch('worst'),
  /** a finding that is open in the list, by its id */
  open: z.string().max(300).optional().catch(undefined),
  /** a case that another one is compared with */
  pin: z.string().max(300).optional().catch(undefined),
  /** a finding whose cases alone are shown, by its id */
  finding: z.string().max(300).optional().catch(undefined),
  appearance: Appearance.catch('light'),
  kind: z
    .enum(KIND_GROUPS.map((g) => g.id))
    .optional()
    .catch(undefined),
  orientation: z.enum(ORIENTATIONS).optional().catch(undefined),
  outcome: z.enum(OUTCOMES).optional().catch(undefined),
  text: z.string().max(100).optional().catch(undefined),
  /** ratios of the background’s box that are shown, “0.45-0.6” */
  ratios: z.string().regex(RATIOS).optional().catch(undefined),
  /** for which screens a sheet is written, as `screenTargets` calls them; all when absent */
  target: z.string().max(200).optional().catch(undefined),
  /** size of the free window, lu: “800x600” */
  window: z.string().regex(SIZE).optional().catch(undefined),
  /** what stands around the content of windows of any size */
  around: z.enum(AROUND).catch('nothing'),
  /** which layer is compared, by its id, and by which part of its rule */
  layer: z.string().max(200).optional().catch(undefined),
  part: z.enum(COMPARED).catch('fit'),
  /** what is compared on: “phone-390x844-3x.0”, one after another with commas; those that tell most when absent */
  on: z.string().max(2000).optional().catch(undefined),
  /** what of the launch is shown */
  show: z.enum(SHOWS).catch('play'),
  /** which loss the strip shows; the one of which there is most when absent */
  loss: z.enum(VALLEY_MEASURES).optional().catch(undefined),
  /** how two cases lie */
  layout: z.enum(LAYOUTS).catch('beside'),
  /** a sign-off that the project is compared with, by its id */
  since: z.uuid().optional().catch(undefined),
  /** a sign-off as which the project is looked at, by its id; nothing can be changed then */
  signed: z.uuid().optional().catch(undefined),
  guides: Switch,
  /** whether the close-up takes the place of the field */
  enlarged: Switch,
});
export type View = z.infer<typeof View>;

/** Reads a view from the parts of an address; what cannot be read is left at its default. */
export const readView = (params: Record<string, unknown>): View => View.parse(params);

/** The ratios that a view is narrowed to; `null` for all. */
export function ratiosOf({ ratios }: View): { low: number; high: number } | null {
  const match = RATIOS.exec(ratios ?? '');
  return match && { low: Number(match[1]), high: Number(match[2]) };
}

/** The size of the free window, lu. */
export function windowOf({ window: size }: Pick<View, 'window'>): { width: number; height: number } {
  const match = SIZE.exec(size ?? '');
  return match ? { width: Number(match[1]), height: Number(match[2]) } : { width: 800, height: 600 };
}

export const sayWindow = ({ width, height }: { width: number; height: number }) =>
  `${Math.round(width * 100) / 100}x${Math.round(height * 100) / 100}`;

/** A view as it is in another appearance: the case that is looked at goes along. */
export const withAppearance = (view: View, appearance: Appearance): View => ({
  ...view,
  appearance,
  case: view.case?.replace(/(light|dark)$/, appearance),
});

const DEFAULTS: Record<string, unknown> = View.parse({});

/** The view as the query of an address, without what is at its default. */
export function writeView(view: View): string {
  const params = new URLSearchParams();
  for (const [key, value] of Object.entries(view)) {
    if (value && value !== DEFAULTS[key]) params.set(key, value === true ? 'on' : value);
  }
  const text = params.toString();
  return text ? `?${text}` : '';
}

/** What of a view makes it another one, to which Back leads. */
const STEPS = [
  'lens',
  'middle',
  'order',
  'open',
  'cases',
  'part',
  'layer',
  'show',
  'since',
  'enlarged',
] as const satisfies readonly (keyof View)[];

/** Whether one looks at something else, rather than at the same thing with another filter or case. */
export const isOtherView = (a: View, b: View): boolean => STEPS.some((name) => a[name] !== b[name]);
