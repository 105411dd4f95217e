import { withPreset, type FitPreset } from '@/core/fit/presets';
import type { Repeat } from '@/core/fit/rule';
import { sceneWith } from '@/core/project/documents';
import type { Scene } from '@/core/scene/scene';
import { findCase } from '@/core/screens/cases';
import { surveyCase, surveyInput } from '@/core/survey/survey';
import { drawingOf } from '@/render/painter';
import { screensOf } from '../catalogue';
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

/** One case as PNG. @throws Problem 404 for an unknown project, scene or case, 422 for a size out of range, or for more than is drawn in one go */
export async function casePng(asked: CasePicture): Promise<Buffer> {
  const { documents } = loadProject(asked.projectId);
  const scene = sceneWith(documents, asked.sceneId);
  if (!scene) throw notFound('This scene');
  const found = findCase(asked.caseId, screensOf(documents.project));
  if (!found) throw notFound('This case');
  const fonts = fontsFor(documents);
  const input = surveyInput(documents, asked.trial ? tried(scene, asked.trial) : scene, { fonts });
  const drawing = drawingOf(surveyCase(input, found), {
    scale: asked.scale ?? found.screen.density,
    glass: asked.glass,
    fonts,
  });
  refuseTooLarge(drawing, LARGEST_SIDE_PX);
  return drawn(
    { kind: 'paint', input: drawing, cost: costOf(drawing), name: 'This case' },
    { project: asked.projectId, signal: asked.signal },
  );
}
