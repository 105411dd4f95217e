'use client';
import { useState } from 'react';
import { Button, Modal } from 'react-bootstrap';
import { cutByFrame } from '@/core/pictures/cut-frame';
import { filesToMake } from '@/core/pictures/making';
import { setsOf, USUAL_DENSITIES } from '@/core/pictures/master';
import type { Picture } from '@/core/pictures/picture';
import { sayDensity, sayRatio, saySize } from '@/core/words/numbers';
import { countOf } from '@/core/words/words';
import { useWorkbench } from '../../state/context';
import { firstAsking, hasFrame, sourceOf, type Asking } from './asking';
import { Frame } from './Frame';
import { CutChoice, DensityChoice, HowChoice, SourceChoice, type ChoiceProps } from './MakeChoices';
import { useMaking } from './useMaking';

/** The files that will be made, each with its px, and what is lost or gained for them. */
function Outcome({ asking, set }: Pick<ChoiceProps, 'asking' | 'set'>) {
  const isCut = hasFrame(asking, set);
  const files = filesToMake({
    master: sourceOf(set),
    densities: asking.densities,
    ...(isCut && { part: asking.frame }),
  });
  const lost = isCut ? cutByFrame(asking.frame, set.cut.keepAreas) : [];
  return (
    <>
      {lost.length > 0 && (
        <p className="problem" role="status">
          Not whole in this frame: {lost.join(', ')}.
        </p>
      )}
      <ul className="plain-list figures make-files" aria-label="Files that are made">
        {files.map((f) => (
          <li key={f.density}>
            {sayDensity(f.density)}x: {saySize({ width: f.widthPx, height: f.heightPx })} px
            {f.enlarged !== null && (
              <b className="outcome-warn"> enlarged {sayRatio(f.enlarged)} ×, it will be soft</b>
            )}
          </li>
        ))}
      </ul>
    </>
  );
}

interface Props {
  picture: Picture;
  onClose: () => void;
}

interface FooterProps {
  progress: ReturnType<typeof useMaking>['progress'];
  count: number;
  onBegin: () => void;
}

/** How far it is, and what begins it. */
function MakeFooter({ progress, count, onBegin }: FooterProps) {
  return (
    <Modal.Footer>
      {progress && (
        <span role="status">
          {progress.done} of {progress.of} are made…
        </span>
      )}
      <Button variant="primary" disabled={progress !== null || count === 0} onClick={onBegin}>
        Make {countOf(count, 'file')}
      </Button>
    </Modal.Footer>
  );
}

/** Makes all densities of a picture at once from one of its files, for its own cut or another. */
export function MakeDialog({ picture, onClose }: Props) {
  const wanted = useWorkbench((s) => s.documents.project.densities) ?? USUAL_DENSITIES;
  const sets = setsOf(picture);
  const [asking, setAsking] = useState<Asking>(() => firstAsking(sets, wanted));
  const { progress, make } = useMaking();
  const set = sets[asking.set] ?? sets[0]!;
  const master = sourceOf(set);
  const isCut = hasFrame(asking, set);
  const choice = { asking, set, onChange: setAsking };
  const begin = async () => {
    const { densities, ground, keep, linear, into, frame } = asking;
    const how = { keep, linear, ...(ground !== null && { ground }) };
    const part = isCut ? { part: frame } : {};
    if (await make({ pictureId: picture.id, from: set.cut, into, master, densities, how, ...part }))
      onClose();
  };
  return (
    <Modal show onHide={onClose} size="xl" scrollable animation={false} aria-labelledby="make-title">
      <Modal.Header closeButton>
        <Modal.Title id="make-title" as="h2">
          Make files of {picture.name}
        </Modal.Title>
      </Modal.Header>
      <Modal.Body className="make-body">
        <div className="make-choices">
          <SourceChoice {...choice} sets={sets} wanted={wanted} />
          <CutChoice {...choice} wanted={wanted} />
          <DensityChoice {...choice} wanted={wanted} />
          <HowChoice {...choice} />
          <Outcome asking={asking} set={set} />
        </div>
        {isCut && (
          <Frame
            master={master}
            cut={set.cut}
            frame={asking.frame}
            onChange={(frame) => setAsking({ ...asking, frame })}
          />
        )}
      </Modal.Body>
      <MakeFooter progress={progress} count={asking.densities.length} onBegin={() => void begin()} />
    </Modal>
  );
}
