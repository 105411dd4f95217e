'use client';
import { useMemo } from 'react';
import { filesOfScene } from '@/core/scene/documents';
import type { FilePixels } from '@/core/pixels/file';
import { loadFonts, type Fonts } from '@/render/fonts';
import { createFilePixels } from '@/workers/file-pixels';
import { useWorkbench } from './context';
import { sceneOf, type WorkbenchStore } from './workbench';

/** Fonts and pixels, as far as the page has loaded them. */
export function useOutside(): { fonts: Fonts | null; pixels: ReadonlyMap<string, FilePixels> } {
  const fonts = useWorkbench((s) => s.fonts);
  const pixels = useWorkbench((s) => s.pixels);
  return useMemo(() => ({ fonts, pixels }), [fonts, pixels]);
}

/** Loads the fonts, and the pixels of whatever the open scene shows. @returns a function that ends it */
export function watchOutside(store: WorkbenchStore): () => void {
  let ended = false;
  const load = createFilePixels();
  const asked = new Set<string>();
  loadFonts().then(
    (fonts) => !ended && store.setState({ fonts }),
    () => store.setState({ message: 'The fonts could not be loaded; text is not drawn. Reload the page.' }),
  );
  const loadNew = () => {
    const state = store.getState();
    const scene = sceneOf(state);
    const { pictures } = state.documents.project;
    // A launch goes through several scenes.
    const scenes =
      state.view.lens === 'launch' ? Object.values(state.documents.scenes) : scene ? [scene] : [];
    const used = new Set(scenes.flatMap((s) => filesOfScene(s, pictures)));
    const files = [...used].filter((hash) => !asked.has(hash));
    if (files.length === 0) return;
    for (const hash of files) asked.add(hash);
    void load(files).then((pixels) => !ended && store.setState({ pixels }));
  };
  loadNew();
  const unsubscribe = store.subscribe((state, before) => {
    const { documents, sceneId, view } = state;
    if (documents !== before.documents || sceneId !== before.sceneId || view.lens !== before.view.lens)
      loadNew();
  });
  return () => {
    ended = true;
    unsubscribe();
  };
}
