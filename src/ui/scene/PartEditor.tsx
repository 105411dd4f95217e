'use client';
import { stepOf } from '@/core/steps/commands';
import { useState, type ReactElement } from 'react';
import { Form } from 'react-bootstrap';
import { isRepeating, type Fit } from '@/core/fit/rule';
import { heldBy } from '@/core/placing/convert';
import type { Placing, Region } from '@/core/placing/rule';
import { setAt, valueAt, type Part, type Path } from '@/core/sentences/parts';
import { REGION_WORDS, ROLE_WORDS } from '@/core/sentences/words';
import { isPlaced, LAYER_ROLES, type Layer, type LayerRole } from '@/core/scene/scene';
import { useScene, useWorkbench, useWorkbenchStore } from '../state/context';
import { commit, editLive, inLayer } from '../state/edit';
import { PictureThumb } from '../drawing/PictureThumb';
import { GroundOffers } from './GroundOffers';
import { AlignEditor } from './editors/AlignEditor';
import { ColourEditor } from './editors/ColourEditor';
import { EdgesEditor } from './editors/EdgesEditor';
import { FitEditor } from './editors/FitEditor';
import { HoldChoices } from './editors/HoldChoices';
import { LengthField } from './editors/LengthField';
import { ListEditor } from '../parts/ListEditor';
import { NumberField } from '../parts/NumberField';
import { PaintEditor } from './editors/PaintEditor';
import { RegionDrawing } from './editors/RegionDrawing';
import { StyleEditor } from './editors/StyleEditor';
import { WhenEditor } from './editors/WhenEditor';
import type { EditorProps, Kind } from './part-props';
import { ExtentPart, RatioPart } from './SizeParts';

/** Which rule a path leads into: one of those that differ, or the usual one for −1. */
const ruleAt = ([first, second]: Path) => (first === 'when' ? Number(second) : -1);

function AlignPart({ layer, part, editable, onChange, onCommit }: EditorProps<'align'>) {
  const [path] = part.paths;
  if (layer.kind !== 'picture' || !path) return null;
  const fit = valueAt(layer, path.slice(0, -1)) as Fit;
  return (
    <AlignEditor
      value={editable.value}
      layer={layer}
      rule={ruleAt(path)}
      repeated={isRepeating(fit)}
      onChange={onChange}
      onCommit={onCommit}
    />
  );
}

type HeldProps = EditorProps<'edge' | 'shift' | 'edges'>;

/** Whether the layer is held by other edges from now on; that changes the sentence, so the editing ends. */
function useHold({ layer, editable, change, onCommit, onDone }: HeldProps) {
  const placing = valueAt(layer, editable.placing) as Placing;
  const set = (next: Placing) => change((l) => setAt(l, [editable.placing], next));
  const hold = (axis: 'x' | 'y') => (
    <HoldChoices
      axis={axis}
      value={placing[axis].kind}
      onChoose={(kind) => {
        if (!set(heldBy(placing, axis, kind))) return;
        onCommit();
        onDone();
      }}
    />
  );
  return { placing, set, hold };
}

function HeldLength(props: EditorProps<'edge' | 'shift'>) {
  const { editable, part, named, onChange, onCommit } = props;
  const { placing, set, hold } = useHold(props);
  return (
    <>
      <LengthField {...editable} named={named} autoFocus onChange={onChange} onCommit={onCommit} />
      {part.paths.length > 1 && (
        <EdgesEditor
          {...{ placing, named, onCommit }}
          percentOf={editable.percentOf}
          onChange={set}
          axes={[editable.axis]}
        />
      )}
      {hold(editable.axis)}
    </>
  );
}

function AllEdges(props: EditorProps<'edges'>) {
  const { editable, named, onChange, onCommit } = props;
  const { placing, set, hold } = useHold(props);
  return (
    <>
      <LengthField {...editable} named={named} autoFocus onChange={onChange} onCommit={onCommit} />
      <EdgesEditor {...{ placing, named, onCommit }} percentOf={editable.percentOf} onChange={set} />
      {hold('x')}
      {hold('y')}
    </>
  );
}

function RegionPart({ layer, editable, others, choose }: EditorProps<'region'>) {
  const inPanel = isPlaced(layer) && layer.parent !== undefined;
  const plain = (Object.keys(REGION_WORDS) as (keyof typeof REGION_WORDS)[]).filter(
    (r) => r !== 'parent' || inPanel,
  );
  const places = [
    ...plain.map((r) => ({ value: r as Region, label: REGION_WORDS[r] })),
    ...others.map((l) => ({ value: `layer:${l.id}` as Region, label: l.name })),
  ];
  const options = places.map((o) => ({ ...o, drawing: <RegionDrawing region={o.value} /> }));
  return <ListEditor label="Measured from" options={options} value={editable.value} onChoose={choose} />;
}

