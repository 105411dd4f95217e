'use client';
import { stepOf } from '@/core/steps/commands';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import type { Cut, KeepArea } from '@/core/pictures/picture';
import { MarkDialog } from '../marks/MarkDialog';
import { useWorkbenchStore } from '../state/context';
import { commit, editLive, inCut } from '../state/edit';
import type { WorkbenchStore } from '../state/workbench';
import { EditorPopover } from '../parts/EditorPopover';
import { NameField } from '../parts/NameField';
import { NumberField } from '../parts/NumberField';

const SIDES = [
  ['x', 'From the left', 'width'],
  ['y', 'From the top', 'height'],
  ['width', 'Width', 'x'],
  ['height', 'Height', 'y'],
] as const;

/** A cut of a picture, and where it stands in the documents. */
interface OfCut {
  pictureId: string;
  cut: Cut;
}

const nameOf = (store: WorkbenchStore, pictureId: string) =>
  store.getState().documents.project.pictures.find((p) => p.id === pictureId)?.name ?? 'a picture';

/** The keep areas of a cut within the documents. */
const areasIn = (store: WorkbenchStore, { pictureId, cut }: OfCut, recipe: (areas: KeepArea[]) => void) =>
  editLive(
    store,
    stepOf('picture.areas', nameOf(store, pictureId)),
    inCut(pictureId, cut.cut, (c) => recipe(c.keepAreas)),
  );

function AreaEditor({ of, index, onDone }: { of: OfCut; index: number; onDone: () => void }) {
  const store = useWorkbenchStore();
  const area = of.cut.keepAreas[index];
  if (!area) return null;
  const change = (recipe: (a: KeepArea) => void) =>
    areasIn(store, of, (areas) => {
      if (areas[index]) recipe(areas[index]);
    });
  const onCommit = () => commit(store);
  return (
    <>
      <NameField
        label="What has to be seen"
        value={area.subject}
        onChange={(subject) => change((a) => (a.subject = subject))}
        onCommit={onCommit}
      />
      {SIDES.map(([key, label, across]) => (
        <NumberField
          key={key}
          label={label}
          unit="%"
          min={0}
          // An area ends with its picture.
          max={(1 - area.rect[across]) * 100}
          value={area.rect[key] * 100}
          onChange={(value) => change((a) => (a.rect[key] = value / 100))}
          onCommit={onCommit}
        />
      ))}
      <div className="menu-actions">
        <Button
          variant="quiet"
          size="sm"
          onClick={() => {
            areasIn(store, of, (areas) => void areas.splice(index, 1));
            onCommit();
            onDone();
          }}
        >
          delete
        </Button>
      </div>
    </>
  );
}

const MIDDLE = { x: 0.3, y: 0.3, width: 0.4, height: 0.4 };

/** What has to be seen of a cut of a picture: each area with its name, and one more to mark. */
export function KeepAreas({ of }: { of: OfCut }) {
  const store = useWorkbenchStore();
  const [byHand, setByHand] = useState(false);
  const { pictureId, cut } = of;
  const { keepAreas } = cut;
  const add = () => {
    const subject = `Subject ${keepAreas.length + 1}`;
    areasIn(store, of, (areas) => void areas.push({ subject, rect: { ...MIDDLE }, weight: 1 }));
    commit(store);
  };
  return (
    <p className="keep-areas">
      <span className="quiet">Keep areas:</span>
      {keepAreas.map((area, index) => (
        <EditorPopover
          key={index}
          label={`Keep area ${area.subject}`}
          button={{ bsPrefix: 'part', children: area.subject }}
        >
          {(close) => <AreaEditor of={of} index={index} onDone={close} />}
        </EditorPopover>
      ))}
      <Button variant="quiet" size="sm" aria-label="Add a keep area" onClick={add}>
        add
      </Button>
      <Button
        variant="quiet"
        size="sm"
        aria-label="Draw keep areas on the picture"
        onClick={() => setByHand(true)}
      >
        draw
      </Button>
      {byHand && <MarkDialog pictureId={pictureId} first={cut.cut} onClose={() => setByHand(false)} />}
    </p>
  );
}
