import { withPreset, type FitPreset } from '@/core/fit/presets';
import type { Repeat } from '@/core/fit/rule';
import { screensFor } from '@/core/icons/slots';
import { sceneWith } from '@/core/project/documents';
import type { Scene } from '@/core/scene/scene';
import { findCase } from '@/core/screens/cases';
import { surveyCase, surveyInput } from '@/core/survey/survey';
import { hashesIn } from '@/render/drawing';
import { drawingOf } from '@/render/painter';
import { svgOf } from '@/render/svg';
import { readOriginal } from '../blobs';
import { dataAddresses } from '../importing/data-address';
import { knownScreens } from '../catalogue';
import { costOf, refuseTooLarge } from '../drawing/cost';
import { drawn } from '../drawing/drawn';
import { fontsFor } from '../fonts/fonts';
import { notFound } from '../problem';
import { loadProject } from './projects';

/** Another fit for a layer than the stored one, to look at it without saving. */
export interface Trial {
  layer: string;
  fit?: FitPreset;
  repeat?: Repeat;
}

export interface CasePicture {
  projectId: string;
  sceneId: string;
  caseId: string;
  /** px per lu; the screen’s own density when absent */
  scale?: number;
  /** draw bars, rounded corners and cutouts */
  glass: boolean;
  trial?: Trial;
  /** of the request */
  signal?: AbortSignal;
}

const LARGEST_SIDE_PX = 8192;

function tried(scene: Scene, { layer: id, fit, repeat }: Trial): Scene {
  const layers = scene.layers.map((layer) => {
    if (layer.id !== id || layer.kind !== 'picture') return layer;
    const base = fit ? withPreset(layer.fit, fit) : layer.fit;
    return { ...layer, fit: repeat ? { ...base, repeat: { x: repeat, y: repeat } } : base };
  });
  return { ...scene, layers };
}

/** @throws Problem 404 for an unknown project, scene or case, 422 for a size out of range, or for more than is drawn in one go */
function drawingOfCase(asked: CasePicture) {
  const { documents } = loadProject(asked.projectId);
  const scene = sceneWith(documents, asked.sceneId);
  if (!scene) throw notFound('This scene');
  const found = findCase(asked.caseId, screensFor(scene, documents.project, knownScreens(documents.project)));
  if (!found) throw notFound('This case');
  const fonts = fontsFor(documents);
  const input = surveyInput(documents, asked.trial ? tried(scene, asked.trial) : scene, { fonts });
  const result = surveyCase(input, found);
  const drawing = drawingOf(result, {
    scale: asked.scale ?? found.screen.density,
    glass: asked.glass,
    fonts,
  });
  refuseTooLarge(drawing, LARGEST_SIDE_PX);
  return { drawing, size: result.regions.screen };
}

/** One case as PNG. @throws Problem as `drawingOfCase` does */
export async function casePng(asked: CasePicture): Promise<Buffer> {
  const { drawing } = drawingOfCase(asked);
  return drawn(
    { kind: 'paint', input: drawing, cost: costOf(drawing), name: 'This case' },
    { project: asked.projectId, signal: asked.signal },
  );
}

/** One case as SVG, with its files in it. @throws Problem as `drawingOfCase` does, 410 for a file that is lost */
export async function caseSvg(asked: CasePicture): Promise<string> {
  const { drawing, size } = drawingOfCase(asked);
  const by = { project: asked.projectId, signal: asked.signal };
  const files = await dataAddresses(hashesIn(drawing.commands), readOriginal, by);
  return svgOf(drawing, size, (hash) => files.get(hash)!);
}