function PicturePart({ editable, choose }: EditorProps<'picture'>) {
  const pictures = useWorkbench((s) => s.documents.project.pictures);
  const options = pictures.map((p) => ({
    value: p.id,
    label: p.name,
    drawing: <PictureThumb picture={p} width={44} />,
  }));
  return <ListEditor label="Picture" options={options} value={editable.value} onChoose={choose} />;
}

const CLIPS = [
  { value: 'cut', label: 'cut off', note: 'Nothing is drawn outside the box' },
  { value: 'show', label: 'left to show', note: 'What spills over the box is drawn' },
] as const;

const ROLE_NOTES: Record<LayerRole, string> = {
  background: 'Fills the screen: what is cropped, bare, distorted or too coarse',
  logo: 'Is seen whole, sharp, clear of every edge, and made out',
  text: 'Is read: contrast, cut-off letters, their size',
  other: 'What is see-through is to be made out and seen whole',
};
const ROLES = LAYER_ROLES.map((value) => ({
  value,
  label: ROLE_WORDS[value],
  note: ROLE_NOTES[value],
}));

/** What is typed and cannot be drawn is said at once, and stays in the field. */
function WordsPart({ editable, onChange, onCommit }: EditorProps<'text'>) {
  const [typed, setTyped] = useState(editable.value);
  return (
    <Form.Control
      as="textarea"
      rows={4}
      aria-label="Text"
      autoFocus
      maxLength={2000}
      value={typed}
      onChange={(e) => {
        setTyped(e.target.value);
        onChange(e.target.value);
      }}
      onBlur={onCommit}
    />
  );
}

const EDITORS: { [K in Kind]: (props: EditorProps<K>) => ReactElement | null } = {
  length: ({ editable, named, onChange, onCommit }) => (
    <LengthField {...editable} {...{ named, onChange, onCommit }} min={0} autoFocus />
  ),
  edge: HeldLength,
  shift: HeldLength,
  edges: AllEdges,
  extent: ExtentPart,
  region: RegionPart,
  ratio: RatioPart,
  fit: ({ editable, named, onChange, onCommit, onDone }) => (
    <FitEditor value={editable.value} {...{ named, onChange, onCommit, onDone }} />
  ),
  align: AlignPart,
  clip: ({ editable, choose }) => (
    <ListEditor
      label={`${editable.what} is`}
      options={CLIPS}
      value={editable.value ? 'cut' : 'show'}
      onChoose={(v) => choose(v === 'cut')}
    />
  ),
  picture: PicturePart,
  colour: ({ editable, named, onChange, onCommit }) => (
    <ColourEditor value={editable.value} id="colour" autoFocus {...{ named, onChange, onCommit }} />
  ),
  paint: ({ layer, editable, named, onChange, onCommit }) => (
    <>
      <PaintEditor value={editable.value} {...{ named, onChange, onCommit }} />
      {layer.kind === 'ground' && (
        <GroundOffers
          onChoose={(paint) => {
            onChange(paint);
            onCommit();
          }}
        />
      )}
    </>
  ),
  text: WordsPart,
  style: ({ editable, onChange, onCommit }) => (
    <StyleEditor value={editable.value} {...{ onChange, onCommit }} />
  ),
  opacity: ({ editable, onChange, onCommit }) => (
    <NumberField
      label="Opacity"
      unit="%"
      min={0}
      max={100}
      autoFocus
      value={editable.value * 100}
      onChange={(next) => onChange(next / 100)}
      onCommit={onCommit}
    />
  ),
  role: ({ editable, choose }) => (
    <ListEditor label="Role" options={ROLES} value={editable.value} onChoose={choose} />
  ),
  when: ({ editable, onChange, onCommit }) => (
    <WhenEditor value={editable.value} {...{ onChange, onCommit }} />
  ),
};

/** The editor of one part of a layer’s sentence: what it changes is drawn on every screen at once. */
export function PartEditor({ layer, part, onDone }: { layer: Layer; part: Part; onDone: () => void }) {
  const store = useWorkbenchStore();
  const { layers } = useScene();
  const named = useWorkbench((s) => s.documents.project.named);
  const others = layers.filter(isPlaced).filter((l) => l.id !== layer.id);
  const change = (recipe: (l: Layer) => void) =>
    editLive(
      store,
      stepOf('layer.change', layer.name, `“${part.text.trim()}”`),
      inLayer(store, layer.id, recipe),
    );
  const onChange = (value: unknown) => change((l) => setAt(l, part.paths, value));
  const onCommit = () => commit(store);
  const choose = (value: unknown) => {
    if (!onChange(value)) return;
    onCommit();
    onDone();
  };
  // The kind of an editor’s part is the one it stands under.
  const Editor = EDITORS[part.editable.kind] as (props: EditorProps) => ReactElement | null;
  return (
    <Editor
      editable={part.editable}
      {...{ layer, part, named, others, change, onChange, onCommit, choose, onDone }}
    />
  );
}
