import { extent, SIDES, type Side } from '@/core/geometry/rect';
import { sceneWith, type Documents } from '@/core/project/documents';
import type { Scene } from '@/core/scene/scene';
import type { Case } from '@/core/screens/cases';
import { surveyCase, surveyInput } from '@/core/survey/survey';
import { sayLengthOf, type Names } from '@/core/sentences/words';
import type { TextMetrics } from '@/core/text/layout';
import { plainOf, type NamedValue } from '@/core/values/values';
import { PRODUCT_VERSION } from '@/core/review/version';
import { brokenTexts } from '../css/broken';
import { sceneSheet } from '../css/scene';
import { colourFacts } from './colours';
import { launchSection } from './launch';
import { layerSection, type Seen } from './layer';
import { SHEET_SCHEMA, type Fact, type Row, type Section, type Sheet } from './schema';
import { columnsOf, type ScreenTarget } from './targets';

/** What a sheet is made from. */
export interface ToSheet {
  documents: Documents;
  revision: number;
  sceneId: string;
  target: ScreenTarget;
  /** a case of one's choice, besides the usual ones */
  chosen: Case | null;
  /** only a scene without text can do without */
  fonts: TextMetrics | null;
  /** of a file in CSS, by its hash */
  address: (hash: string) => string;
}

const BAR_WORDS = { status: 'status bar', title: 'title bar', navigation: 'navigation bar' } as const;

function barFacts({ bars }: Scene, named: readonly NamedValue[]): Fact[] {
  return (['status', 'title', 'navigation'] as const).flatMap((kind) => {
    const bar = bars[kind];
    const high = kind === 'title' ? `, ${bars.title.height} high` : '';
    const style = kind === 'navigation' ? `, ${bars.navigation.style}` : '';
    const symbols = bar.symbols ?? 'by-appearance';
    const text = bar.shown ? `shown${high}${style}, symbols ${symbols.replace('-', ' ')}` : 'hidden';
    const colours =
      bar.shown && bar.colour
        ? colourFacts(`bar-${kind}`, `${BAR_WORDS[kind]}, colour`, bar.colour, named)
        : [];
    return [{ id: `bar-${kind}`, what: BAR_WORDS[kind], text }, ...colours];
  });
}

const length = (lu: number, { density }: Seen) => ({ lu, px: lu * density });

/** The margins as ruled, and how far in the safe area and the margins begin on each screen. */
function insetRows(scene: Scene, results: readonly Seen[], names: Names): Row[] {
  const from =
    (side: Side, region: 'safe' | 'margins') =>
    ({ result }: Seen) => {
      const { screen } = result.regions;
      const rect = result.regions[region];
      const axis = side === 'left' || side === 'right' ? 'x' : 'y';
      const near = rect[axis];
      return side === 'left' || side === 'top' ? near : extent(screen, axis) - near - extent(rect, axis);
    };
  const row = (side: Side, region: 'safe' | 'margins', ruled: string): Row => ({
    id: `${region}-${side}`,
    what: region === 'safe' ? `safe area, ${side}` : `margin, ${side}`,
    ruled,
    at: results.map((r) => length(from(side, region)(r), r)),
  });
  return [
    ...SIDES.map((side) => row(side, 'safe', 'of the screen')),
    ...SIDES.map((side) => row(side, 'margins', sayLengthOf(scene.margin[side], names))),
  ];
}

const ROLES = { 'first-window': 'first window', splash: 'splash', screen: 'screen', icon: 'icon' } as const;

function sceneSection(scene: Scene, { documents }: ToSheet, results: readonly Seen[], names: Names): Section {
  return {
    id: 'scene',
    name: scene.name,
    about: ROLES[scene.role],
    rows: insetRows(scene, results, names),
    facts: barFacts(scene, documents.project.named),
  };
}

/** Named values with what they come to. */
function namedSection(named: readonly NamedValue[], names: Names): Section[] {
  if (named.length === 0) return [];
  const facts = named.flatMap((n): Fact[] => {
    const plain = plainOf(n.id, named);
    if (!plain) return [];
    if ('light' in plain) return colourFacts(n.id, n.name, plain, named);
    return [
      { id: n.id, what: n.name, text: `${sayLengthOf(plain, names)}${plain.unit === 'lu' ? ' lu' : ''}` },
    ];
  });
  return [{ id: 'named', name: 'Named values', about: 'used by several layers', rows: [], facts }];
}

/**
 * Everything of a scene, and of the launches, that is typed into an app.
 * @throws when there is no such scene
 */
export function buildSheet(to: ToSheet): Sheet {
  const { documents, sceneId, target, chosen, fonts, address, revision } = to;
  const { project } = documents;
  const scene = sceneWith(documents, sceneId);
  if (!scene) throw new Error(`There is no scene “${sceneId}” in this project.`);
  const columns = columnsOf(target.screens, chosen);
  const input = surveyInput(documents, scene, { fonts, pixels: null });
  const results = columns.map((c) => ({ result: surveyCase(input, c.case), density: c.density }));
  const broken = brokenTexts(input, target.screens);
  const css = sceneSheet({
    scene,
    pictures: project.pictures,
    named: project.named,
    screens: target.screens,
    address,
    breaks: (id) => broken.has(id),
  });
  const names: Names = {
    layers: scene.layers,
    named: project.named,
    fonts: project.fonts,
    mirrored: scene.direction === 'rtl',
  };
  const around = { documents, names, results, css };
  return {
    schema: SHEET_SCHEMA,
    version: PRODUCT_VERSION,
    project: { id: project.id, name: project.name },
    revision,
    scene: { id: scene.id, name: scene.name },
    target: { id: target.id, name: target.name, screens: target.screens.length },
    columns: columns.map(({ case: _, ...column }) => column),
    sections: [
      sceneSection(scene, to, results, names),
      ...scene.layers.toReversed().map((layer) => layerSection(layer, around)),
      ...namedSection(project.named, names),
      ...(project.launches ?? []).map((l) => launchSection(l, documents, target.screens)),
    ],
  };
}
