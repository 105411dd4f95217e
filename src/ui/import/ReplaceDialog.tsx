'use client';
import { produce } from 'immer';
import { useEffect, useMemo, useState } from 'react';
import { Button, Modal } from 'react-bootstrap';
import type { Picture } from '@/core/pictures/picture';
import type { Documents } from '@/core/scene/documents';
import { OUTCOMES } from '@/core/measure/judge';
import { tally } from '@/core/survey/summary';
import { distinctCases } from '@/core/screens/likeness';
import { survey, surveyInput } from '@/core/survey/survey';
import type { KeptFile } from '@/core/pictures/kept-file';
import { RequestProblem, uploadFile } from '../api';
import { PixelProvider } from '../drawing/CaseCanvas';
import { masterOf } from '../drawing/PictureThumb';
import { BeforeAfter } from '../screens/BeforeAfter';
import { createPixelStore, sizeOfFile } from '../drawing/pixels';
import { useCounted, useScene, useWorkbench, useWorkbenchStore } from '../state/context';
import { useIsMeasured, useOutside, useWanted } from '../state/outside';
import { edit } from '../state/edit';
import { OUTCOME_SHAPES, sayFile } from '../words';
import { renditionOf } from './place-picture';

interface Props {
  picture: Picture;
  file: File;
  onClose: () => void;
}

/** Puts a file in the place of the picture’s master; density, appearance and everything else stay. */
function replaced(documents: Documents, picture: Picture, kept: KeptFile): void {
  const old = masterOf(picture).hash;
  const target = documents.project.pictures.find((p) => p.id === picture.id);
  for (const rendition of target?.cuts.flatMap((c) => c.renditions) ?? []) {
    if (rendition.hash !== old) continue;
    const { density, appearance } = rendition;
    Object.assign(rendition, renditionOf(kept), { density, appearance });
  }
}

/** A new file for a picture, looked at before it is taken: every case before and after. */
export function ReplaceDialog({ picture, file, onClose }: Props) {
  const store = useWorkbenchStore();
  const documents = useWorkbench((s) => s.documents);
  const allCases = useCounted();
  const scene = useScene();
  const [kept, setKept] = useState<KeptFile | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const outside = useOutside();
  const projectId = documents.project.id;

  useEffect(() => {
    const abort = new AbortController();
    uploadFile(projectId, file, { onProgress: () => {}, signal: abort.signal }).then(setKept, (error) => {
      if (error instanceof RequestProblem) setProblem(error.message);
      else if (!(error instanceof DOMException)) throw error;
    });
    return () => abort.abort();
  }, [projectId, file]);

  const next = useMemo(
    () => kept && produce(documents, (d) => replaced(d, picture, kept)),
    [kept, documents, picture],
  );
  useWanted(next, scene.id);
  const isMeasured = useIsMeasured(next, scene.id);
  const compared = useMemo(() => {
    if (!next) return null;
    const before = survey(surveyInput(documents, scene, outside), allCases);
    const after = survey(surveyInput(next, scene, outside), allCases);
    const pixels = createPixelStore((h) => sizeOfFile(next.project)(h) ?? sizeOfFile(documents.project)(h));
    return { before, after, pixels };
  }, [next, documents, scene, allCases, outside]);

  const shown = useMemo(() => distinctCases(allCases).map((c) => c.shown), [allCases]);
  const take = () => {
    if (kept) edit(store, (d) => replaced(d, picture, kept));
    onClose();
  };
  const master = masterOf(picture);

  return (
    <Modal show onHide={onClose} size="xl" scrollable animation={false} aria-labelledby="replace-title">
      <Modal.Header closeButton>
        <Modal.Title id="replace-title" as="h2">
          Another file for {picture.name}
        </Modal.Title>
      </Modal.Header>
      <Modal.Body tabIndex={0}>
        {problem && (
          <p className="problem" role="alert">
            {problem}
          </p>
        )}
        {!problem && !compared && <p className="quiet">The file is being read…</p>}
        {kept && compared && (
          <>
            <p className="figures">
              {sayFile(master)} becomes {sayFile(kept)}. {!isMeasured && 'Being measured…'}
              {(isMeasured ? OUTCOMES : []).map((o) => {
                const [was, is] = [compared.before, compared.after].map((r) => tally(r)[o]);
                return (
                  <span key={o} className={`tally-change outcome-${o}`}>
                    {OUTCOME_SHAPES[o]} {o} {was} → {is}
                  </span>
                );
              })}
            </p>
            <p className="quiet">Each screen with the old file at the left and the new one at the right.</p>
            <PixelProvider value={compared.pixels}>
              <ul className="before-after">
                {shown.map((c) => {
                  const i = allCases.indexOf(c);
                  const [was, is] = [compared.before[i]!, compared.after[i]!];
                  return <BeforeAfter key={c.id} shown={c} {...{ was, is, isMeasured }} />;
                })}
              </ul>
            </PixelProvider>
          </>
        )}
      </Modal.Body>
      <Modal.Footer>
        <Button variant="quiet" onClick={onClose}>
          Keep the old file
        </Button>
        <Button variant="primary" disabled={!kept} onClick={take}>
          Take the new file
        </Button>
      </Modal.Footer>
    </Modal>
  );
}
