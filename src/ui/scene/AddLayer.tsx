'use client';
import { stepOf } from '@/core/steps/commands';
import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { useScene, useWorkbench, useWorkbenchStore } from '../state/context';
import { edit } from '../state/edit';
import { EditorPopover } from '../parts/EditorPopover';
import { ListEditor } from '../parts/ListEditor';
import { putIn } from '@/core/project/place-picture';
import { otherPresets, picturePresets, type Preset } from './new-layer';

function AddEditor({ onDone }: { onDone: () => void }) {
  const store = useWorkbenchStore();
  const scene = useScene();
  const pictures = useWorkbench((s) => s.documents.project.pictures);
  const [pictureId, setPictureId] = useState(pictures[0]?.id);
  const picture = pictures.find((p) => p.id === pictureId);
  const add = (presets: readonly Preset[]) => (value: string) => {
    const layer = presets.find((p) => p.value === value)?.make();
    if (!layer) return;
    edit(store, stepOf('layer.add', layer.name), ({ scenes }) => {
      putIn(scenes[scene.id]!, layer);
    });
    onDone();
  };
  const ofPicture = picture ? picturePresets(scene, picture) : [];
  const others = otherPresets(scene);
  return (
    <>
      {picture && (
        <>
          <Form.Select
            aria-label="Picture to add"
            autoFocus
            value={pictureId}
            onChange={(e) => setPictureId(e.target.value)}
          >
            {pictures.map((p) => (
              <option key={p.id} value={p.id}>
                {p.name}
              </option>
            ))}
          </Form.Select>
          <ListEditor label="Picture added as" value={null} options={ofPicture} onChoose={add(ofPicture)} />
        </>
      )}
      <div className="bound">
        <ListEditor label="Or without a picture" value={null} options={others} onChoose={add(others)} />
      </div>
    </>
  );
}

/** A new layer by a usual rule: one of the project’s pictures, a text, a panel, or a ground. */
export const AddLayer = () => (
  <EditorPopover label="Add a layer" button={{ variant: 'quiet', size: 'sm', children: 'add' }}>
    {(close) => <AddEditor onDone={close} />}
  </EditorPopover>
);
