'use client';
import { useEffect, useMemo } from 'react';
import { filesOfScene, type Documents } from '@/core/project/documents';
import type { FilePixels } from '@/core/pixels/file';
import type { Scene } from '@/core/scene/scene';
import type { Fonts } from '@/render/fonts';
import { createFilePixels } from '@/workers/file-pixels';
import { fetchInside } from '../session';
import { useWorkbench, useWorkbenchStore } from './context';
import { needsOf } from './lenses';
import { sceneOf, waitsForFonts, type WorkbenchState, type WorkbenchStore } from './workbench';

/** Fonts and pixels, as far as the page has loaded them. */
export function useOutside(): { fonts: Fonts | null; pixels: ReadonlyMap<string, FilePixels> } {
  const fonts = useWorkbench((s) => s.fonts);
  const pixels = useWorkbench((s) => s.pixels);
  return useMemo(() => ({ fonts, pixels }), [fonts, pixels]);
}

/**
 * Asks for the pixels of files that are only shown in something that is tried. It does not listen to the documents, which
 * cells out of view must not; what the open scene shows is loaded anyway.
 */
export function useWanted(documents: Documents | null, sceneId: string): void {
  const store = useWorkbenchStore();
  useEffect(() => {
    const { wanted, pixels, documents: own, sceneId: open } = store.getState();
    const scene = documents?.scenes[sceneId];
    if (!scene || (documents === own && sceneId === open)) return;
    if (hasText(scene)) store.setState({ wantsFonts: true });
    const used = filesOfScene(scene, documents.project.pictures);
    const files = used.filter((hash) => !wanted.has(hash) && !pixels.has(hash));
    if (files.length > 0) store.setState({ wanted: new Set([...wanted, ...files]) });
  }, [store, documents, sceneId]);
}

/** Whether everything is loaded that a scene is measured by: until then its contrast, and so its outcome, is not known. */
export function useIsMeasured(documents: Documents | null, other?: string): boolean {
  const open = useWorkbench((s) => s.sceneId);
  const { fonts, pixels } = useOutside();
  const sceneId = other ?? open;
  return useMemo(() => {
    const scene = documents?.scenes[sceneId];
    if (!scene || waitsForFonts(documents, sceneId, fonts)) return false;
    return filesOfScene(scene, documents.project.pictures).every((hash) => pixels.has(hash));
  }, [documents, sceneId, fonts, pixels]);
}

/** How long until files are asked for again that could not be loaded. */
const AGAIN_MS = 4000;

/** Loads the fonts, and the pixels of whatever the open scene shows or something wants beside it. @returns a function that ends it */
export function watchOutside(store: WorkbenchStore): () => void {
  let ended = false;
  const load = createFilePixels(fetchInside);
  const asked = new Set<string>();
  let again: ReturnType<typeof setTimeout> | undefined;
  const fonts = watchFonts(store);
  const loadNew = () => {
    const state = store.getState();
    const scene = sceneOf(state);
    const { pictures } = state.documents.project;
    // A launch goes through several scenes.
    const scenes = needsOf(state.view.lens).everyScene
      ? Object.values(state.documents.scenes)
      : scene
        ? [scene]
        : [];
    const used = scenes.flatMap((s) => filesOfScene(s, pictures));
    const files = [...new Set([...used, ...state.wanted])].filter((hash) => !asked.has(hash));
    if (files.length === 0) return;
    for (const hash of files) asked.add(hash);
    void load(files).then((pixels) => {
      if (ended) return;
      store.setState({ pixels });
      const missing = files.filter((hash) => !pixels.has(hash));
      if (missing.length > 0) askAgain(missing);
    });
  };
  const askAgain = (files: readonly string[]) => {
    store.setState({
      message:
        'The pixels of a picture could not be loaded: contrast, and what hangs on it, is not measured until they are. They are asked for again.',
    });
    for (const hash of files) asked.delete(hash);
    again = setTimeout(loadNew, AGAIN_MS);
  };
  loadNew();
  const unsubscribe = store.subscribe((state, before) => {
    const { documents, sceneId, view, wanted } = state;
    const isOther = documents !== before.documents || sceneId !== before.sceneId;
    if (isOther || view.lens !== before.view.lens || wanted !== before.wanted) loadNew();
  });
  return () => {
    ended = true;
    clearTimeout(again);
    fonts();
    unsubscribe();
  };
}

/**
 * The fonts that come with the product, and imported ones. What reads and shapes them is large, and loaded with them.
 * @param before those that were loaded before, or are being loaded @param hashes asked for once those are there
 */
async function fontsWith(before: Promise<Fonts> | null, hashes: () => readonly string[]): Promise<Fonts> {
  const { loadFonts, withImported } = await import('@/render/fonts');
  return withImported(await (before ?? loadFonts()), hashes());
}

/** Whether a scene has a text. */
const hasText = (scene: Scene | undefined) => scene?.layers.some((l) => l.kind === 'text') ?? false;

/** Whether the open scene writes, or something that is looked at beside it does. */
function writes(state: WorkbenchState): boolean {
  const { documents, view, wantsFonts } = state;
  // A launch goes through several scenes, and begins with all that it may need.
  if (wantsFonts || needsOf(view.lens).everyScene || hasText(sceneOf(state))) return true;
  return view.middle === 'pair' && Object.values(documents.scenes).some(hasText);
}

/** Loads the fonts that come with the product, and those of the project as they are imported. @returns a function that ends it */
function watchFonts(store: WorkbenchStore): () => void {
  let ended = false;
  /** nothing is loaded before something is written that the page shows, or may show at any moment */
  let loading: Promise<Fonts> | null = null;
  const failed = () => {
    store.setState({ message: 'A font could not be loaded; its texts are not drawn. Reload the page.' });
  };
  const hashesIn = ({ project }: Documents) => (project.fonts ?? []).map((f) => f.hash);
  const loadNew = () => {
    if (!loading && !writes(store.getState())) return;
    // One after another, so that none is loaded twice.
    loading = fontsWith(loading, () => hashesIn(store.getState().documents));
    loading.then((fonts) => !ended && fonts !== store.getState().fonts && store.setState({ fonts }), failed);
  };
  loadNew();
  const unsubscribe = store.subscribe((state, before) => {
    const { documents, sceneId, view, wantsFonts } = state;
    const others = documents.project.fonts !== before.documents.project.fonts;
    const isElse = documents !== before.documents || sceneId !== before.sceneId || view !== before.view;
    if (others || (!loading && (isElse || wantsFonts !== before.wantsFonts))) loadNew();
  });
  return () => {
    ended = true;
    unsubscribe();
  };
}
