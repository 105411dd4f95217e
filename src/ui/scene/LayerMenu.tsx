'use client';
import { stepOf } from '@/core/steps/commands';
import { current } from 'immer';
import { useId } from 'react';
import { Button, Form } from 'react-bootstrap';
import { duplicateLayer, leaningLayers, moveLayer, possibleHolders, removeLayer } from '@/core/scene/layers';
import { isPlaced, type Layer, type PictureLayer, type Scene } from '@/core/scene/scene';
import type { Colour } from '@/core/values/values';
import { newId } from '@/workers/new-id';
import { useScene, useWorkbench, useWorkbenchStore } from '../state/context';
import { commit, edit, editLive, inLayer } from '../state/edit';
import { InkOffer } from './InkOffer';
import { EditorPopover } from '../parts/EditorPopover';
import { ColourEditor } from './editors/ColourEditor';
import { LengthField } from './editors/LengthField';
import { NameField } from '../parts/NameField';
import { NumberField } from '../parts/NumberField';
import { useHolding } from './useHolding';
import { ScrimOffer } from './ScrimOffer';

type LayerCommand = 'layer.remove' | 'layer.back' | 'layer.forward' | 'layer.duplicate';
type Change = (recipe: (l: Layer) => void) => void;

interface SectionProps {
  layer: Layer;
  change: Change;
  onCommit: () => void;
}

/** A choice of words for one field of a layer. */
function LabelledSelect(p: {
  label: string;
  value: string;
  options: readonly (readonly [string, string])[];
  onChoose: (value: string) => void;
}) {
  const id = useId();
  return (
    <div className="labelled">
      <label htmlFor={id}>{p.label}</label>
      <Form.Select id={id} value={p.value} onChange={(e) => p.onChoose(e.target.value)}>
        {p.options.map(([value, label]) => (
          <option key={value} value={value}>
            {label}
          </option>
        ))}
      </Form.Select>
    </div>
  );
}

/** What the layer is called, what holds it, and how much shows through. */
function Basics({ layer, change, onCommit }: SectionProps) {
  const scene = useScene();
  const holders = possibleHolders(scene, layer.id);
  const hold = useHolding(layer.id);
  return (
    <>
      <NameField value={layer.name} onChange={(name) => change((l) => (l.name = name))} onCommit={onCommit} />
      {isPlaced(layer) && holders.length > 0 && (
        <LabelledSelect
          label="Inside"
          value={layer.parent ?? ''}
          options={[['', 'no panel'], ...holders.map((h) => [h.id, h.name] as const)]}
          onChoose={hold}
        />
      )}
      <NumberField
        label="Opacity"
        unit="%"
        min={0}
        max={100}
        value={(layer.opacity ?? 1) * 100}
        onChange={(value) => change((l) => (l.opacity = value / 100))}
        onCommit={onCommit}
      />
    </>
  );
}

const FIRST_TINT: Colour = { light: '#1b1b1b', dark: '#ffffff' };

/** Whether a picture is drawn in one colour, and which. */
function Tint({ layer, change, onCommit }: SectionProps & { layer: PictureLayer }) {
  const named = useWorkbench((s) => s.documents.project.named);
  const set = (tint: Colour | undefined) =>
    change((l) => {
      if (l.kind !== 'picture') return;
      if (tint) l.tint = tint;
      else delete l.tint;
    });
  return (
    <div className="bound">
      <Form.Check
        type="checkbox"
        id={`tint-${layer.id}`}
        label="Tinted: keeps its alpha, takes one colour"
        checked={layer.tint !== undefined}
        onChange={(e) => {
          set(e.target.checked ? FIRST_TINT : undefined);
          onCommit();
        }}
      />
      {layer.tint && (
        <ColourEditor value={layer.tint} named={named} id="tint" onChange={set} onCommit={onCommit} />
      )}
    </div>
  );
}

