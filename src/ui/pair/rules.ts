'use client';
import { listRevisions, readRevision } from '@/formats/api/projects';
import { useEffect, useMemo, useState } from 'react';
import { FIT_LABELS } from '@/core/fit/presets';
import { variantsOf, type Variant } from '@/core/findings/variants';
import { Documents } from '@/core/project/documents';
import { applyPatch } from '@/core/patch/patch';
import { ask } from '../api';
import { backgroundOf } from '../state/edit';
import { useScene, useWorkbench } from '../state/context';

/**
 * Which rules one side is drawn with: as they are now, `fit:…` of the background, `scene:…` of another scene, or
 * `revision:…` of the project.
 */
export type RulesId = string;
export const NOW: RulesId = 'now';

export interface RulesOption {
  id: RulesId;
  label: string;
}

interface Revision {
  revision: number;
  at: string;
}

const time = new Intl.DateTimeFormat('en', { dateStyle: 'medium', timeStyle: 'short' });

/** What there is to choose from; `variants` are what the other fits change. */
export interface RulesOptions {
  fits: RulesOption[];
  scenes: RulesOption[];
  revisions: RulesOption[];
  variants: Variant[];
}

/** The other fits of the background, the other scenes, and the revisions of the project, newest first. */
export function useRulesOptions(): RulesOptions {
  const scene = useScene();
  const documents = useWorkbench((s) => s.documents);
  const sceneId = useWorkbench((s) => s.sceneId);
  const projectId = documents.project.id;
  const revision = useWorkbench((s) => s.revision);
  const [list, setList] = useState<Revision[]>([]);
  useEffect(() => {
    let ended = false;
    void ask(listRevisions, { project: projectId })
      .then((found) => !ended && setList(found))
      // Without the server there is nothing earlier to compare with; the page says so by itself.
      .catch(() => {});
    return () => {
      ended = true;
    };
  }, [projectId, revision]);
  const background = backgroundOf(scene);
  return useMemo(() => {
    const variants = background ? variantsOf(documents, sceneId, background.id, 'fit') : [];
    const fits = variants
      .filter((v) => v.patch.length > 0 && Object.values(FIT_LABELS).includes(v.label))
      .map((v) => ({ id: `fit:${v.label}`, label: v.label }));
    const revisions = list.map((r) => ({
      id: `revision:${r.revision - 1}`,
      label: `before ${time.format(new Date(r.at))} (revision ${r.revision - 1})`,
    }));
    const { project, scenes: all } = documents;
    const others = project.scenes.filter((id) => id !== sceneId);
    const scenes = others.map((id) => ({ id: `scene:${id}`, label: all[id]!.name }));
    return { fits, scenes, revisions, variants };
  }, [documents, sceneId, background, list]);
}

/** What one side is drawn with. */
export interface Rules {
  /** `null` while they are loaded, or where they cannot be */
  documents: Documents | null;
  sceneId: string;
  problem: string | null;
}

export function useRules(id: RulesId, variants: readonly Variant[]): Rules {
  const open = useWorkbench((s) => s.sceneId);
  const now = useWorkbench((s) => s.documents);
  const [loaded, setLoaded] = useState<{
    id: RulesId;
    documents: Documents | null;
    problem: string | null;
  } | null>(null);
  const revision = id.startsWith('revision:') ? id.slice('revision:'.length) : null;
  useEffect(() => {
    if (revision === null) return;
    let ended = false;
    ask(readRevision, { project: now.project.id, revision }).then(
      (documents) => !ended && setLoaded({ id, documents, problem: null }),
      (error: Error) => !ended && setLoaded({ id, documents: null, problem: error.message }),
    );
    return () => {
      ended = true;
    };
  }, [id, revision, now.project.id]);
  return useMemo(() => {
    if (revision !== null) {
      const own = loaded?.id === id ? loaded : null;
      return { documents: own?.documents ?? null, sceneId: open, problem: own?.problem ?? null };
    }
    const other = id.startsWith('scene:') ? id.slice('scene:'.length) : null;
    if (other !== null && now.scenes[other]) return { documents: now, sceneId: other, problem: null };
    const variant = variants.find((v) => `fit:${v.label}` === id);
    return { documents: variant ? applyPatch(now, variant.patch) : now, sceneId: open, problem: null };
  }, [id, revision, loaded, variants, now, open]);
}
