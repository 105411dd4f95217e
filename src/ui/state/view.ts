import { z } from 'zod';
import { Appearance } from '@/core/scene/values';
import { OUTCOMES } from '@/core/measure/judge';
import { ORIENTATIONS } from '@/core/screens/turn';
import { KIND_GROUPS } from '@/core/screens/kinds';

export const LENSES = ['screens', 'fits', 'findings', 'sizes'] as const;

const RATIOS = /^(\d+(?:\.\d+)?)-(\d+(?:\.\d+)?)$/;

/** What of a project is looked at: kept in the address, so that a link shows the same thing. */
export const View = z.object({
  lens: z.enum(LENSES).catch('screens'),
  case: z.string().optional().catch(undefined),
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
  guides: z
    .literal('on')
    .transform(() => true)
    .optional()
    .catch(undefined),
});
export type View = z.infer<typeof View>;

/** Reads a view from the parts of an address; what cannot be read is left at its default. */
export const readView = (params: Record<string, unknown>): View => View.parse(params);

/** The ratios that a view is narrowed to; `null` for all. */
export function ratiosOf({ ratios }: View): { low: number; high: number } | null {
  const match = RATIOS.exec(ratios ?? '');
  return match && { low: Number(match[1]), high: Number(match[2]) };
}

/** The same view of the other screens: the case goes along into the appearance. */
export const withAppearance = (view: View, appearance: Appearance): View => ({
  ...view,
  appearance,
  case: view.case?.replace(/(light|dark)$/, appearance),
});

/** The view as the query of an address, without what is at its default. */
export function writeView(view: View): string {
  const params = new URLSearchParams();
  for (const [key, value] of Object.entries(view)) {
    if (value && !(key === 'appearance' && value === 'light') && value !== 'screens')
      params.set(key, value === true ? 'on' : value);
  }
  const text = params.toString();
  return text ? `?${text}` : '';
}