/** The corners, and of a picture its tint: what the sentence only says once it is there. */
function Looks({ layer, change, onCommit }: SectionProps) {
  const named = useWorkbench((s) => s.documents.project.named);
  const radius =
    layer.kind === 'picture' ? layer.fit.cornerRadius : layer.kind === 'panel' ? layer.cornerRadius : null;
  return (
    <>
      {radius && (
        <LengthField
          label="Radius of the corners"
          value={radius}
          named={named}
          percentOf="the shorter side"
          min={0}
          onChange={(next) =>
            change((l) => {
              if (l.kind === 'picture') l.fit.cornerRadius = next;
              if (l.kind === 'panel') l.cornerRadius = next;
            })
          }
          onCommit={onCommit}
        />
      )}
      {layer.kind === 'picture' && <Tint {...{ layer, change, onCommit }} />}
    </>
  );
}

const isBeside = (layer: Layer) => (other: Layer) =>
  (isPlaced(other) ? other.parent : undefined) === (isPlaced(layer) ? layer.parent : undefined);

/** Starts as a copy of the usual rule, so that nothing changes until a part of it does. */
function differWhenTurned(layer: Layer): void {
  if (!isPlaced(layer)) return;
  const { placing } = current(layer);
  const fit = layer.kind === 'picture' ? { fit: current(layer).fit } : {};
  (layer.when ??= []).push({ orientation: 'landscape', placing, ...fit });
}

/** Moving, copying, taking away, and a rule that differs. */
function Actions({ layer, onDone }: { layer: Layer; onDone: () => void }) {
  const store = useWorkbenchStore();
  const scene = useScene();
  const beside = scene.layers.filter(isBeside(layer));
  const index = beside.findIndex((l) => l.id === layer.id);
  const inScene = (command: LayerCommand, recipe: (s: Scene) => void) =>
    edit(store, stepOf(command, layer.name), ({ scenes }) => {
      const target = scenes[scene.id];
      if (target) recipe(target);
    });
  const remove = () => {
    const leaning = leaningLayers(scene, layer.id);
    if (leaning.length > 0) {
      const message = `${leaning.join(', ')} ${leaning.length > 1 ? 'are' : 'is'} measured from ${layer.name}. Measure from something else first.`;
      store.setState({ message });
      return;
    }
    inScene('layer.remove', (s) => removeLayer(s, layer.id));
  };
  const addWhen = () => {
    edit(store, stepOf('layer.differ', layer.name), inLayer(store, layer.id, differWhenTurned));
    onDone();
  };
  const actions: [string, () => void, boolean?][] = [
    ['move back', () => inScene('layer.back', (s) => moveLayer(s, layer.id, -1)), index === 0],
    [
      'move forward',
      () => inScene('layer.forward', (s) => moveLayer(s, layer.id, 1)),
      index === beside.length - 1,
    ],
    ['duplicate', () => inScene('layer.duplicate', (s) => duplicateLayer(s, layer.id, newId))],
    ...(isPlaced(layer) ? [['differs when turned', addWhen] as [string, () => void]] : []),
    ['delete', remove],
  ];
  return (
    <div className="menu-actions">
      {actions.map(([label, act, disabled]) => (
        <Button key={label} variant="quiet" size="sm" disabled={disabled} onClick={act}>
          {label}
        </Button>
      ))}
    </div>
  );
}

/** What can be done with a layer besides changing its rule. */
export function LayerMenu({ layer }: { layer: Layer }) {
  const store = useWorkbenchStore();
  const change: Change = (recipe) =>
    editLive(store, stepOf('layer.change', layer.name, null), inLayer(store, layer.id, recipe));
  const onCommit = () => commit(store);
  return (
    <EditorPopover
      label={`Layer ${layer.name}`}
      button={{ variant: 'quiet', size: 'sm', 'aria-label': `More about ${layer.name}`, children: 'more' }}
    >
      {(close) => (
        <>
          <Basics {...{ layer, change, onCommit }} />
          <Looks {...{ layer, change, onCommit }} />
          {layer.kind === 'picture' && layer.role === 'logo' && <InkOffer layer={layer} onDone={close} />}
          {(layer.role === 'text' || layer.role === 'logo') && <ScrimOffer layer={layer} onDone={close} />}
          <Actions layer={layer} onDone={close} />
        </>
      )}
    </EditorPopover>
  );
}
