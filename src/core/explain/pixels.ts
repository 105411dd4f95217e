import { sayDecimals, sayPixels, sayShare, sayTimes } from '../words/numbers';
import { exact, worked } from '../words/worked';
import { right, bottom, type Side } from '../geometry/rect';
import { drawnLayer, type AskedLayer, type Context } from './context';
import { whyDrawnEdge, whyScale } from './drawn';
import { whyFile } from './file';
import { reason, type Reason } from './reason';

/** How many px of the file are decoded for one that is drawn. */
export function whyExcess(context: Context, asked: AskedLayer): Reason {
  const { measures, placement } = drawnLayer(context, asked.layer.id);
  const choice = context.prepared.chosen.get(asked.layer.id);
  if (!choice || measures.excess === null) return reason('It is not drawn from the pixels of a file.');
  const { rendition } = choice;
  if (rendition.vector) return reason('A vector has no pixels to spare.');
  const { density } = context.prepared.turned.screen;
  const { width, height } = placement.drawn;
  const { widthPx, heightPx } = rendition;
  const { given, result } = worked(
    [width * density, height * density],
    (w, h) => Math.min(widthPx / w, heightPx / h),
    sayTimes,
  );
  return reason(
    `The file has ${widthPx} × ${heightPx} px, and ${given[0]} × ${given[1]} px are drawn: ${result} as many along the nearer axis.`,
    [whyFile(context, asked), whyScale(context, asked)],
    { part: { layerId: asked.layer.id, path: ['picture'] } },
  );
}

/** How much of the drawing lies outside its box and is seen all the same. */
export function whySpill(context: Context, asked: AskedLayer): Reason {
  const { measures } = drawnLayer(context, asked.layer.id);
  return reason(
    `${sayShare(measures.spill)} of the drawing of ${asked.layer.name} lies outside its box, and nothing cuts it off there.`,
    [whyScale(context, asked)],
  );
}

/** How far an edge lies off the lines of the device’s grid. */
export function whySubPixel(context: Context, asked: AskedLayer, side: Side): Reason {
  const { placement } = drawnLayer(context, asked.layer.id);
  const { drawn } = placement;
  const { density } = context.prepared.turned.screen;
  const at = { left: drawn.x, right: right(drawn), top: drawn.y, bottom: bottom(drawn) }[side];
  const offGrid = worked(
    [{ value: exact(at * density), least: 2 }],
    (px) => Math.abs(px - Math.round(px)),
    sayPixels,
  );
  const decimals = offGrid.given[0]!.split('.')[1]?.length ?? 0;
  const { given, result } = worked(
    [at, { value: density, least: 3 }],
    (a, b) => a * b,
    (px) => sayDecimals(px, decimals),
  );
  return reason(
    `The ${side} of the drawing lies at ${given[0]} lu, which is ${result} px of the device at ${given[1]} px per lu: ${offGrid.result} px off its grid. It is drawn on the nearest line.`,
    [whyDrawnEdge(context, asked, side)],
  );
}
