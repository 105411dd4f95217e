import { z } from 'zod';
import { Colour, Length } from '../values/values';

/** The little symbols on a bar. By appearance they are dark on light screens and light on dark ones. */
export const BarSymbols = z.enum(['by-appearance', 'dark', 'light']);
export type BarSymbols = z.infer<typeof BarSymbols>;

/** A bar without a colour is see-through. */
const look = { colour: Colour.optional(), symbols: BarSymbols.optional() };
export const Bars = z.strictObject({
  status: z.strictObject({ shown: z.boolean(), ...look }),
  /** the app's own bar, under the status bar; its height in lu */
  title: z.strictObject({ shown: z.boolean(), height: z.number().nonnegative(), ...look }),
  navigation: z.strictObject({ shown: z.boolean(), style: z.enum(['gesture', 'buttons']), ...look }),
});
export type Bars = z.infer<typeof Bars>;

export const Margin = z.strictObject({ left: Length, right: Length, top: Length, bottom: Length });
export type Margin = z.infer<typeof Margin>;
