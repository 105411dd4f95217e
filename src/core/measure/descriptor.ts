import type { Side } from '../geometry/rect';
import { LAYER_ROLES, type LayerRole } from '../scene/scene';
import type { Measures } from './measures';
import type { Figure } from './read';
import type { MeasureSide } from './side';
import type { Unit } from './units';

/** What a limit is for: layers of a role, the bars of the system, or the scene as a whole. */
export const LIMIT_ROLES = [...LAYER_ROLES, 'bar', 'scene'] as const;
export type LimitRole = (typeof LIMIT_ROLES)[number];

/** What is wrong; the word stands after the name of what it is wrong with. */
export interface Rule {
  id: string;
  word: string;
}

/** What is wrong, and of a measure that is limited at both ends what is wrong at each. */
export interface MeasureRule extends Rule {
  under?: Rule;
  over?: Rule;
}

/** A limit that a project starts with. */
export interface StartLimit<Role extends LimitRole> {
  roles: readonly Role[];
  side?: MeasureSide;
  min?: number;
  max?: number;
  outcome: 'fail' | 'warn';
  reason: string;
  /** the version of the documents from which on projects have it: to older ones it is added as they are read */
  since?: number;
}

/** The figures of one layer of which it can be said where they come from. */
export type FigureName =
  | 'drawn-width'
  | 'drawn-height'
  | 'scale'
  | 'crop'
  | 'bare'
  | 'bare-screen'
  | 'distortion'
  | 'enlargement'
  | 'excess'
  | 'sub-pixel'
  | 'spill'
  | 'clearance'
  | 'clearance-screen'
  | 'under-cutout'
  | 'outside-corner'
  | 'under-bar'
  | 'across-fold'
  | 'share-width'
  | 'share-height'
  | 'width-mm'
  | 'font-size'
  | 'file'
  | 'keep'
  | 'contrast'
  | 'off-centre'
  | 'overlap'
  | 'collapse'
  | 'missing-letters';

/** What may help against what is found, each a way to think up changes. */
export type MenderName =
  | 'asLargeAsSharp'
  | 'barSigns'
  | 'below'
  | 'besideTheHinge'
  | 'centreByInk'
  | 'fillTheScreen'
  | 'hide'
  | 'intoTheSafeArea'
  | 'larger'
  | 'largerFiles'
  | 'largerPicture'
  | 'mendWhatItLeansOn'
  | 'moreLines'
  | 'oneGround'
  | 'otherCut'
  | 'otherFits'
  | 'otherFont'
  | 'otherInk'
  | 'ownExtent'
  | 'pairGround'
  | 'readableType'
  | 'scrim'
  | 'smaller'
  | 'smallerType'
  | 'solvedPosition'
  | 'toTheBottom'
  | 'toTheScreen'
  | 'toTheTop'
  | 'withoutLetters';

interface Described<Id extends string, Role extends LimitRole> {
  id: Id;
  /** said before a figure: “crop” 65.3 % */
  word: string;
  /** what it is called where no figure follows */
  noun: string;
  unit: Unit;
  /** whether a smaller value is the worse one */
  lessIsWorse?: true;
  /** whether it is taken on each side */
  sided?: true;
  rule: MeasureRule;
  limits: readonly StartLimit<Role>[];
  /** the figures of a screen that it hinges on, which may be approximate */
  hinges: readonly string[];
  /**
   * Whether a limit on it means anything in a slot of an icon, which has no bars and any size; every one does when absent.
   * `alone` says that a glyph stands on nothing there.
   */
  inSlots?: (limit: Pick<StartLimit<Role>, 'min' | 'max'>, alone: boolean) => boolean;
  /** the likeliest first */
  mends: readonly MenderName[];
}

/** What there is to know of one measure of a layer. */
export interface LayerDescriptor<Id extends string = string> extends Described<Id, LayerRole> {
  of: 'layer';
  /** the roles of layers that have it; all of them when absent */
  roles?: readonly LayerRole[];
  /**
   * What reads its figure. Without a side a measure of losses gives its total and a distance its smallest side.
   */
  read: (side?: MeasureSide) => Figure;
  /** the figure whose reasons say most about it */
  why: FigureName;
  /** what is to be said before those, of the case on which it is worst */
  first?: (m: Measures) => string[];
  /** the same on one case in words of its own, where more can be said than the word and the figure: “Lighthouse cut off” */
  onCase?: (m: Measures) => string | null;
  /** the side on which it shows most, where its figure does not find that itself */
  shownOn?: (m: Measures) => Side;
  /** whether it is about where and how large a layer is, which its box decides rather than how it is drawn in there */
  placed?: true;
}

/** What there is to know of one measure of the bars, or of a case as a whole. */
export interface WholeDescriptor<Id extends string = string> extends Described<Id, 'bar' | 'scene'> {
  of: 'bar' | 'scene';
  why: string;
}

/** @returns the same, with its id known to the compiler */
export const layerMeasure = <Id extends string>(
  described: Omit<LayerDescriptor<Id>, 'of'>,
): LayerDescriptor<Id> => ({ of: 'layer', ...described });

/** @returns the same, with its id known to the compiler */
export const wholeMeasure = <Id extends string>(described: WholeDescriptor<Id>): WholeDescriptor<Id> =>
  described;
