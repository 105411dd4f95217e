'use client';
import { useEffect } from 'react';
import { useWorkbenchStore } from '../state/context';
import { isOtherView, readView, writeView } from '../state/view';
import type { WorkbenchState, WorkbenchStore } from '../state/workbench';

/** Where what is looked at stands: “/projects/ferries/splash?lens=fits”. */
export function addressOfView({
  documents,
  sceneId,
  view,
}: Pick<WorkbenchState, 'documents' | 'sceneId' | 'view'>) {
  const base = `/projects/${documents.project.id}`;
  return (sceneId ? `${base}/${sceneId}` : base) + writeView(view);
}

/** Shows what an address says, as far as it is of this project and there is such a scene. */
function follow(store: WorkbenchStore, { pathname, search }: Location): void {
  const { documents, sceneId, view } = store.getState();
  const [, , project, scene] = pathname.split('/').map(decodeURIComponent);
  if (project !== documents.project.id) return;
  const asked = readView(Object.fromEntries(new URLSearchParams(search)));
  // Documents of another day are not on this page.
  if (asked.signed !== view.signed) return window.location.reload();
  const [first = ''] = documents.project.scenes;
  const next = scene ?? first;
  store.setState({
    sceneId: documents.scenes[next] ? next : sceneId,
    // An address that names no case leaves the one that is looked at.
    view: { ...asked, case: asked.case ?? view.case },
    drawer: null,
  });
}

/**
 * Keeps the address in step with what is looked at. Another lens, scene, list or open finding is a step in the browser’s
 * history, to which Back leads; a filter or another case is not.
 */
export function useAddress(): void {
  const store = useWorkbenchStore();
  useEffect(() => {
    let isFollowing = false;
    const unsubscribe = store.subscribe((state, before) => {
      if (isFollowing || (state.view === before.view && state.sceneId === before.sceneId)) return;
      const isStep =
        before.sceneId !== '' && (state.sceneId !== before.sceneId || isOtherView(state.view, before.view));
      const address = addressOfView(state);
      if (isStep) window.history.pushState(null, '', address);
      else window.history.replaceState(null, '', address);
    });
    const onBack = () => {
      isFollowing = true;
      try {
        follow(store, window.location);
      } finally {
        isFollowing = false;
      }
    };
    window.addEventListener('popstate', onBack);
    return () => {
      unsubscribe();
      window.removeEventListener('popstate', onBack);
    };
  }, [store]);
}
