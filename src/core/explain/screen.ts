import { sayNumber } from '../words/numbers';
import { worked } from '../words/worked';
import { distances, type Axis, type Side } from '../geometry/rect';
import type { Rotation, Screen } from '../screens/screen';
import { isPortrait, isSideways, orientationOf, turn } from '../screens/turn';
import { safeInsets, shownBars } from '../screens/regions';
import { AXIS_WORDS } from '../sentences/words';
import { reason, type MetricNote, type Reason } from './reason';
import type { Context } from './context';

const lying = (screen: Screen, rotation: Rotation) =>
  isPortrait(orientationOf(screen, rotation)) ? 'portrait' : 'landscape';

function note({ prepared }: Context, label: string, fields: readonly string[]): MetricNote {
  const { confidence, origin, approximate } = prepared.turned.screen;
  return { label, confidence, origin, approximate: fields.some((f) => approximate.includes(f)) };
}

/** Width or height of the screen as it is turned. */
export function whyScreen(context: Context, axis: Axis): Reason {
  const { turned } = context.prepared;
  const { screen, rotation } = turned;
  const along = isSideways(rotation) === (axis === 'x') ? 'height' : 'width';
  const px = screen.framebufferPx[along];
  const word = AXIS_WORDS[axis].extent;
  const { given, result } = worked([px, { value: screen.density, least: 3 }], (a, b) => a / b);
  return reason(
    `The screen’s ${word} is ${result} in ${lying(screen, rotation)}: ${given[0]} px ÷ ${given[1]} px per lu.`,
    [],
    { metric: note(context, `${word} and density of the screen`, ['width', 'height', 'density']) },
  );
}

const BAR_WORDS = { status: 'status bar', title: 'title bar', navigation: 'navigation bar' } as const;

/** How far the safe area stands off one side, and how far it does when the screen is held the other way. */
export function whyInset(context: Context, side: Side): Reason {
  const { prepared, input } = context;
  const { turned, regions } = prepared;
  const { screen, rotation } = turned;
  const inset = distances(regions.safe, regions.screen)[side];
  const across: Rotation = rotation === 0 || rotation === 180 ? 90 : 0;
  const turnedOther = screen.rotates ? safeInsets(turn(screen, across), input.scene.bars)[side] : null;
  const otherwise =
    turnedOther === null || Math.abs(turnedOther - inset) < 0.05
      ? ''
      : ` In ${lying(screen, across)} it is ${sayNumber(turnedOther)}.`;
  return reason(
    `The safe area stands ${sayNumber(inset)} off the screen’s ${side} in ${lying(screen, rotation)}.${otherwise}`,
    [],
    {
      metric: note(context, `inset at the ${side} in ${lying(screen, rotation)}`, [
        'insets',
        'cutouts',
        'systemBars',
      ]),
    },
  );
}

/** What the visible bars take off one side; nothing where none stands. */
export function whyBars(context: Context, side: Side): Reason[] {
  const { prepared, input } = context;
  const bars = shownBars(prepared.turned, input.scene.bars).filter((b) => b.side === side);
  const list = bars.map((b) => `${BAR_WORDS[b.kind]} ${sayNumber(b.depth)}`).join(', ');
  if (bars.length === 0) return [];
  const part = { layerId: null, path: ['bars'] };
  const metric = note(context, `bars at the ${side}`, ['systemBars']);
  return [reason(`The content area begins inside the bars at the ${side}: ${list}.`, [], { part, metric })];
}
