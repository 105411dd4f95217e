'use client';
import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { fillScreen, middleOfSafeArea, stripAtBottom, underLayer } from '@/core/placing/presets';
import type { Layer, Scene } from '@/core/scene/scene';
import type { Picture } from '@/core/pictures/picture';
import { groundLayer, pictureLayer } from '../import/place-picture';
import { useScene, useWorkbench, useWorkbenchStore } from '../state/context';
import { edit } from '../state/edit';
import { EditorPopover } from './EditorPopover';
import { ListEditor } from './editors/ListEditor';

interface Preset {
  value: string;
  label: string;
  note: string;
  make: (picture: Picture) => Layer;
}

/** The usual rules that a picture is added with; the last logo is what a label goes under. */
function presetsFor(scene: Scene): Preset[] {
  const logo = scene.layers.findLast((l) => l.role === 'logo');
  const presets: Preset[] = [
    {
      value: 'fill',
      label: 'fills the whole screen',
      note: 'A background, pinned to all four edges',
      make: (p) => pictureLayer(p, 'background', fillScreen()),
    },
    {
      value: 'middle',
      label: 'in the middle of the safe area',
      note: 'A logo, 40 % of the width, at most 220',
      make: (p) => pictureLayer(p, 'logo', middleOfSafeArea()),
    },
    {
      value: 'strip',
      label: 'a strip at the bottom',
      note: 'From side to side, 64 high, above the bar',
      make: (p) => pictureLayer(p, 'other', stripAtBottom()),
    },
  ];
  if (!logo) return presets;
  const under: Preset = {
    value: 'under',
    label: `under ${logo.name}`,
    note: 'A label, 16 below it, in the middle across',
    make: (p) => pictureLayer(p, 'logo', underLayer(logo.id)),
  };
  return [...presets, under];
}

function AddEditor({ onDone }: { onDone: () => void }) {
  const store = useWorkbenchStore();
  const scene = useScene();
  const pictures = useWorkbench((s) => s.documents.project.pictures);
  const [pictureId, setPictureId] = useState(pictures[0]?.id);
  const picture = pictures.find((p) => p.id === pictureId);
  const presets = picture ? presetsFor(scene) : [];
  const add = (layer: Layer) => {
    edit(store, ({ scenes }) => {
      const layers = scenes[scene.id]?.layers;
      // What fills the screen goes behind everything but the grounds; anything else goes to the front.
      const behind =
        layer.role === 'background' ? layers?.filter((l) => l.kind === 'ground').length : undefined;
      const at = layer.kind === 'ground' ? 0 : (behind ?? layers?.length ?? 0);
      layers?.splice(at, 0, layer);
    });
    onDone();
  };
  return (
    <>
      {pictures.length > 0 && (
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
      )}
      <ListEditor
        label="Added as"
        value={null}
        options={[
          ...presets,
          { value: 'ground', label: 'a ground', note: 'One colour over the whole screen, behind everything' },
        ]}
        onChoose={(value) => {
          const preset = presets.find((p) => p.value === value);
          add(preset && picture ? preset.make(picture) : groundLayer());
        }}
      />
    </>
  );
}

/** A new layer: one of the project’s pictures by a usual rule, or a ground. */
export const AddLayer = () => (
  <EditorPopover label="Add a layer" button={{ variant: 'quiet', size: 'sm', children: 'add' }}>
    {(close) => <AddEditor onDone={close} />}
  </EditorPopover>
);
