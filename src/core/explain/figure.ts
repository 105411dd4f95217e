import { sayNumber, sayRatio, sayShare, sayTimes } from '../words/numbers';
import { worked } from '../words/worked';
import { MM_PER_INCH } from '../measure/share';
import { sayLetters } from '../words/words';
import { extent, type Axis, type Side } from '../geometry/rect';
import { AXIS_WORDS } from '../sentences/words';
import type { Case } from '../screens/cases';
import type { SurveyInput } from '../survey/prepare';
import { whyExtent } from './box';
import { askedLayer, contextOf, drawnLayer, type AskedLayer, type Context } from './context';
import { whyContrast } from './contrast';
import { AXIS_OF, whyDrawn, whyDrawnEdge, whyScale } from './drawn';
import { whyAcrossFold, whyClearance, whyUnder } from './edges';
import { whyFile } from './file';
import { whyExcess, whySpill, whySubPixel } from './pixels';
import { whySeenEdge } from './seen';
import { whyOffCentre, whyOverlap } from './together';
import type { FigureName } from '../measure/descriptor';
import { reason, type AskedFigure, type Reason } from './reason';
import { whyInset, whyScreen } from './screen';

function whyCrop(context: Context, asked: AskedLayer, side?: Side): Reason {
  const { measures, placement } = drawnLayer(context, asked.layer.id);
  const { crop } = measures;
  if (!crop) return reason('Of a repeated picture no crop is counted: some copy is nearly always cut.');
  const { visible, drawn } = placement;
  if (!side) {
    const { given, result } = worked(
      [visible?.width ?? 0, visible?.height ?? 0, drawn.width, drawn.height],
      (w, h, wide, high) => 1 - (w * h) / (wide * high),
      sayShare,
    );
    const seen = visible ? `${given[0]} × ${given[1]}` : 'nothing';
    return reason(`${result} of the area is hidden: ${seen} is seen of ${given[2]} × ${given[3]}.`, [
      whyDrawn(context, asked, 'x'),
      whyDrawn(context, asked, 'y'),
    ]);
  }
  const axis = AXIS_OF[side];
  const whole = extent(drawn, axis);
  const { given, result } = worked([crop[side] * whole, whole], (a, b) => a / b, sayShare);
  return reason(
    `${result} of the drawn ${AXIS_WORDS[axis].extent} is hidden at the ${side}: ${given[0]} of ${given[1]}.`,
    [whyDrawnEdge(context, asked, side)],
  );
}

function whyBareScreen(context: Context, asked: AskedLayer, side?: Side): Reason {
  const { bareScreen } = drawnLayer(context, asked.layer.id).measures;
  if (side)
    return reason(
      `${sayNumber(bareScreen.distance[side])} are bare between the screen’s ${side} and the drawing.`,
      [whySeenEdge(context, asked, side)],
    );
  const sides = (['left', 'right', 'top', 'bottom'] as const).filter((s) => bareScreen.distance[s] > 0.05);
  return reason(
    `${sayShare(bareScreen.total)} of the screen’s area is not covered.`,
    sides.map((s) => whyBareScreen(context, asked, s)),
  );
}

function whyShare(context: Context, asked: AskedLayer, axis: Axis): Reason {
  const { measures } = drawnLayer(context, asked.layer.id);
  const share = axis === 'x' ? measures.share.width : measures.share.height;
  const word = AXIS_WORDS[axis].extent;
  const whole = extent(context.prepared.regions.screen, axis);
  const { given, result } = worked([share * whole, whole], (a, b) => a / b, sayShare);
  return reason(`What is seen takes ${result} of the screen’s ${word}: ${given[0]} of ${given[1]}.`, [
    whyDrawn(context, asked, axis),
    whyScreen(context, axis),
  ]);
}

function whyEnlarged(context: Context, asked: AskedLayer): Reason {
  const { placement } = drawnLayer(context, asked.layer.id);
  const choice = context.prepared.chosen.get(asked.layer.id);
  if (!choice) return reason('It is drawn sharp at any size.');
  const { rendition } = choice;
  if (rendition.vector) return reason('A vector is drawn sharp at any size.');
  const { density } = context.prepared.turned.screen;
  const { widthPx, heightPx } = rendition;
  const { width, height } = placement.drawn;
  const { given, result } = worked(
    [width * density, height * density],
    (w, h) => Math.max(w / widthPx, h / heightPx),
    sayRatio,
  );
  return reason(
    `${given[0]} × ${given[1]} px are drawn from ${widthPx} × ${heightPx} px: ${result} for one.`,
    [whyScale(context, asked), whyScreen(context, 'x')],
    { part: { layerId: asked.layer.id, path: ['picture'] } },
  );
}

function whyDistorted(context: Context, asked: AskedLayer): Reason {
  const { scale } = drawnLayer(context, asked.layer.id).placement;
  return reason(`It is drawn ${sayTimes(scale.x)} across and ${sayTimes(scale.y)} down.`, [
    whyScale(context, asked),
  ]);
}

function whyBare(context: Context, asked: AskedLayer): Reason {
  const { measures } = drawnLayer(context, asked.layer.id);
  return reason(`The drawing leaves ${sayShare(measures.bare?.total ?? 0)} of its box empty.`, [
    whyScale(context, asked),
  ]);
}

function whyCollapsed(context: Context, asked: AskedLayer): Reason {
  const { box } = drawnLayer(context, asked.layer.id);
  const axes = (['x', 'y'] as const).filter((a) => extent(box, a) <= 0);
  return reason(
    `The box of ${asked.layer.name} is ${sayNumber(box.width)} × ${sayNumber(box.height)}: nothing of it is seen.`,
    axes.map((a) => whyExtent(context, asked, a)),
  );
}

