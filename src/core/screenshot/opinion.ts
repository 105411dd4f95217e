import { sayNumber, sayShare } from '../words/numbers';
import { capitalised } from '../words/words';
import { NOISE_SHARE, SILENT_STATES, type LayerState } from '../project/proof';
import type { Displaced, Located } from './locate';
import type { Unexplained } from './unexplained';

/** A layer as it was looked for in a screenshot. */
export interface Placed {
  id: string;
  name: string;
  located: Located;
}

/** Px that nobody sees, and that no resampling and no encoder keeps to. */
export const SEEN_PX = 0.75;
/** Shares of its size that nobody sees. */
const SEEN_SCALE = 0.01;

const px = (value: number) => `${sayNumber(Math.abs(Math.round(value * 2) / 2))} px`;

const sizes = ({ left, right, top, bottom }: Displaced['edges']) => ({
  width: left === null || right === null ? 0 : right - left,
  height: top === null || bottom === null ? 0 : bottom - top,
});

/** What is other about the place or size of a layer than it is ruled, such as “3 px lower”; nothing where it agrees. */
function elsewhereOf({ x, y, edges, scale }: Displaced): string[] {
  const { width, height } = sizes(edges);
  // A size is the difference of two edges, each of which may be off by what is not seen.
  const isSize = (by: number) => scale === 1 && Math.abs(by) > 2 * SEEN_PX;
  const across = Math.abs(x) > SEEN_PX && `${px(x)} further to the ${x > 0 ? 'right' : 'left'}`;
  const down = Math.abs(y) > SEEN_PX && `${px(y)} ${y > 0 ? 'lower' : 'further up'}`;
  // Where the middle of something of another size lies says little.
  return [
    isSize(width) ? `${px(width)} ${width > 0 ? 'wider' : 'narrower'}` : across,
    isSize(height) ? `${px(height)} ${height > 0 ? 'taller' : 'shorter'}` : down,
  ].filter((said) => said !== false);
}

const isScaled = ({ scale }: Displaced) => Math.abs(scale - 1) > SEEN_SCALE;

/** Whether a layer was found where, as large, and in the colours in which it is ruled. */
export const agrees = ({ located }: Pick<Placed, 'located'>): boolean =>
  located.state === 'found' &&
  elsewhereOf(located.at).length === 0 &&
  !isScaled(located.at) &&
  !located.at.recoloured;

/** What is said of a layer that was found otherwise than it is ruled. */
function sayFound(name: string, at: Displaced): string | null {
  const elsewhere = elsewhereOf(at);
  const said = [
    isScaled(at) ? `at ${sayShare(at.scale)} of its size` : null,
    at.recoloured ? 'in other colours' : null,
    elsewhere.length > 0 ? `${elsewhere.join(' and ')} than ruled` : null,
  ].filter((w) => w !== null);
  return said.length === 0 ? null : `${name} ${said.join(', ')}`;
}

const STATE_WORDS: Record<Exclude<LayerState, 'found'>, string> = {
  'not-found': 'is not found',
  'out-of-reach': 'lies further from its place than is searched',
  'left-out': 'was left out',
  unseen: 'is not seen in its drawing either',
};

function sayState({ name, located }: Placed): string | null {
  return located.state === 'found' ? sayFound(name, located.at) : `${name} ${STATE_WORDS[located.state]}`;
}

/**
 * In one sentence or two what a screenshot says of a case: “Wordmark 3 px lower than ruled; everything else agrees.” What was not
 * looked at, and what nothing of the case explains, is said as well.
 */
export function opinionOf(layers: readonly Placed[], rest: Unexplained): string {
  const loud = layers.filter((l) => !SILENT_STATES.includes(l.located.state));
  const off = loud.filter((l) => !agrees(l));
  const silent = layers.filter((l) => SILENT_STATES.includes(l.located.state));
  const isNothing = loud.length > 0 && loud.every((l) => l.located.state === 'not-found');
  const isStrange = rest.share > NOISE_SHARE;
  const agreeing = loud.length - off.length;
  const sentences: string[] = [];
  if (isNothing) sentences.push('Nothing of the scene can be made out in it.');
  else if (off.length > 0) {
    const others = agreeing > 0 && !isStrange ? '; everything else that is looked for agrees' : '';
    sentences.push(`${off.map((l) => sayState(l)!).join(', ')}${others}.`);
  } else if (loud.length > 0)
    sentences.push(
      isStrange
        ? 'What is looked for is where it is ruled.'
        : 'Everything that is looked for agrees with the rules.',
    );
  if (silent.length > 0) sentences.push(`${silent.map((l) => sayState(l)!).join(', ')}.`);
  if (isStrange && rest.where !== null)
    sentences.push(
      `${sayShare(rest.share)} of what is looked at is explained by nothing in the case, most of it at the ${rest.where}.`,
    );
  if (sentences.length === 0) sentences.push('Nothing of the scene is looked for in it.');
  return sentences.map(capitalised).join(' ');
}
