'use client';
import { current } from 'immer';
import { useId } from 'react';
import { Button, Form } from 'react-bootstrap';
import { duplicateLayer, leaningLayers, moveLayer } from '@/core/scene/layers';
import { LAYER_ROLES, type Layer, type Scene } from '@/core/scene/scene';
import { useScene, useWorkbenchStore } from '../state/context';
import { commit, edit, editLive, inLayer } from '../state/edit';
import { EditorPopover } from './EditorPopover';
import { NumberField } from './editors/NumberField';

const ROLE_WORDS = {
  background: 'background',
  logo: 'logo',
  text: 'text',
  other: 'something else',
} as const satisfies Record<(typeof LAYER_ROLES)[number], string>;

/** The editor behind a layer’s “more”. */
function LayerEditor({ layer, onDone }: { layer: Layer; onDone: () => void }) {
  const store = useWorkbenchStore();
  const scene = useScene();
  const nameId = useId();
  const roleId = useId();
  const index = scene.layers.findIndex((l) => l.id === layer.id);

  const inScene = (recipe: (s: Scene) => void) =>
    edit(store, ({ scenes }) => {
      const target = scenes[scene.id];
      if (target) recipe(target);
    });
  const change = (recipe: (l: Layer) => void) => editLive(store, inLayer(store, layer.id, recipe));
  const remove = () => {
    const leaning = leaningLayers(scene, layer.id);
    if (leaning.length > 0) {
      const message = `${leaning.join(', ')} ${leaning.length > 1 ? 'are' : 'is'} measured from ${layer.name}. Measure from something else first.`;
      store.setState({ message });
      return;
    }
    inScene((s) => {
      s.layers = s.layers.filter((l) => l.id !== layer.id);
    });
  };
  /** Starts as a copy of the usual rule, so that nothing changes until a part of it does. */
  const addWhen = () => {
    edit(
      store,
      inLayer(store, layer.id, (l) => {
        if (l.kind !== 'picture') return;
        const { placing, fit } = current(l);
        (l.when ??= []).push({ orientation: 'landscape', placing, fit });
      }),
    );
    onDone();
  };

  return (
    <>
      <div className="labelled">
        <label htmlFor={nameId}>Name</label>
        <Form.Control
          id={nameId}
          autoFocus
          maxLength={120}
          defaultValue={layer.name}
          onChange={(e) => {
            const name = e.target.value.trim();
            if (name) change((l) => (l.name = name));
          }}
          onBlur={() => commit(store)}
        />
      </div>
      <div className="labelled">
        <label htmlFor={roleId}>Judged as</label>
        <Form.Select
          id={roleId}
          value={layer.role}
          onChange={(e) => {
            change((l) => (l.role = e.target.value as Layer['role']));
            commit(store);
          }}
        >
          {LAYER_ROLES.map((role) => (
            <option key={role} value={role}>
              {ROLE_WORDS[role]}
            </option>
          ))}
        </Form.Select>
      </div>
      <NumberField
        label="Opacity"
        unit="%"
        min={0}
        max={100}
        value={(layer.opacity ?? 1) * 100}
        onChange={(value) => change((l) => (l.opacity = value / 100))}
        onCommit={() => commit(store)}
      />
      <div className="menu-actions">
        <Button
          variant="quiet"
          size="sm"
          disabled={index === 0}
          onClick={() => inScene((s) => moveLayer(s, layer.id, -1))}
        >
          move back
        </Button>
        <Button
          variant="quiet"
          size="sm"
          disabled={index === scene.layers.length - 1}
          onClick={() => inScene((s) => moveLayer(s, layer.id, 1))}
        >
          move forward
        </Button>
        <Button
          variant="quiet"
          size="sm"
          onClick={() => inScene((s) => duplicateLayer(s, layer.id, crypto.randomUUID()))}
        >
          duplicate
        </Button>
        {layer.kind === 'picture' && (
          <Button variant="quiet" size="sm" onClick={addWhen}>
            differs when turned
          </Button>
        )}
        <Button variant="quiet" size="sm" onClick={remove}>
          delete
        </Button>
      </div>
    </>
  );
}

/** What can be done with a layer besides changing its rule. */
export function LayerMenu({ layer }: { layer: Layer }) {
  return (
    <EditorPopover
      label={`Layer ${layer.name}`}
      button={{ variant: 'quiet', size: 'sm', 'aria-label': `More about ${layer.name}`, children: 'more' }}
    >
      {(close) => <LayerEditor layer={layer} onDone={close} />}
    </EditorPopover>
  );
}