function whyMillimetres(context: Context, asked: AskedLayer): Reason {
  const { screen } = context.prepared.turned;
  const { share } = drawnLayer(context, asked.layer.id).measures;
  const width = share.width * context.prepared.regions.screen.width;
  const { panelPx, framebufferPx, density, ppi } = screen;
  if (!ppi)
    return reason('How many px of the panel an inch has is not known.', [whyShare(context, asked, 'x')]);
  const { given, result } = worked(
    [width, { value: density, least: 3 }, ppi],
    (lu, each, perInch) => ((lu * each * (panelPx.width / framebufferPx.width)) / perInch) * MM_PER_INCH,
  );
  const resampled =
    panelPx.width === framebufferPx.width
      ? ''
      : ` × ${panelPx.width} px of the panel for ${framebufferPx.width}`;
  return reason(
    `It is ${result} mm wide: ${given[0]} lu are seen across × ${given[1]} px per lu${resampled} ÷ ${given[2]} px of the panel per inch × ${MM_PER_INCH} mm.`,
    [whyShare(context, asked, 'x')],
  );
}

function whyFontSize(context: Context, asked: AskedLayer): Reason {
  const { layer } = asked;
  const drawn = drawnLayer(context, layer.id);
  if (layer.kind !== 'text' || drawn.kind !== 'text') return reason('Only a text has a font size.');
  const { box, fontSize, shortened } = drawn;
  const part = { layerId: layer.id, path: ['style'] };
  const room = `its box of ${sayNumber(box.width)} × ${sayNumber(box.height)}`;
  const { textSize = 1 } = context.prepared.turned.screen;
  const { size } = layer.style;
  const shrunk = fontSize < size - 1e-6;
  const chosen = textSize === 1 ? '' : ` The text size of this screen is ${sayShare(textSize)}.`;
  const words =
    (shrunk
      ? `It shrinks from ${sayNumber(size)} to ${sayNumber(fontSize)} to fit ${room}.`
      : `Its type is set in ${sayNumber(fontSize)}.`) + chosen;
  const left = shortened ? ' Not all of it fits in its lines, so it ends with an ellipsis.' : '';
  const extents = (['x', 'y'] as const).map((axis) => whyExtent(context, asked, axis));
  return reason(words + left, shrunk || shortened ? extents : [], { part });
}

/** Which subjects are cut, and at which sides the picture loses something. */
function whyKept(context: Context, asked: AskedLayer): Reason {
  const { keep, crop } = drawnLayer(context, asked.layer.id).measures;
  const said = (keep ?? []).map(({ subject, lost }) => `${subject} ${sayShare(lost)}`).join(', ');
  const sides = (['left', 'right', 'top', 'bottom'] as const).filter((s) => (crop?.[s] ?? 0) > 1e-9);
  return reason(
    `Of the keep areas is not seen: ${said || 'nothing, because there is none'}.`,
    sides.map((s) => whyCrop(context, asked, s)),
  );
}

/** Which letters a text has that its font has not. */
function whyMissing(context: Context, asked: AskedLayer): Reason {
  const drawn = drawnLayer(context, asked.layer.id);
  const letters = drawn.kind === 'text' ? drawn.missing : [];
  if (letters.length === 0) return reason(`The font has every letter of ${asked.layer.name}.`);
  return reason(
    `Its font has no ${sayLetters(letters)}: a box is drawn for each. Import a font that has them, or leave them out.`,
    [],
    { part: { layerId: asked.layer.id, path: ['style'] } },
  );
}

const FIGURE_REASONS: Record<FigureName, (context: Context, asked: AskedLayer, side?: Side) => Reason> = {
  'drawn-width': (c, a) => whyDrawn(c, a, 'x'),
  'drawn-height': (c, a) => whyDrawn(c, a, 'y'),
  scale: whyScale,
  crop: whyCrop,
  bare: whyBare,
  'bare-screen': whyBareScreen,
  distortion: whyDistorted,
  enlargement: whyEnlarged,
  clearance: (c, a, side) => whyClearance(c, a, 'safe', side),
  'clearance-screen': (c, a, side) => whyClearance(c, a, 'screen', side),
  'under-cutout': (c, a) => whyUnder(c, a, 'cutout'),
  'outside-corner': (c, a) => whyUnder(c, a, 'corner'),
  'under-bar': (c, a) => whyUnder(c, a, 'bar'),
  'across-fold': whyAcrossFold,
  excess: whyExcess,
  spill: whySpill,
  'sub-pixel': (c, a, side = 'left') => whySubPixel(c, a, side),
  'share-width': (c, a) => whyShare(c, a, 'x'),
  'share-height': (c, a) => whyShare(c, a, 'y'),
  'width-mm': whyMillimetres,
  'font-size': whyFontSize,
  file: whyFile,
  keep: whyKept,
  contrast: whyContrast,
  'off-centre': whyOffCentre,
  overlap: whyOverlap,
  collapse: whyCollapsed,
  'missing-letters': whyMissing,
};

/**
 * Where a figure of a layer on one case comes from, down to the parts of rules and the metrics of the screen.
 * @throws when the layer is not placed or not drawn on the case
 */
export function explain(input: SurveyInput, c: Case, layerId: string, figure: AskedFigure): Reason {
  const context = contextOf(input, c);
  return FIGURE_REASONS[figure.name](context, askedLayer(context, layerId), figure.side);
}

/** Where a dimension of the screen itself comes from: an extent, or how far the safe area stands off a side. */
export function explainScreen(input: SurveyInput, c: Case, what: Axis | Side): Reason {
  const context = contextOf(input, c);
  return what === 'x' || what === 'y' ? whyScreen(context, what) : whyInset(context, what);
}
