import json from '../../../../data/screens.json';
import { demoDocuments } from '../../../../demo/documents';
import type { Rendition } from '@/core/pictures/picture';
import { readCatalogue } from '@/core/screens/catalogue';
import { readView } from '../view';
import { createWorkbench, type WorkbenchStore } from '../workbench';

const FILE: Rendition = {
  hash: 'a'.repeat(64),
  widthPx: 400,
  heightPx: 300,
  density: 1,
  appearance: 'light',
  vector: false,
};
/** Each of its pictures is of one small file. */
export const demo = demoDocuments(() => [FILE]);
export const catalogue = readCatalogue(json).slice(0, 2);

/** The demo's first scene as it is opened, on a few screens of the catalogue. @param more in place of that */
export const openDemo = (more: Partial<Parameters<typeof createWorkbench>[0]> = {}): WorkbenchStore =>
  createWorkbench({
    documents: demo,
    revision: 1,
    sceneId: 'winter-splash',
    catalogue,
    view: readView({}),
    arrived: [],
    ...more,
  });
