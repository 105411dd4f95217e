'use client';
import { stepOf } from '@/core/steps/commands';
import { produce } from 'immer';
import { useMemo } from 'react';
import { Button, Modal } from 'react-bootstrap';
import type { Picture } from '@/core/pictures/picture';
import type { Documents } from '@/core/project/documents';
import { mostChanged } from '@/core/measure/change';
import { byOutcome } from '@/core/measure/judge';
import { tally } from '@/core/solve/summary';
import { distinctCases } from '@/core/screens/likeness';
import type { CaseResult } from '@/core/survey/survey';
import { survey, surveyInput } from '@/core/survey/survey';
import { PixelProvider } from '../drawing/CaseCanvas';
import { BeforeAfter } from '../drawing/BeforeAfter';
import { projectPixels, sizeOfFile } from '../drawing/pixels';
import { useCounted, useScene, useWorkbench, useWorkbenchStore } from '../state/context';
import { useIsMeasured, useOutside, useWanted } from '../state/outside';
import { edit } from '../state/edit';
import { TallyChange } from '../parts/OutcomeChange';
import { sayFile } from '../words';
import { ReplaceScope } from './ReplaceScope';
import { useReplacement } from './useReplacement';
import { slotsOf } from '@/core/pictures/replace';

interface Props {
  picture: Picture;
  file: File;
  onClose: () => void;
}

/** Puts a picture in the place of the one with its id. */
const putPicture =
  (picture: Picture) =>
  ({ project }: Documents): void => {
    project.pictures = project.pictures.map((p) => (p.id === picture.id ? picture : p));
  };

/** Every case before and after, what changes most first. */
function useCompared(next: Documents | null) {
  const documents = useWorkbench((s) => s.documents);
  const cases = useCounted();
  const scene = useScene();
  const outside = useOutside();
  useWanted(next, scene.id);
  const isMeasured = useIsMeasured(next, scene.id);
  const compared = useMemo(() => {
    if (!next) return null;
    const before = survey(surveyInput(documents, scene, outside), cases);
    const after = survey(surveyInput(next, scene, outside), cases);
    const at = new Map(cases.map((c, i) => [c.id, i]));
    const pairs = distinctCases(cases).map(({ shown }) => {
      const i = at.get(shown.id)!;
      const [was, is] = [before[i]!, after[i]!];
      return { shown, was, is, change: mostChanged(is, was) };
    });
    const turn = ({ was, is }: { was: CaseResult; is: CaseResult }) =>
      Math.abs(byOutcome(was.outcome, is.outcome));
    pairs.sort((a, b) => turn(b) - turn(a) || (b.change?.share ?? 0) - (a.change?.share ?? 0));
    const pixels = projectPixels((h) => sizeOfFile(next.project)(h) ?? sizeOfFile(documents.project)(h));
    return { tallies: { was: tally(before), is: tally(after) }, pairs, pixels };
  }, [next, documents, scene, cases, outside]);
  return { compared, isMeasured };
}

interface ComparisonProps {
  compared: NonNullable<ReturnType<typeof useCompared>['compared']>;
  isMeasured: boolean;
  /** what the new file takes the place of, in words */
  becomes: string;
}

/** What the new file does to all cases, and each of them before and after. */
function Comparison({ compared, isMeasured, becomes }: ComparisonProps) {
  return (
    <>
      <p className="figures">
        {becomes}
        {!isMeasured && 'Being measured…'}
        {isMeasured && <TallyChange {...compared.tallies} />}
      </p>
      <p className="quiet">
        Each screen with the old file at the left and the new one at the right; what changes most comes first.
      </p>
      <PixelProvider value={compared.pixels}>
        <ul className="before-after">
          {compared.pairs.map(({ shown, ...pair }) => (
            <BeforeAfter key={shown.id} {...{ shown, isMeasured, ...pair }} />
          ))}
        </ul>
      </PixelProvider>
    </>
  );
}

/** A new file for a picture, looked at before it is taken: what it takes the place of, and every case before and after. */
export function ReplaceDialog({ picture, file, onClose }: Props) {
  const store = useWorkbenchStore();
  const documents = useWorkbench((s) => s.documents);
  const { kept, after, at, problem, slot, setSlot, scope, setScope } = useReplacement(picture, file);
  const next = useMemo(() => after && produce(documents, putPicture(after)), [after, documents]);
  const { compared, isMeasured } = useCompared(next);
  const old = slotsOf(picture).find(
    (s) => s.cut === at.cut && s.appearance === at.appearance && s.density === at.density,
  );
  const becomes = old && kept ? `${sayFile(old.file)} becomes ${sayFile(kept)}. ` : '';
  const take = () => {
    if (after) edit(store, stepOf('picture.replace', picture.name), putPicture(after));
    onClose();
  };
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
        <ReplaceScope {...{ picture, slot, scope, after }} onSlot={setSlot} onScope={setScope} />
        {!problem && !compared && (
          <p className="quiet" role="status">
            {kept ? 'The other densities are being made…' : 'The file is being read…'}
          </p>
        )}
        {kept && compared && <Comparison {...{ compared, isMeasured, becomes }} />}
      </Modal.Body>
      <Modal.Footer>
        <Button variant="quiet" onClick={onClose}>
          Keep the old file
        </Button>
        <Button variant="primary" disabled={!after} onClick={take}>
          {scope === 'all' && after ? 'Take the new files' : 'Take the new file'}
        </Button>
      </Modal.Footer>
    </Modal>
  );
}
