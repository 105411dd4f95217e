'use client';
import type { Align, Fit } from '@/core/fit/rule';
import { FIT_PRESETS, withPreset, type FitPreset } from '@/core/fit/presets';
import type { Region } from '@/core/placing/rule';
import type { Part } from '@/core/sentences/parts';
import { REGION_WORDS } from '@/core/sentences/words';
import type { Layer, PictureLayer } from '@/core/scene/scene';
import { useScene, useWorkbench, useWorkbenchStore } from '../state/context';
import { commit, editLive, inLayer, setFocalPoint } from '../state/edit';
import { FIT_WORDS } from '../words';
import { PictureThumb } from '../drawing/PictureThumb';
import { AlignEditor } from './editors/AlignEditor';
import { ColourEditor } from './editors/ColourEditor';
import { ExtentEditor } from './editors/ExtentEditor';
import { LengthField } from './editors/LengthField';
import { ListEditor } from './editors/ListEditor';
import { WhenEditor } from './editors/WhenEditor';
import { RegionDrawing } from './editors/RegionDrawing';

/** What stands at a path of a layer. */
const valueAt = (layer: Layer, path: Part['paths'][number]): unknown =>
  path.reduce<unknown>((v, key) => (v as Record<string | number, unknown>)[key], layer);

/** Puts a value at each path of a part. */
function setAt(layer: Layer, paths: Part['paths'], value: unknown): void {
  for (const path of paths) {
    const parent = valueAt(layer, path.slice(0, -1)) as Record<string | number, unknown>;
    parent[path.at(-1)!] = value;
  }
}

interface AlignProps {
  layer: PictureLayer;
  fit: Fit;
  value: Align;
  onChange: (value: Align) => void;
  onCommit: () => void;
}

/** A focal point belongs to the picture, not to the layer, and is written there. */
function AlignPart({ layer, fit, value, onChange, onCommit }: AlignProps) {
  const store = useWorkbenchStore();
  const picture = useWorkbench((s) => s.documents.project.pictures.find((p) => p.id === layer.picture));
  const { repeat } = fit;
  const setFocal = (point: { x: number; y: number }) =>
    editLive(store, (documents) => setFocalPoint(documents, layer.picture, point));
  return (
    <AlignEditor
      value={value}
      focalPoint={picture?.cuts[0]?.focalPoint ?? { x: 0.5, y: 0.5 }}
      repeated={repeat.x !== 'no-repeat' || repeat.y !== 'no-repeat'}
      onChange={onChange}
      onFocal={setFocal}
      onCommit={onCommit}
    />
  );
}

const REGIONS = Object.keys(REGION_WORDS).filter((r) => r !== 'parent') as (keyof typeof REGION_WORDS)[];

/** The editor of one part of a layer’s sentence: what it changes is drawn on every screen at once. */
export function PartEditor({ layer, part, onDone }: { layer: Layer; part: Part; onDone: () => void }) {
  const store = useWorkbenchStore();
  const { layers } = useScene();
  const { named, pictures } = useWorkbench((s) => s.documents.project);
  const others = layers.filter((l) => l.id !== layer.id && l.kind === 'picture');
  const { editable, paths } = part;

  const change = (value: unknown) =>
    editLive(
      store,
      inLayer(store, layer.id, (l) => setAt(l, paths, value)),
    );
  const finish = () => commit(store);
  const choose = (value: unknown) => {
    if (!change(value)) return;
    finish();
    onDone();
  };
  const done = { onChange: change, onCommit: finish };

  switch (editable.kind) {
    case 'length':
      return <LengthField {...editable} named={named} autoFocus {...done} />;
    case 'shift': {
      const label = editable.axis === 'x' ? 'To the right of centre' : 'Below centre';
      return <LengthField {...editable} label={label} named={named} autoFocus {...done} />;
    }
    case 'extent':
      return <ExtentEditor {...editable} named={named} otherLayers={others} {...done} />;
    case 'colour':
      return <ColourEditor value={editable.value} named={named} {...done} />;
    case 'region': {
      const places = [
        ...REGIONS.map((r) => ({ value: r as Region, label: REGION_WORDS[r] })),
        ...others.map((l) => ({ value: `layer:${l.id}` as Region, label: l.name })),
      ];
      const options = places.map((o) => ({ ...o, drawing: <RegionDrawing region={o.value} /> }));
      return <ListEditor label="Measured from" options={options} value={editable.value} onChoose={choose} />;
    }
    case 'fit': {
      const options = FIT_PRESETS.map((value) => ({
        value,
        ...FIT_WORDS[value],
        note: FIT_WORDS[value].title,
      }));
      const fit = valueAt(layer, paths[0]!) as Fit;
      const set = (preset: FitPreset) => choose(withPreset(fit, preset));
      return <ListEditor label="Drawn as" options={options} value={editable.value} onChoose={set} />;
    }
    case 'clip': {
      const options = [
        { value: 'cut' as const, label: 'cut off', note: 'Nothing is drawn outside of the box' },
        { value: 'show' as const, label: 'left to show', note: 'What spills over the box is drawn' },
      ];
      const value = editable.value ? 'cut' : 'show';
      return (
        <ListEditor label="Spill is" options={options} value={value} onChoose={(v) => choose(v === 'cut')} />
      );
    }
    case 'picture': {
      const options = pictures.map((p) => ({
        value: p.id,
        label: p.name,
        drawing: <PictureThumb picture={p} width={44} />,
      }));
      return <ListEditor label="Picture" options={options} value={editable.value} onChoose={choose} />;
    }
    case 'when':
      return <WhenEditor value={editable.value} {...done} />;
    case 'align':
      return layer.kind === 'picture' ? (
        <AlignPart
          layer={layer}
          fit={valueAt(layer, paths[0]!.slice(0, -1)) as Fit}
          value={editable.value}
          {...done}
        />
      ) : null;
  }
}
