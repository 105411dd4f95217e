import type { LaunchFinding } from './findings';
import type { LaunchMender } from './mend-kit';
import { bars, flash, jump } from './mends-between';
import { cut, heldShorter } from './mends-times';
import { masked, outside } from './mends-windows';
import { room } from './room';

/** What may help against each rule; to be tried. */
export const LAUNCH_MENDERS: Record<LaunchFinding['measure'], LaunchMender> = {
  flash,
  jump,
  'bar-change': bars,
  'held-too-long': heldShorter,
  'fade-cut-short': cut,
  'outside-stage': (sick) => [...room(sick), ...outside(sick)],
  'icon-masked': masked,
};
