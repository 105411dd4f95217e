'use client';
import { stepOf } from '@/core/steps/commands';
import { useRef, useState, type PointerEvent } from 'react';
import { Button, Modal } from 'react-bootstrap';
import type { Rect } from '@/core/geometry/rect';
import { areaBetween } from '@/core/pictures/areas';
import { unmarkedIn, type Cut, type Picture } from '@/core/pictures/picture';
import { masterOfCut } from '../drawing/PictureThumb';
import { Preview } from '../drawing/Preview';
import { NameField } from '../parts/NameField';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { commit, editLive, inCut } from '../state/edit';
import { CUT_WORDS } from '../words';
import { AreaBox, laidOver } from '../parts/AreaBox';
import { Choices } from '../parts/Choices';
import { Suggested } from './Suggested';

/** CSS px across, twice over for fine screens. */
const PREVIEW = 1600;
/** A click that does not move is no area. */
const LEAST_DRAG = 0.015;

interface CutProps {
  picture: Picture;
  cut: Cut;
  /** changes the cut within the documents */
  change: (recipe: (cut: Cut) => void) => void;
  onCommit: () => void;
}

/** What a new area is called: what other cuts mark and this one does not, or by a number that is free. */
function newSubject({ cuts }: Picture, cut: Cut): string {
  const taken = new Set(cut.keepAreas.map((k) => k.subject));
  let n = cut.keepAreas.length + 1;
  while (taken.has(`Subject ${n}`)) n++;
  return unmarkedIn(cuts, cut)[0] ?? `Subject ${n}`;
}

/** A cut, large; what is dragged on it becomes a keep area. */
function CutPlan({ cut, change, onCommit, picture }: CutProps) {
  const ref = useRef<HTMLDivElement>(null);
  const [drawn, setDrawn] = useState<{ from: { x: number; y: number }; rect: Rect } | null>(null);
  const master = masterOfCut(cut);
  const around = () => ref.current!.getBoundingClientRect();
  const pointOf = (event: PointerEvent) => {
    const box = around();
    return { x: (event.clientX - box.left) / box.width, y: (event.clientY - box.top) / box.height };
  };
  const finish = () => {
    setDrawn(null);
    if (!drawn || Math.max(drawn.rect.width, drawn.rect.height) < LEAST_DRAG) return;
    change((c) => c.keepAreas.push({ subject: newSubject(picture, cut), rect: drawn.rect, weight: 1 }));
    onCommit();
  };
  return (
    <div
      ref={ref}
      className="mark-plan"
      style={{ aspectRatio: `${master.widthPx} / ${master.heightPx}` }}
      onPointerDown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId);
        const from = pointOf(e);
        setDrawn({ from, rect: areaBetween(from, from) });
      }}
      onPointerMove={(e) => {
        const to = pointOf(e);
        setDrawn((d) => d && { ...d, rect: areaBetween(d.from, to) });
      }}
      onPointerUp={finish}
      onPointerCancel={() => setDrawn(null)}
    >
      <Preview file={master} px={{ width: PREVIEW, height: 0 }} />
      {cut.keepAreas.map((area, index) => (
        <AreaBox
          key={index}
          name={area.subject}
          rect={area.rect}
          onChange={(rect) => change((c) => (c.keepAreas[index]!.rect = rect))}
          onCommit={onCommit}
        />
      ))}
      {drawn && <span className="mark-drawn" style={laidOver(drawn.rect)} />}
    </div>
  );
}

/** Names of what is marked, and what other cuts mark and this one does not. */
function Subjects({ picture, cut, change, onCommit }: CutProps) {
  const add = (subject: string) => {
    change((c) =>
      c.keepAreas.push({ subject, rect: { x: 0.35, y: 0.35, width: 0.3, height: 0.3 }, weight: 1 }),
    );
    onCommit();
  };
  const unmarked = unmarkedIn(picture.cuts, cut);
  return (
    <ul className="mark-subjects" aria-label="Keep areas of this cut">
      {cut.keepAreas.map((area, index) => (
        <li key={index}>
          <NameField
            label="Subject"
            autoFocus={false}
            value={area.subject}
            onChange={(subject) => change((c) => (c.keepAreas[index]!.subject = subject))}
            onCommit={onCommit}
          />
          <Button
            variant="quiet"
            size="sm"
            aria-label={`Remove ${area.subject}`}
            onClick={() => {
              change((c) => void c.keepAreas.splice(index, 1));
              onCommit();
            }}
          >
            remove
          </Button>
        </li>
      ))}
      {unmarked.map((subject) => (
        <li key={subject}>
          <span>
            {subject} <span className="quiet">is not marked on this cut</span>
          </span>
          <Button variant="quiet" size="sm" aria-label={`Mark ${subject}`} onClick={() => add(subject)}>
            mark
          </Button>
        </li>
      ))}
      {cut.keepAreas.length + unmarked.length === 0 && <li className="quiet">Nothing is marked yet.</li>}
    </ul>
  );
}

interface MarkProps {
  pictureId: string;
  /** the cut that is marked first */
  first: Cut['cut'];
  onClose: () => void;
}

/** What has to be seen of a picture, marked by hand on each of its cuts; a name that two cuts share links them. */
export function MarkDialog({ pictureId, first, onClose }: MarkProps) {
  const store = useWorkbenchStore();
  const picture = useWorkbench((s) => s.documents.project.pictures.find((p) => p.id === pictureId));
  const [which, setWhich] = useState(first);
  if (!picture) return null;
  const cut = picture.cuts.find((c) => c.cut === which) ?? picture.cuts[0]!;
  const change = (recipe: (cut: Cut) => void) =>
    void editLive(store, stepOf('picture.areas', picture.name), inCut(pictureId, cut.cut, recipe));
  const shared = { picture, cut, change, onCommit: () => commit(store) };
  return (
    <Modal show onHide={onClose} size="xl" scrollable animation={false} aria-labelledby="mark-title">
      <Modal.Header closeButton>
        <Modal.Title id="mark-title" as="h2">
          What has to be seen of {picture.name}
          {picture.cuts.length > 1 && `, the cut for ${CUT_WORDS[cut.cut]}`}
        </Modal.Title>
      </Modal.Header>
      <Modal.Body className="mark-body">
        <div>
          {picture.cuts.length > 1 && (
            <Choices
              label="Cut"
              options={picture.cuts.map((c) => ({ value: c.cut, label: CUT_WORDS[c.cut] }))}
              value={cut.cut}
              onChoose={setWhich}
            />
          )}
          <CutPlan key={cut.cut} {...shared} />
        </div>
        <div>
          <p className="quiet">
            Drag on the picture to mark an area. Drag an area to move it, its far corner to resize it.
          </p>
          <Subjects {...shared} />
          <Suggested
            pictureId={pictureId}
            cut={cut}
            change={change}
            onCommit={shared.onCommit}
            hash={masterOfCut(cut).hash}
          />
        </div>
      </Modal.Body>
    </Modal>
  );
}
