'use client';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import type { KeepArea, Picture } from '@/core/pictures/picture';
import { MarkDialog } from '../marks/MarkDialog';
import { useWorkbenchStore } from '../state/context';
import { commit, edit, editLive } from '../state/edit';
import type { WorkbenchStore } from '../state/workbench';
import { EditorPopover } from './EditorPopover';
import { NameField } from './editors/NameField';
import { NumberField } from './editors/NumberField';

const SIDES = [
  ['x', 'From the left', 'width'],
  ['y', 'From the top', 'height'],
  ['width', 'Width', 'x'],
  ['height', 'Height', 'y'],
] as const;

/** The keep areas of the cut that is shown here, within the documents. */
const areasIn = (store: WorkbenchStore, pictureId: string, recipe: (areas: KeepArea[]) => void) =>
  editLive(store, ({ project }) => {
    const cut = project.pictures.find((p) => p.id === pictureId)?.cuts[0];
    if (cut) recipe(cut.keepAreas);
  });

function AreaEditor({ picture, index, onDone }: { picture: Picture; index: number; onDone: () => void }) {
  const store = useWorkbenchStore();
  const area = picture.cuts[0]!.keepAreas[index];
  if (!area) return null;
  const change = (recipe: (a: KeepArea) => void) =>
    areasIn(store, picture.id, (areas) => {
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
            areasIn(store, picture.id, (areas) => void areas.splice(index, 1));
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

/** What has to be seen of a picture: each area with its name, and one more to mark. */
export function KeepAreas({ picture }: { picture: Picture }) {
  const store = useWorkbenchStore();
  const [byHand, setByHand] = useState(false);
  const { keepAreas } = picture.cuts[0]!;
  const add = () =>
    edit(store, ({ project }) => {
      const cut = project.pictures.find((p) => p.id === picture.id)?.cuts[0];
      const subject = `Subject ${keepAreas.length + 1}`;
      cut?.keepAreas.push({ subject, rect: { ...MIDDLE }, weight: 1 });
    });
  return (
    <p className="keep-areas">
      <span className="quiet">Keep areas:</span>
      {keepAreas.map((area, index) => (
        <EditorPopover
          key={index}
          label={`Keep area ${area.subject}`}
          button={{ bsPrefix: 'part', children: area.subject }}
        >
          {(close) => <AreaEditor picture={picture} index={index} onDone={close} />}
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
      {byHand && <MarkDialog pictureId={picture.id} onClose={() => setByHand(false)} />}
    </p>
  );
}
